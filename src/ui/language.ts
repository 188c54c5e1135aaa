import type { Plugin } from "vite";
import { madeUp } from "./made-up.mjs";

/**
 * The languages pages can be built in. Two are made up, for the tests: `xa` is accented and half as long again, so that whatever is cut off or was
 * never in a catalogue shows; `xb` runs from right to left.
 */
export type Language = "en" | "xa" | "xb";

/**
 * Pages are built in one language: each message is its words and nothing else, without a choice at run time. A kitchen that has several
 * languages has as many builds, and nobody loads words of a language that is not read.
 */
export function oneLanguage(language: Language): Plugin {
  const messages = /\/paraglide\/messages\/(?!_index)\w+\.js$/;
  const makers = /\/paraglide\/registry\.js$/;
  // One maker of each kind: making them is what costs.
  const RULES = "new Intl.PluralRules(locale, options)";
  const KEPT = `(kept[[locale, options?.type]] ??= ${RULES})`;
  return {
    name: "one-language",
    enforce: "post",
    transform(code, id) {
      if (makers.test(id)) {
        if (!code.includes(RULES)) throw new Error(`${id}: not compiled as expected; plurals are chosen elsewhere`);
        return { code: `const kept = {};\n${code.replace(RULES, KEPT)}`, map: null };
      }
      if (!messages.test(id)) return;
      const words = /^[^]*?\n(?=\/\*\*\n\* This function)/.exec(code)?.[0];
      const [, name] = /export const (\w+) = \(inputs/.exec(code) ?? [];
      const [, english] = /return (en_\w+)\(inputs\)/.exec(code) ?? [];
      if (!words || !name || !english)
        throw new Error(`${id}: not compiled as expected; names of messages are small letters, digits and _`);
      const said =
        language === "en"
          ? words
          : words.replaceAll(/`((?:[^`\\]|\\.)*)`/g, (_, text: string) => `\`${madeUp(language, text, /(\$\{[^}]*\})/)}\``);
      return { code: `${said}export const ${name} = ${english};`, map: null };
    },
    transformIndexHtml: (html) =>
      language === "en"
        ? html
        : html.replace('lang="en" dir="ltr"', `lang="en-${language.toUpperCase()}" dir="${language === "xb" ? "rtl" : "ltr"}"`),
  };
}
