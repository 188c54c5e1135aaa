import { mkdirSync } from "node:fs";
import { expect, refusedRequests, test, whatever } from "./kitchen";
import { startServer } from "./server.mjs";

test.use({ expectErrors: refusedRequests });

test("a backup is made, looked at, restored and taken back", async ({ page, kitchen, request }) => {
  await page.goto(`${kitchen.address}/#/larder/keeping`);
  await page.getByRole("button", { name: "Back up now" }).click();
  await expect(page.getByText("Backed up.")).toBeVisible();
  const files = page.getByTestId("backups").getByRole("listitem").filter({ hasNotText: "daily" });
  await expect(files).toHaveCount(1);

  const breads = (await (await request.get(`${kitchen.address}/api/breads`)).json()) as { id: string; name: string }[];
  const coils = breads.find((b) => b.name === "Nigella coils")!;
  await request.delete(`${kitchen.address}/api/breads/${coils.id}`, { headers: whatever });
  await files.getByRole("button", { name: "Look" }).click();
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("Breads that come back: Nigella coils.");
  await expect(dialog.getByTestId("restore-preview").locator("tr", { hasText: "Breads" })).toContainText("11");
  await dialog.getByRole("button", { name: "Restore all of this" }).click();
  await expect(page.getByText(/The kitchen is as it was on/)).toBeVisible();
  await expect(files).toHaveCount(2);
  await page.goto(`${kitchen.address}/#/`);
  await expect(page.getByRole("button", { name: "Nigella coils", exact: true })).toBeVisible();
});

test("what is no backup is refused in words, and the trash gives back what it has", async ({ page, kitchen, request }) => {
  const breads = (await (await request.get(`${kitchen.address}/api/breads`)).json()) as { id: string; name: string }[];
  await request.delete(`${kitchen.address}/api/breads/${breads[0]!.id}`, { headers: whatever });
  await page.goto(`${kitchen.address}/#/larder/keeping`);
  await page
    .getByLabel("Bring a backup file")
    .setInputFiles({ name: "../kitchen.db", mimeType: "application/octet-stream", buffer: Buffer.from("no kitchen at all, only words") });
  await expect(page.getByRole("alert")).toContainText("broken or cut short");
  const trash = page.getByTestId("trash");
  await expect(trash).toContainText("30 days left");
  await trash.getByRole("button", { name: `Take back: ${breads[0]!.name}` }).click();
  await expect(trash).toContainText("Nothing in the trash.");
  await page.goto(`${kitchen.address}/#/`);
  await expect(page.getByRole("button", { name: breads[0]!.name, exact: true })).toBeVisible();
});

test("a backup made by hand is deleted once it was asked twice, by the keyboard alone", async ({ page, kitchen }) => {
  await page.goto(`${kitchen.address}/#/larder/keeping`);
  await page.getByRole("button", { name: "Back up now" }).click();
  const files = page.getByTestId("backups").getByRole("listitem").filter({ hasNotText: "daily" });
  await expect(files).toHaveCount(1);
  const bin = files.getByRole("button", { name: /^Delete ystrata-/ });
  await bin.press("Enter");
  await expect(page.getByRole("button", { name: "Leave it" })).toBeFocused();
  await page.keyboard.press("Enter");
  await bin.press("Enter");
  await page.keyboard.press("Shift+Tab");
  await page.keyboard.press("Enter");
  await expect(page.getByText(/is deleted/)).toBeVisible();
  await expect(bin).toHaveCount(0);
});

test.describe("a server of its own", () => {
  test.use({ ownServer: true, expectErrors: /net::ERR_/ });

  test("a folder elsewhere that is not there is said, and what lies there once it is", async ({ page, kitchen, request }) => {
    await kitchen.stop();
    const there = `${kitchen.data}/second-disk`;
    let server = await startServer({ data: kitchen.data, more: ["--backup-to", there] });
    await page.goto(`${server.address}/#/larder/keeping`);
    const elsewhere = page.getByTestId("elsewhere");
    await expect(elsewhere).toContainText("There is no copy in");
    await expect(elsewhere).toContainText("is its disk plugged in?");
    await server.stop();

    mkdirSync(there);
    server = await startServer({ data: kitchen.data, more: ["--backup-to", there] });
    const newest = async () =>
      ((await (await request.get(`${server.address}/api/keeping`)).json()) as { elsewhere: { newest: string | null } }).elsewhere.newest;
    await expect.poll(newest).not.toBeNull();
    await page.goto(`${server.address}/#/larder/keeping`);
    await expect(elsewhere).toContainText("The newest copy in");
    await expect(elsewhere).not.toContainText("▲");
    await server.stop();
  });
});
