import { paraglideVitePlugin } from "@inlang/paraglide-js";
import { svelte } from "@sveltejs/vite-plugin-svelte";
import tailwindcss from "@tailwindcss/vite";
import { defineConfig } from "vite";

export default defineConfig({
  plugins: [
    paraglideVitePlugin({
      project: "./project.inlang",
      outdir: "./src/paraglide",
      strategy: ["baseLocale"],
      emitTsDeclarations: true,
    }),
    tailwindcss(),
    svelte(),
  ],
  // No style or font may be inlined as data: the content security policy allows files of this server only.
  build: { outDir: "../Web/wwwroot", emptyOutDir: true, assetsInlineLimit: 0, target: "es2022", modulePreload: { polyfill: false } },
  server: { host: "127.0.0.1", port: 5181, proxy: { "/api": "http://127.0.0.1:5180" } },
});
