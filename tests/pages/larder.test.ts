import { afterEach, expect, test, vi } from "vitest";
import { larder } from "../../src/ui/src/api/larder.svelte";

afterEach(() => vi.unstubAllGlobals());

test("an answer of the larder that was overtaken by a newer one takes nothing back", async () => {
  const waiting: ((coin: string) => void)[] = [];
  vi.stubGlobal("fetch", () => {
    const answered = new Promise<string>((answer) => waiting.push(answer));
    return answered.then((coin) => Response.json({ ...larder.view, units: { ...larder.view?.units, coin }, unitsVersion: coin }));
  });
  const both = [larder.fetch(), larder.fetch()];
  await vi.waitFor(() => expect(waiting).toHaveLength(2));
  waiting[1]!("new");
  await both[1];
  expect(larder.view?.units.coin).toBe("new");
  waiting[0]!("old");
  await both[0];
  expect(larder.view?.units.coin).toBe("new");
});
