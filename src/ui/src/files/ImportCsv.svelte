<script lang="ts">
  import Upload from "@lucide/svelte/icons/upload";
  import { callFile } from "../api/call";
  import { sendFile } from "../api/client";
  import { larder } from "../api/larder.svelte";
  import type { ImportView } from "../api/types";
  import { m } from "../paraglide/messages";
  import Dialog from "../parts/Dialog.svelte";
  import DialogClose from "../parts/DialogClose.svelte";
  import { number } from "../words/format";
  import { troubleWords } from "../words/trouble";
  import BadLines from "./BadLines.svelte";

  /** A CSV file, read by the kitchen: what it would change, and then all of it or nothing. */
  interface Props {
    path: "/api/larder/import" | "/api/log/import";
    title: string;
    plain?: boolean;
    ontaken: (count: number) => void | Promise<void>;
  }
  let { path, title, plain = false, ontaken }: Props = $props();
  const MOST_SHOWN = 60;
  let open = $state(false);
  let file = $state.raw<File | null>(null);
  let view = $state.raw<ImportView | null>(null);
  let problem = $state("");

  /** The file goes as it is: what it means is for the kitchen to say. */
  async function send(take: boolean): Promise<void> {
    if (!file) return;
    problem = "";
    const most = larder.view?.mostFileBytes ?? Infinity;
    if (file.size > most) {
      problem = m.import_too_big({ most: number(most / 1e6, 1), size: number(file.size / 1e6, 1) });
      return;
    }
    const headers = { "content-type": "text/csv" };
    const chosen = file;
    const { data: body, trouble } = await callFile<ImportView>(
      () => sendFile(`${path}?take=${take}`, { method: "POST", headers, body: chosen }),
      { once: take },
    );
    // Another file was chosen meanwhile.
    if (chosen !== file) return;
    if (trouble) {
      problem = troubleWords(trouble);
      return;
    }
    view = body;
    if (!body.taken) return;
    await ontaken(body.added.length + body.changed.length);
    close();
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

  const takes = $derived(view ? view.added.length + view.changed.length : 0);
</script>

<Dialog bind:open={() => open, (v) => (v ? (open = true) : close())} {title} triggerClass={plain ? "button plain" : "button px-3"}>
  {#snippet trigger()}{#if !plain}<Upload size={18} aria-hidden="true" />{/if}{m.import_csv()}{/snippet}
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
    {#if view.bad.length}
      <BadLines bad={view.bad} />
      <p class="mt-2">{m.import_nothing()}</p>
    {:else}
      <ul class="mt-2 text-small" aria-label={title}>
        {#each [...view.added, ...view.changed].slice(0, MOST_SHOWN) as name, i (i)}<li class="border-b border-line py-1">
            {name}
          </li>{/each}
        {#if takes > MOST_SHOWN}<li>{m.import_more({ count: takes - MOST_SHOWN })}</li>{/if}
      </ul>
      {#if takes === 0}<p class="mt-2">{m.import_no_change()}</p>{/if}
    {/if}
  {/if}
  <div class="mt-4 flex gap-2">
    {#if view && !view.bad.length && takes > 0}<button class="button strong flex-1" onclick={() => void send(true)}
        >{m.import_take({ count: takes })}</button
      >{/if}
    <DialogClose class="button flex-1" />
  </div>
</Dialog>
