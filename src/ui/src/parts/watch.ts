import type { Note } from "../api/types";
import { storage } from "../storage.svelte";

const READ = "read-cautions";

/** What can hurt somebody is said whole until it has been read in this browser; after that its first line is enough. */
export const read = {
  has: (code: string): boolean => (storage.read<string[]>(READ) ?? []).includes(code),
  add(code: string): void {
    if (!read.has(code)) storage.set(READ, JSON.stringify([...(storage.read<string[]>(READ) ?? []), code]));
  },
};

const HARM = { wrong: 0, caution: 1, watch: 2, right: 3 };
const AFTER_ALL = 4;

/** What spoils the bread or hurts comes first; a caution that has been read comes last. */
export function inOrderOfHarm(notes: Note[], isRead: (code: string) => boolean): Note[] {
  const harm = (note: Note) => (note.severity === "caution" && isRead(note.code) ? AFTER_ALL : HARM[note.severity]);
  return notes.toSorted((a, b) => harm(a) - harm(b));
}
