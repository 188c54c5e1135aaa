import { paraglideVitePlugin } from "@inlang/paraglide-js";
import { svelte } from "@sveltejs/vite-plugin-svelte";
import tailwindcss from "@tailwindcss/vite";
import { readFileSync } from "node:fs";
import { defineConfig } from "vite";
import { compiledAhead } from "./eager";
import { type Language, oneLanguage } from "./language";
import { offline } from "./offline";

// The tests build pages in made-up languages, elsewhere.
const OUT = process.env.YSTRATA_PAGES ?? "../Web/wwwroot";
const SHARED = "shared";
/** What is shared is not called by all that share it. */
const short = (name: string) => (name.startsWith(SHARED) ? SHARED : "[name]");
const language = (process.env.YSTRATA_LANGUAGE ?? "en") as Language;
const version = /<Version>(.*)<\/Version>/.exec(readFileSync("../../Directory.Build.props", "utf8"))?.[1];

export default defineConfig({
  plugins: [
    // The catalogues are compiled once: pages in made-up languages are built after the kitchen's own, of the same messages.
    language === "en" &&
      paraglideVitePlugin({
        project: "./project.inlang",
        outdir: "./src/paraglide",
        strategy: ["baseLocale"],
        emitTsDeclarations: true,
      }),
    oneLanguage(language),
    tailwindcss(),
    svelte(),
    compiledAhead(),
    offline(OUT),
  ],
  define: { __VERSION__: JSON.stringify(version) },
  // No style or font may be inlined as data: the content security policy allows files of this server only.
  build: {
    outDir: OUT,
    emptyOutDir: true,
    assetsInlineLimit: 0,
    target: "es2022",
    modulePreload: { polyfill: false },
    rolldownOptions: {
      // A word is loaded with the place that says it: nothing else happens where the words are gathered.
      treeshake: { moduleSideEffects: [{ test: /\/paraglide\/messages/, sideEffects: false }] },
      output: {
        // The first page in one file; what places share in a few, none of them small: a hundred slivers cost more to ask for than to read.
        codeSplitting: {
          groups: [
            { name: "first", tags: ["$initial"], priority: 2 },
            { name: SHARED, minShareCount: 2, entriesAware: true, entriesAwareMergeThreshold: 60_000, priority: 1 },
          ],
        },
        chunkFileNames: ({ name }) => `assets/${short(name)}-[hash].js`,
        assetFileNames: ({ names }) => `assets/${short(names[0] ?? "")}-[hash][extname]`,
      },
    },
  },
  server: { host: "127.0.0.1", port: 5181, proxy: { "/api": "http://127.0.0.1:5180" } },
});
