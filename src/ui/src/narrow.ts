import { MediaQuery } from "svelte/reactivity";

/** The column has no room beside the bench: a phone, a tablet held upright, a screen at twice the size. */
export const narrow = new MediaQuery("(max-width: 1023px)");

/** A phone held upright: bars of one line each, and the section a strip. */
export const phone = new MediaQuery("(max-width: 639px)");
