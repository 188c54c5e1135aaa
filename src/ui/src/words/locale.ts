import { getLocale } from "../paraglide/runtime";

/** Where nobody's browser says which of a language it speaks. */
const USUAL: Record<string, string> = { en: "en-GB" };

/** The locale of figures, days and hours: the reader's own, where it is one of the language the words are in. */
export const locale: string =
  navigator.languages.find((tag) => tag.split("-")[0] === getLocale() && tag.includes("-")) ?? USUAL[getLocale()] ?? getLocale();
