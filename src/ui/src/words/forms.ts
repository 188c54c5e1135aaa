/** A name and its forms in the catalogue: called it is the name alone, `within` is as it is written within a line. */
export type Name = (() => string) & { within: () => string };

type Forms = (inputs: { at: "alone" | "within" }) => string;

export const named = (forms: Forms): Name => Object.assign(() => forms({ at: "alone" }), { within: () => forms({ at: "within" }) });
