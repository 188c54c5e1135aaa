import { beforeEach, expect, test } from "vitest";
import type { Note } from "../../src/ui/src/api/types";
import { inOrderOfHarm, read } from "../../src/ui/src/parts/watch";

const note = (code: string, severity: Note["severity"]) => ({ code, severity, stage: "pan", figures: [] }) as unknown as Note;
const notes = [note("fits", "right"), note("pools", "watch"), note("hotFat", "caution"), note("smokes", "wrong"), note("steam", "caution")];
const codes = (isRead: (code: string) => boolean) => inOrderOfHarm(notes, isRead).map((n) => n.code);

beforeEach(() => localStorage.clear());

test("what spoils the bread leads, then what can hurt and was not read yet", () => {
  expect(codes(() => false)).toEqual(["smokes", "hotFat", "steam", "pools", "fits"]);
});

test("a caution that was read comes last, whatever else there is", () => {
  read.add("hotFat");
  expect(codes(read.has)).toEqual(["smokes", "steam", "pools", "fits", "hotFat"]);
});

test("what was read stays read, once", () => {
  read.add("steam");
  read.add("steam");
  expect(JSON.parse(localStorage.getItem("read-cautions")!)).toEqual(["steam"]);
  localStorage.setItem("read-cautions", "{");
  expect(read.has("steam")).toBe(false);
});
