import type { Plugin } from "vite";

const HINT = "//# allFunctionsCalledOnLoad\n";

/**
 * Asks browsers to compile what a script holds while it comes in, beside the page: most of it is called as soon as a place is opened, and would be
 * compiled one function after the other then. Those that do not know the hint read a comment. It counts only as the first thing in a file.
 */
export function compiledAhead(): Plugin {
  return {
    name: "compiled-ahead",
    enforce: "post",
    apply: "build",
    generateBundle: {
      order: "post",
      handler(_, bundle) {
        for (const file of Object.values(bundle)) if (file.type === "chunk") file.code = HINT + file.code;
      },
    },
  };
}
