export function madeUp(language: "xa" | "xb", text: string, figures: RegExp): string;
