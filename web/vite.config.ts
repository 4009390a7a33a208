import react from "@vitejs/plugin-react";
import { VitePWA } from "vite-plugin-pwa";
import { defineConfig } from "vitest/config";

/**
 * The pages on a device that was told to keep: what is built, and the one page for every address. Addresses are asked of
 * the server first; answers of the API are none of its business.
 */
const worker = VitePWA({
  filename: "sw.js",
  manifest: false,
  injectRegister: false,
  workbox: {
    inlineWorkboxRuntime: true,
    globPatterns: ["**/*.{js,css,html,svg,woff2}"],
    modifyURLPrefix: { "": "/static/" },
    manifestTransforms: [
      (entries) => ({
        manifest: entries.map((one) => (one.url === "/static/index.html" ? { ...one, url: "/" } : one)),
      }),
    ],
    navigateFallback: null,
    runtimeCaching: [
      {
        urlPattern: ({ request }) => request.mode === "navigate",
        handler: "NetworkFirst",
        options: {
          cacheName: "page",
          networkTimeoutSeconds: 4,
          // Every address has the same page, and it holds nothing of anybody's.
          plugins: [{ cacheKeyWillBeUsed: () => Promise.resolve("/") }],
          precacheFallback: { fallbackURL: "/" },
        },
      },
    ],
    skipWaiting: true,
    clientsClaim: true,
  },
});

export default defineConfig(({ command }) => ({
  plugins: [react(), worker],
  base: command === "build" ? "/static/" : "/",
  build: { target: "es2022", assetsInlineLimit: 0 },
  server: { proxy: { "/api": "http://127.0.0.1:8640" } },
  test: {
    environment: "jsdom",
    setupFiles: ["src/test/setup.ts"],
    // How long is waited on a busy machine, not how fast a page is.
    testTimeout: 90_000,
    // One page's memory and stand-ins are cleared after each test: the files can share an environment.
    pool: "threads",
    isolate: false,
    maxWorkers: 2,
  },
}));
