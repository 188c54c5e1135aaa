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
  import { ask } from "../../stages/dough/ledger";
  import { amount, number, parseNumber } from "../../words/format";
  import { say } from "../../words/refusals";
  import { viewOf } from "../../words/units";

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
  let typed = $state<string | null>(null);
  let trouble = $state.raw<Why | null>(null);
  const only = newest();

  const ways: { by: Exclude<StartBy, "filling">; label: () => string; unit: string }[] = [
    { by: "pieces", label: m.start_pieces, unit: "" },
    { by: "people", label: m.start_people, unit: "" },
    { by: "flour", label: m.start_flour, unit: "g" },
    { by: "liquid", label: m.start_liquid, unit: "g" },
  ];
  const way = $derived(ways.find((w) => w.by === spec.start.by) ?? ways[0]!);
  const view = $derived(viewOf(way.unit));
  const unread = $derived(typed !== null && parseNumber(typed) === null);

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
    if (sheet) ask(spec, sheet, by);
    typed = null;
    planned = plan();
  }

  // A filling is made for as many pieces as there are.
  async function openIt() {
    await planned;
    const fit = sheet?.notes.flatMap((n) => n.mends ?? []).find((mend) => mend.code === "fillingTimes");
    onopen({ ...$state.snapshot(spec), ...(fit?.filling && { filling: fit.filling }) });
  }

  function type(text: string) {
    typed = text;
    const read = parseNumber(text);
    if (read === null) return;
    spec.start[way.by] = view.from(read);
    planned = plan();
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
    <input
      class="field w-40 text-end font-head text-huge font-bold"
      inputmode="decimal"
      maxlength="40"
      value={typed ?? number(view.to(spec.start[way.by]), 1)}
      aria-invalid={unread || refusals.length ? "true" : undefined}
      oninput={(e) => type(e.currentTarget.value)}
    />
    <span class="text-big">{view.symbol || way.label()}</span>
  </label>
  {#if unread}<p class="refusal text-center">{say({ ...larder.limit(`start.${way.by}`), code: "notANumber" })}</p>
  {:else if refusals[0]}<p class="refusal text-center">{say(refusals[0])}</p>
  {:else if sheet}<p class="mt-2 text-center" data-testid="scaled">
      {m.makes()} <b>{m.start_makes({ count: sheet.balls.count, mass: amount(sheet.balls.mass, "g") })}</b>
      {m.start_makes_flour({ flour: amount(sheet.dough.flour, "g") })}
    </p>{/if}
  <div class="mt-4 flex gap-2">
    <button class="button strong flex-1" disabled={unread || refusals.length > 0} onclick={openIt}>{m.open_it()}</button>
    <DialogClose class="button flex-1" />
  </div>
</Dialog>
