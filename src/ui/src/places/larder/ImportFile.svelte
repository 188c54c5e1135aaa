<script lang="ts">
  import { Dialog } from "bits-ui";
  import Upload from "@lucide/svelte/icons/upload";
  import { refusalsOf } from "../../api/client";
  import { larder } from "../../api/larder.svelte";
  import type { ImportView, Refusal } from "../../api/types";
  import { batch } from "../../batch.svelte";
  import { m } from "../../paraglide/messages";
  import { toaster } from "../../toast.svelte";
  import { number } from "../../words/format";
  import { say } from "../../words/refusals";

  const MOST_BYTES = 4_000_000;
  const MOST_SHOWN = 60;
  let open = $state(false);
  let file = $state.raw<File | null>(null);
  let view = $state.raw<ImportView | null>(null);
  let problem = $state("");

  /** The file goes as it is: what it means is for the kitchen to say. */
  async function send(take: boolean): Promise<void> {
    if (!file) return;
    problem = "";
    if (file.size > MOST_BYTES) {
      problem = m.import_too_big({ size: number(file.size / 1e6, 1) });
      return;
    }
    const answer = await fetch(`/api/larder/import?take=${take}`, { method: "POST", headers: { "content-type": "text/csv" }, body: file });
    const body = (await answer.json()) as ImportView & { refusals?: Refusal[] };
    if (!answer.ok) {
      problem = refusalsOf(body).map(say).join(" ");
      return;
    }
    view = body;
    if (!body.taken) return;
    await larder.fetch();
    batch.again();
    close();
    toaster.say(m.import_taken({ count: body.added.length + body.changed.length }));
  }

  function choose(picked: FileList | null) {
    file = picked?.[0] ?? null;
    view = null;
    void send(false);
  }

  function close() {
    open = false;
    file = null;
    view = null;
    problem = "";
  }

  const columns: Record<string, () => string> = {
    name: m.item_name,
    kind: m.kind,
    density_g_ml: m.density,
    density: m.density,
    water_pct: m.water_in,
    water: m.water_in,
    fat_pct: m.fat_in,
    fat: m.fat_in,
    sugar_pct: m.sugar_in,
    salt_pct: m.salt_in,
    kcal_100g: m.kcal,
    kcalPer100G: m.kcal,
    absorption_pct: m.absorption,
    absorption: m.absorption,
    smoke_c: m.smoke_point,
    smokePoint: m.smoke_point,
    traits: m.strength,
    strength: m.strength,
    price: m.price,
  };
  const reason = (r: Refusal) => `${columns[r.field]?.() ?? r.field}: ${say(r)}`;
  const takes = $derived(view ? view.added.length + view.changed.length : 0);
</script>

<Dialog.Root bind:open={() => open, (v) => (v ? (open = true) : close())}>
  <Dialog.Trigger class="button !px-3"><Upload size={18} aria-hidden="true" />{m.import_csv()}</Dialog.Trigger>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-ink/40" />
    <Dialog.Content class="tray fixed inset-x-3 top-[8vh] z-50 mx-auto flex max-h-[84vh] max-w-2xl flex-col p-5">
      <Dialog.Title class="mb-3 text-title leading-none font-bold">{m.import_title()}</Dialog.Title>
      <label class="grid gap-1">
        <span>{m.import_pick()}</span>
        <input class="field py-2" type="file" accept=".csv,text/csv" onchange={(e) => choose(e.currentTarget.files)} />
      </label>
      {#if problem}<p class="refusal mt-2" role="alert">{problem}</p>{/if}
      {#if view}
        <p class="mt-3 flex flex-wrap gap-x-4 font-head font-semibold" data-testid="import-sums">
          <span>{m.import_added({ count: view.added.length })}</span><span>{m.import_changed({ count: view.changed.length })}</span>
          <span>{m.import_same({ count: view.same })}</span>
          {#if view.bad.length}<span class="text-chilli">▲ {m.import_bad({ count: view.bad.length })}</span>{/if}
        </p>
        <!-- Scrolled by keyboard as well. -->
        <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
        <ul class="mt-2 min-h-0 flex-1 overflow-y-auto text-[14px]" tabindex={0} aria-label={m.import_title()}>
          {#each view.bad.slice(0, MOST_SHOWN) as bad (bad.line)}
            <li class="border-b border-line py-1" data-line={bad.line}>
              <b>{m.import_line({ line: bad.line, name: bad.name || "…" })}</b>
              {#each bad.refusals as r (r.field + r.code)}<span class="refusal block">{reason(r)}</span>{/each}
            </li>
          {/each}
          {#if view.bad.length > MOST_SHOWN}<li>{m.import_more({ count: view.bad.length - MOST_SHOWN })}</li>{/if}
          {#if !view.bad.length}
            {#each [...view.added, ...view.changed].slice(0, MOST_SHOWN) as name (name)}<li class="border-b border-line py-1">
                {name}
              </li>{/each}
            {#if takes > MOST_SHOWN}<li>{m.import_more({ count: takes - MOST_SHOWN })}</li>{/if}
          {/if}
        </ul>
        {#if view.bad.length}<p class="mt-2">{m.import_nothing()}</p>
        {:else if takes === 0}<p class="mt-2">{m.import_no_change()}</p>{/if}
      {/if}
      <div class="mt-4 flex gap-2">
        {#if view && !view.bad.length && takes > 0}<button class="button strong flex-1" onclick={() => void send(true)}
            >{m.import_take({ count: takes })}</button
          >{/if}
        <Dialog.Close class="button flex-1">{m.close()}</Dialog.Close>
      </div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
