import babel from "@rolldown/plugin-babel";
import react, { reactCompilerPreset } from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  // The compiler keeps what did not change: a plan is edited many times a minute, most of the page stays as it is.
  plugins: [react(), babel({ presets: [reactCompilerPreset()] })],
  build: { outDir: "../Wendro.Host/wwwroot", emptyOutDir: true, chunkSizeWarningLimit: 1500 },
  test: { css: true },
  server: {
    proxy: Object.fromEntries(
      ["/api", "/hubs"].map((path) => [
        path,
        { target: globalThis.process?.env.WENDRO_API ?? "http://127.0.0.1:5170", ws: true },
      ]),
    ),
  },
});
