import { expect, test } from "vitest";
import { isOlder } from "../../src/ui/src/live/line";

test.each([
  ["a.4", "a.4", false],
  ["a.4", "a.5", true],
  // The list was read after the line was there: what came between the two the line has told.
  ["a.5", "a.4", false],
  ["a.9", "a.10", true],
  // Another life of the kitchen: nobody knows what was changed.
  ["a.4", "b.4", true],
])("what was read at %s is older than a line that begins at %s: %s", (read, line, older) => {
  expect(isOlder(read, line)).toBe(older);
});
