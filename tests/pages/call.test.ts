import { describe, expect, test } from "vitest";
import { call, callFile, newest } from "../../src/ui/src/api/call";

const answer = (status: number, error?: unknown, headers: Record<string, string> = {}) => ({
  error,
  response: new Response(status === 204 ? null : "", { status, headers }),
});

describe("the one way to ask the kitchen", () => {
  test("gives what came, with its version", async () => {
    const said = { data: { pieces: 24 }, response: new Response("", { headers: { etag: '"abc"' } }) };
    expect(await call(() => Promise.resolve(said))).toEqual({ data: { pieces: 24 }, version: "abc", trouble: null });
  });

  test.each([
    [400, { refusals: [{ field: "name", code: "missing" }] }, { kind: "refused", refusals: [{ field: "name", code: "missing" }] }],
    [413, undefined, { kind: "refused", refusals: [{ field: "", code: "unreadable", unit: "" }] }],
    [409, { code: "placeTaken" }, { kind: "refused", refusals: [{ field: "", code: "unreadable", unit: "" }], code: "placeTaken" }],
    [409, { now: null }, { kind: "stale", now: null, version: "abc" }],
    [412, { now: { id: "x" } }, { kind: "stale", now: { id: "x" }, version: "abc" }],
    [404, undefined, { kind: "missing" }],
    [503, {}, { kind: "full" }],
    [500, {}, { kind: "fault" }],
    [507, {}, { kind: "noRoom" }],
  ])("an answer of %i says what kind of trouble it is", async (status, error, trouble) => {
    expect((await call(() => Promise.resolve(answer(status, error, { etag: '"abc"' })))).trouble).toEqual(trouble);
  });

  test("what never arrived is sent a second time, and no third", async () => {
    let sent = 0;
    const lost = () => (sent++, Promise.reject(new TypeError("Failed to fetch")));
    expect((await call(lost)).trouble).toEqual({ kind: "away" });
    expect(sent).toBe(2);
  });

  test("what would be done twice is sent once", async () => {
    let sent = 0;
    const lost = () => (sent++, Promise.reject(new TypeError("Failed to fetch")));
    expect((await call(lost, { once: true })).trouble).toEqual({ kind: "away" });
    expect(sent).toBe(1);
  });

  test("what was answered, however badly, is not sent again", async () => {
    let sent = 0;
    await call(() => (sent++, Promise.resolve(answer(500))));
    expect(sent).toBe(1);
  });

  test("a file's answer that is no JSON is no data, and one that is cut off is no answer", async () => {
    expect(await callFile(() => Promise.resolve(new Response("<html>")))).toMatchObject({ data: undefined, trouble: null });
    const cut = () => Promise.resolve(new Response('{"id":', { headers: { "content-type": "application/json" } }));
    expect((await callFile(cut)).trouble).toEqual({ kind: "away" });
  });

  test("an answer that comes after a newer one was asked for is dropped", async () => {
    const only = newest();
    let first: (n: number) => void = () => {};
    const slow = only(new Promise<number>((resolve) => (first = resolve)));
    const quick = only(Promise.resolve(2));
    first(1);
    expect([await slow, await quick]).toEqual([undefined, 2]);
  });
});
