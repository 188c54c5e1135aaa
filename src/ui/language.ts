import type { Plugin } from "vite";

/**
 * The languages pages can be built in. Two are made up, for the tests: `xa` is accented and half as long again, so that whatever is cut off or was
 * never in a catalogue shows; `xb` runs from right to left.
 */
export type Language = "en" | "xa" | "xb";

const ACCENTED: Record<string, string> = Object.fromEntries(
  [..."aáeéiíoóuúyýcçnñsšzžAÁEÉIÍOÓUÚYÝCÇNÑSŠZŽ"].flatMap((c, i, all) => (i % 2 ? [] : [[c, all[i + 1]!]])),
);
const RIGHT_TO_LEFT = { from: "\u202e", to: "\u202c" };

/** Words of the made-up languages out of English ones; what stands in braces is a figure or a name and stays. */
function madeUp(language: Language, text: string): string {
  const parts = text.split(/(\$\{[^}]*\})/);
  const worded = parts.map((part, i) =>
    i % 2
      ? part
      : language === "xa"
        ? part
            .replaceAll(/\p{L}/gu, (c) => ACCENTED[c] ?? c)
            .replaceAll(/\p{L}{4,}/gu, (word) => word + word.slice(-Math.ceil(word.length / 2)))
        : part.replaceAll(/\p{L}+/gu, (word) => RIGHT_TO_LEFT.from + word + RIGHT_TO_LEFT.to),
  );
  return worded.join("");
}

/**
 * Pages are built in one language: each message is its words and nothing else, without a choice at run time. A kitchen that has several
 * languages has as many builds, and nobody loads words of a language that is not read.
 */
export function oneLanguage(language: Language): Plugin {
  const messages = /\/paraglide\/messages\/(?!_index)\w+\.js$/;
  return {
    name: "one-language",
    enforce: "post",
    transform(code, id) {
      if (!messages.test(id)) return;
      const words = /^[^]*?\n(?=\/\*\*\n\* This function)/.exec(code)?.[0];
      const [, name] = /export const (\w+) = \(inputs/.exec(code) ?? [];
      const [, english] = /return (en_\w+)\(inputs\)/.exec(code) ?? [];
      if (!words || !name || !english)
        throw new Error(`${id}: not compiled as expected; names of messages are small letters, digits and _`);
      const said =
        language === "en" ? words : words.replaceAll(/`((?:[^`\\]|\\.)*)`/g, (_, text: string) => `\`${madeUp(language, text)}\``);
      return { code: `${said}export const ${name} = ${english};`, map: null };
    },
    transformIndexHtml: (html) =>
      language === "en"
        ? html
        : html.replace('lang="en" dir="ltr"', `lang="en-${language.toUpperCase()}" dir="${language === "xb" ? "rtl" : "ltr"}"`),
  };
}
