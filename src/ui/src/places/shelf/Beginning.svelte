<script lang="ts">
  import { call, type Trouble as Why } from "../../api/call";
  import { api } from "../../api/client";
  import { larder } from "../../api/larder.svelte";
  import type { BatchSpec, PanKind, SchoolView } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Combobox from "../../parts/Combobox.svelte";
  import Select from "../../parts/Select.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import { Typed } from "../../parts/typed.svelte";
  import TypedInput from "../../parts/TypedInput.svelte";
  import { nameOf } from "../../words/names/items";
  import { panName } from "../../words/names/pan";
  import { schoolName } from "../../words/names/schools";
  import Schools from "./Schools.svelte";

  /** What a bread can begin from, and three questions that make its first batch. */
  let { onbegin }: { onbegin: (name: string, spec: BatchSpec) => void } = $props();
  const MOST_USUAL = 8;
  let pieces = $state(MOST_USUAL);
  // Nothing for what is usual for the school.
  let flour = $state("");
  let pan = $state<PanKind | "">("");
  let trouble = $state.raw<Why | null>(null);
  let plainest = $state.raw<SchoolView | null>(null);

  const id = $props.id();
  const refused = (field: string) => (trouble?.kind === "refused" ? trouble.refusals.find((r) => r.field === field) : undefined);
  const typed = new Typed(() => ({
    value: pieces,
    limit: larder.limit("start.pieces"),
    places: 0,
    refusal: refused("pieces"),
    set: (v) => {
      pieces = v ?? 0;
      trouble = null;
    },
  }));
  const flours = $derived([
    { value: "", label: m.as_usual() },
    ...(larder.view?.ingredients ?? [])
      .filter((i) => i.kind === "flour" && i.origin !== "gone")
      .map((i) => ({ value: i.id, label: nameOf(i.id) }))
      .toSorted((a, b) => a.label.localeCompare(b.label)),
  ]);
  const pans = [
    { value: "" as const, label: m.as_usual() },
    ...(Object.keys(panName) as PanKind[]).map((value) => ({ value, label: panName[value]() })),
  ];

  async function begin(school: SchoolView) {
    const body = { pieces, flour: flour || null, pan: pan || null };
    const answer = await call(() => api.POST("/api/schools/{id}/first", { params: { path: { id: school.id } }, body }));
    trouble = answer.trouble;
    if (answer.data) onbegin(schoolName(school.id), answer.data);
  }
</script>

<form
  class="mb-3 flex flex-wrap items-end gap-x-4 gap-y-2 rounded-xl border-2 border-rim-soft bg-white px-3.5 py-2.5"
  data-testid="questions"
  onsubmit={(e) => {
    e.preventDefault();
    if (plainest && !typed.unread) void begin(plainest);
  }}
>
  <label class="w-28" for={id}>
    <span class="mb-1 block leading-tight">{m.how_many()}</span>
    <TypedInput {typed} {id} class="field w-full text-end font-head font-bold" />
  </label>
  <Combobox class="min-w-44 flex-1" label={m.what_flour()} value={flour} options={flours} onchange={(v) => (flour = v)} />
  <Select class="min-w-44 flex-1" label={m.what_pan()} value={pan} options={pans} onchange={(v) => (pan = v)} />
  <button class="button strong max-sm:w-full" disabled={!plainest || typed.unread}>
    {plainest ? m.begin_with({ school: schoolName(plainest.id) }) : m.begin()}
  </button>
  {#if typed.problem}<p id="{id}-problem" class="refusal basis-full" role="alert">{typed.problem}</p>
  {:else}<div class="basis-full empty:hidden"><Trouble {trouble} /></div>{/if}
</form>
<h3 class="mb-2 text-lead font-bold">{m.or_from_picture()}</h3>
<Schools onpick={(school) => void begin(school)} onknown={(all) => (plainest = all[0] ?? null)} />
