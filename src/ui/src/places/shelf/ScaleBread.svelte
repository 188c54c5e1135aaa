<script lang="ts">
  import { call, newest, type Trouble as Why } from "../../api/call";
  import { api } from "../../api/client";
  import { larder } from "../../api/larder.svelte";
  import type { BatchSheet, BatchSpec, BreadView, Refusal, StartBy } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Dialog from "../../parts/Dialog.svelte";
  import DialogClose from "../../parts/DialogClose.svelte";
  import Segments from "../../parts/Segments.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import { Typed } from "../../parts/typed.svelte";
  import TypedInput from "../../parts/TypedInput.svelte";
  import { amount } from "../../words/format";

  interface Props {
    bread: BreadView;
    onclose: () => void;
    onopen: (spec: BatchSpec) => void;
  }
  let { bread, onclose, onopen }: Props = $props();
  // The dialog is keyed by its bread, so what it starts from never changes under it.
  // svelte-ignore state_referenced_locally
  let spec = $state(structuredClone(bread.spec));
  let sheet = $state.raw<BatchSheet | null>(null);
  let refusals = $state.raw<Refusal[]>([]);
  let trouble = $state.raw<Why | null>(null);
  const only = newest();

  const ways: { by: Exclude<StartBy, "filling">; label: () => string; unit: string }[] = [
    { by: "pieces", label: m.start_pieces, unit: "" },
    { by: "people", label: m.start_people, unit: "" },
    { by: "flour", label: m.start_flour, unit: "g" },
    { by: "liquid", label: m.start_liquid, unit: "g" },
  ];
  const way = $derived(ways.find((w) => w.by === spec.start.by) ?? ways[0]!);
  const id = $props.id();
  const typed = new Typed(() => ({
    value: spec.start[way.by],
    limit: larder.limit(`start.${way.by}`),
    unit: way.unit,
    places: 1,
    refusal: refusals[0],
    set: (v) => {
      spec.start[way.by] = v ?? 0;
      planned = plan();
    },
  }));

  // What goes by the sheet waits for the newest.
  let planned = plan();
  async function plan() {
    const body = $state.snapshot(spec);
    const answer = await only(call(() => api.POST("/api/plan", { body })));
    if (!answer) return;
    if (answer.data) sheet = answer.data;
    refusals = answer.trouble?.kind === "refused" ? answer.trouble.refusals : [];
    trouble = answer.trouble && answer.trouble.kind !== "refused" ? answer.trouble : null;
  }

  async function choose(by: StartBy) {
    await planned;
    const body = { spec: $state.snapshot(spec), move: { kind: "ask" as const, question: by } };
    const answer = await call(() => api.POST("/api/ledger", { body }));
    if (answer.data) spec = answer.data;
    planned = plan();
  }

  // A filling is made for as many pieces as there are.
  async function openIt() {
    await planned;
    const fit = sheet?.notes.flatMap((n) => n.mends ?? []).find((mend) => mend.code === "fillingTimes");
    onopen({ ...$state.snapshot(spec), ...(fit?.filling && { filling: fit.filling }) });
  }
</script>

<Dialog open title={m.scale_title({ name: bread.name })} wide="narrow" {onclose}>
  <Trouble {trouble} again={() => (planned = plan())} />
  <Segments
    bare
    label={m.start_from()}
    value={way.by}
    disabled={!sheet}
    options={ways.map(({ by, label }) => ({ value: by, label: label() }))}
    onchange={(by) => void choose(by)}
  />
  <label class="mt-4 flex items-center justify-center gap-2">
    <span class="sr-only">{way.label()}</span>
    <TypedInput {typed} {id} class="field w-40 text-end font-head text-huge font-bold" />
    <span class="text-big">{typed.view.symbol || way.label()}</span>
  </label>
  <!-- What is pressed below stays where it is when this comes. -->
  <div class="grid min-h-14 content-center text-center">
    {#if typed.problem}<p id="{id}-problem" class="refusal">{typed.problem}</p>
    {:else if sheet}<p data-testid="scaled">
        {m.makes()} <b>{m.start_makes({ count: sheet.balls.count, mass: amount(sheet.balls.mass, "g") })}</b>
        {m.start_makes_flour({ flour: amount(sheet.dough.flour, "g") })}
      </p>{/if}
  </div>
  <div class="mt-2 flex gap-2">
    <button class="button strong flex-1" disabled={typed.unread || refusals.length > 0} onclick={openIt}>{m.open_it()}</button>
    <DialogClose class="button flex-1" />
  </div>
</Dialog>
