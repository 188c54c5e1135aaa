/** The version these pages are of. */
declare const __VERSION__: string;
