import { expect, test } from "vitest";
import { countdown } from "../../src/ui/src/words/stove";

test("minutes and seconds to go, and over", () => {
  expect([18, 64.2, 599, 0].map(countdown)).toEqual(["0:18", "1:05", "9:59", "0:00"]);
  expect(countdown(-12)).toBe("+0:12");
});

test("a long wait is told in hours and minutes, which nobody reads off in seconds", () => {
  expect(countdown(6522)).toBe("109 min");
  expect(countdown(3 * 3600)).toBe("3 h");
  expect(countdown(3600 * 4 + 1200)).toBe("4 h 20");
});
