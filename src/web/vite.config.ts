import babel from "@rolldown/plugin-babel";
import react, { reactCompilerPreset } from "@vitejs/plugin-react";
import { loadEnv } from "vite";
import { defineConfig } from "vitest/config";

export default defineConfig(({ mode }) => {
  // Under ./wendro dev the server listens beside the page.
  const target = loadEnv(mode, ".", "WENDRO_").WENDRO_API ?? "http://127.0.0.1:5170";
  return {
    // The compiler keeps what did not change: a plan is edited many times a minute, most of the page stays as it is.
    plugins: [react(), babel({ presets: [reactCompilerPreset()] })],
    build: { outDir: "../Wendro.Host/wwwroot", emptyOutDir: true, chunkSizeWarningLimit: 1500 },
    test: { css: true },
    server: { proxy: { "/api": target, "/hubs": { target, ws: true } } },
  };
});
