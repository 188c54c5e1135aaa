import { inject } from "vitest";

// The page was opened at the kitchen's address, and has its larder.
(window as unknown as { happyDOM: { setURL(url: string): void } }).happyDOM.setURL(inject("kitchen"));
const { larder } = await import("../../src/ui/src/api/larder.svelte");
await larder.fetch();
