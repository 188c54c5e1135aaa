import type { APIRequestContext, Page } from "@playwright/test";
import { expect } from "./kitchen";
import type { startServer } from "./server.mjs";

export type Kitchen = Awaited<ReturnType<typeof startServer>>;

// Every service here is made as soon as can be, so that its first thing is due at once.
export async function begin(
  request: APIRequestContext,
  address: string,
  { pieces = 6, pans = 2, people = 1, bread = "Night-crew squares", finish = "none" } = {},
) {
  const breads = (await (await request.get(`${address}/api/breads`)).json()) as {
    id: string;
    name: string;
    spec: Record<string, object>;
  }[];
  const { id, name, spec } = breads.find((b) => b.name === bread)!;
  const kept = await request.post(`${address}/api/batches`, {
    data: {
      breadId: id,
      name,
      madeFor: new Date().toISOString(),
      spec: {
        ...spec,
        start: { ...spec.start, by: "pieces", pieces },
        pan: { ...spec.pan, finish },
        clock: { people, pans, by: "soonest" },
      },
    },
  });
  const service = await request.post(`${address}/api/services`, { data: { batchId: ((await kept.json()) as { id: string }).id } });
  return ((await service.json()) as { id: string }).id;
}

export async function openStove(page: Page, kitchen: Kitchen, id: string) {
  await page.goto(`${kitchen.address}/#/stove/${id}`);
  await expect(page.getByTestId("belt")).toBeVisible();
  await showPans(page);
}

export const pan = (page: Page, number: number) => page.getByRole("region", { name: `Pan ${number}`, exact: true });

/** Long before the first piece the pans are one line: it is pressed open, once it is known whether they are. */
export async function showPans(page: Page) {
  const line = page.getByTestId("pans-line").getByRole("button");
  await expect(line.or(page.locator("[data-pan]").first()).or(page.locator(".shows-hands")).first()).toBeVisible();
  if (await line.isVisible()) await line.click();
}
