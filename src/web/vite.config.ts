import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react()],
  build: { outDir: "../Host/wwwroot", emptyOutDir: true, chunkSizeWarningLimit: 1500 },
  test: { css: true },
  server: { proxy: { "/api": "http://127.0.0.1:5170" } },
});
