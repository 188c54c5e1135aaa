<script lang="ts">
  import { call, newest, type Trouble as Why } from "../../api/call";
  import { changes } from "../../api/changes.svelte";
  import { api, meant } from "../../api/client";
  import type { RecipeRead, Refusal, SettledLine } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { newId } from "../../ids";
  import Dialog from "../../parts/Dialog.svelte";
  import DialogClose from "../../parts/DialogClose.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import { toaster, told } from "../../toast.svelte";
  import { amount, number } from "../../words/format";
  import { say } from "../../words/refusals";
  import { troubleWords } from "../../words/trouble";
  import RecipeLine from "./RecipeLine.svelte";

  /** A recipe from elsewhere as a bread, out of a file or pasted as text: what was understood, and what the cook has to settle. */
  let { file, onclose }: { file?: File; onclose: () => void } = $props();
  const MOST_BYTES = 900_000;
  let read = $state.raw<RecipeRead | null>(null);
  let name = $state("");
  let settled = $state.raw<SettledLine[]>([]);
  let problem = $state("");
  let refusals = $state.raw<Refusal[]>([]);
  let text = "";
  let trouble = $state.raw<Why | null>(null);
  const only = newest();
  // Pressed again after an answer that was lost, it is one bread.
  const id = newId();

  const open = (trouble: string) => ["noAmount", "twoWays", "noIngredient", "several"].includes(trouble);
  const unsettled = $derived(read?.lines.filter((l) => open(l.trouble)).length ?? 0);
  const understood = $derived(read?.steps.filter((s) => s.told !== "nothing") ?? []);
  const words = $derived(read?.steps.filter((s) => s.told === "nothing") ?? []);
  const toldName: Record<string, () => string> = {
    rest: m.told_rest,
    across: m.told_across,
    heat: m.told_heat,
    sides: m.told_sides,
    pieces: m.told_pieces,
  };

  let pasted = $state("");
  // svelte-ignore state_referenced_locally
  if (file) void begin(file);

  async function take() {
    if (new Blob([pasted]).size > MOST_BYTES) {
      problem = m.recipe_too_big({ size: number(pasted.length / 1e6, 1) });
      return;
    }
    [text, settled] = [pasted, []];
    await ask();
    if (read) name = read.name || m.new_bread_name();
  }

  async function begin(file: File) {
    if (file.size > MOST_BYTES) {
      problem = m.recipe_too_big({ size: number(file.size / 1e6, 1) });
      return;
    }
    text = await file.text();
    await ask();
    name = read?.name || m.new_bread_name();
  }

  async function ask() {
    const answer = await only(call(() => api.POST("/api/files/recipes", { body: { file: text, settled } })));
    if (!answer) return;
    if (answer.data) read = answer.data;
    problem = answer.trouble ? troubleWords(answer.trouble) : "";
  }

  function settle(line: SettledLine) {
    settled = [...settled.filter((s) => s.line !== line.line), line];
    void ask();
  }

  async function keep() {
    if (!read?.spec) return;
    const body = { name, about: read.about, tags: read.tags, spec: read.spec, id };
    const { data, trouble: why } = await call(() => api.POST("/api/breads", { body }));
    refusals = why?.kind === "refused" ? why.refusals : [];
    trouble = why && why.kind !== "refused" ? why : null;
    if (!data) return;
    changes.tell("breads");
    onclose();
    toaster.say(m.bread_made({ name: data.name }), async () => {
      const params = { path: { id: data.id }, header: meant(data.version) };
      await told(
        m.undo(),
        call(() => api.DELETE("/api/breads/{id}", { params })),
      );
      changes.tell("breads");
    });
  }
</script>

<Dialog open title={m.recipe_title()} wide="wide" {onclose}>
  {#if !file && !read}
    <label class="grid gap-1"
      >{m.recipe_paste_how()}
      <textarea class="field h-80 w-full py-2" data-testid="pasted" bind:value={pasted}></textarea></label
    >
  {/if}
  {#if problem}<p class="refusal" role="alert">{problem}</p>{/if}
  <Trouble {trouble} />
  {#if read}
    <label class="mb-2 grid gap-1">{m.item_name()}<input class="field" maxlength="80" bind:value={name} /></label>
    <div>
      {#if read.lines.length}
        <h3 class="font-bold">{m.recipe_lines()}</h3>
        <ul data-testid="recipe-lines">
          {#each read.lines as line, i (i)}
            <RecipeLine {line} number={i} settled={settled.find((s) => s.line === i)} onsettle={settle} />
          {/each}
        </ul>
      {:else if read.spec}<p class="text-leaf">✓ {m.recipe_own()}</p>{/if}
      {#if understood.length}
        <h3 class="mt-3 font-bold">{m.recipe_told()}</h3>
        <ul>
          {#each understood as s (s.told)}
            <li class="border-b border-line py-1">
              <b class="text-leaf">✓ {toldName[s.told]?.()} {s.figure ? amount(s.figure.value, s.figure.unit) : ""}</b>
              <span class="block text-small text-mute">{s.text}</span>
            </li>
          {/each}
        </ul>
      {/if}
      {#if words.length}
        <h3 class="mt-3 font-bold">{m.recipe_words()}</h3>
        <p class="text-small text-mute">{m.recipe_words_how()}</p>
        <ul class="ms-5 list-disc text-small">
          {#each words as s, i (i)}<li>{s.text}</li>{/each}
        </ul>
      {/if}
    </div>
    {#each [...read.refusals, ...refusals] as r (r.field + r.code)}<p class="refusal mt-1">
        {r.field === "dough.flours" ? m.recipe_no_flour() : say(r)}
      </p>{/each}
    {#if unsettled}<p class="mt-2 font-semibold text-chilli" role="status">▲ {m.recipe_unsettled({ count: unsettled })}</p>{/if}
  {/if}
  <div class="mt-3 flex flex-wrap gap-2">
    {#if !file && !read}<button class="button strong flex-1" disabled={!pasted.trim()} onclick={() => void take()}>{m.recipe_read()}</button
      >{/if}
    {#if !file && read}<button class="button" onclick={() => (read = null)}>{m.recipe_text_again()}</button>{/if}
    {#if read?.spec}<button
        class="button strong flex-1"
        disabled={unsettled > 0 || read.refusals.length > 0 || !name.trim()}
        onclick={() => void keep()}>{m.recipe_keep()}</button
      >{/if}
    <DialogClose class="button flex-1" />
  </div>
</Dialog>
