import { describe, expect, test } from "vitest";
import { keyOf } from "../../src/ui/src/keys";

describe("a key is called the same on a keyboard of any script", () => {
  test.each([
    ["f", "KeyF", false, "F"],
    ["F", "KeyF", true, "F"],
    // By what is printed, not by where it is: on a Dvorak or French keyboard letters lie elsewhere.
    ["u", "KeyF", false, "U"],
    ["а", "KeyF", false, "F"],
    ["ب", "KeyF", false, "F"],
    ["ㄹ", "KeyF", false, "F"],
    ["١", "Digit1", false, "1"],
    ["é", "Digit2", false, "2"],
    ["؟", "Slash", true, "?"],
    ["ظ", "Slash", false, "/"],
    ["х", "BracketLeft", false, "["],
    [" ", "Space", false, " "],
    ["Escape", "Escape", false, "Escape"],
    ["Dead", "BracketLeft", false, "Dead"],
    ["ß", "Minus", false, "ß"],
  ])("%s at %s", (key, code, shiftKey, name) => {
    expect(keyOf({ key, code, shiftKey })).toBe(name);
  });
});
