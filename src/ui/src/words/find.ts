import { locale } from "./locale";

/** Words as they are looked for: whatever their case and their accents. */
export const folded = (text: string): string => text.trim().toLocaleLowerCase(locale).normalize("NFD").replaceAll(/\p{M}/gu, "");
