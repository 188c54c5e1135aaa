import { m } from "../paraglide/messages";
import { locale } from "./locale";

/** The catalogue says whether its language writes names small within a line. */
const small = () => m.names_within() === "small";

/** A name as it is written within a line: in a language that writes names small there, its first letter is, unless it is an abbreviation. */
export const within = (name: string): string =>
  small() && !/^\p{Lu}{2}/u.test(name) ? name.charAt(0).toLocaleLowerCase(locale) + name.slice(1) : name;
