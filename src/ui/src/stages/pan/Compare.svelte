<script lang="ts">
  import Check from "@lucide/svelte/icons/check";
  import { call, newest, type Trouble as Why } from "../../api/call";
  import { api } from "../../api/client";
  import { larder } from "../../api/larder.svelte";
  import type { Cookware, Flame, PanKind, PanSheet } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Select from "../../parts/Select.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import { amount, apart, number } from "../../words/format";
  import { darkName, failureName, flameName, panName } from "../../words/names/pan";
  import { toaster } from "../../toast.svelte";
  import type { StageProps } from "../props";
  import Chart from "./Chart.svelte";

  /** The same piece on two pans or two flames, side by side on one clock. */
  let { spec, sheet }: StageProps = $props();
  const kinds = (Object.keys(panName) as PanKind[]).map((value) => ({ value, label: panName[value]() }));
  const flames = (Object.keys(flameName) as Flame[]).filter((f) => f !== "off").map((value) => ({ value, label: flameName[value]() }));
  // The other one: a light pan beside a heavy one, or the heavy one beside any other.
  let other = $state<{ kind: PanKind; flame: Flame }>({ kind: "nonStick", flame: "medium" });
  const mine = $derived(spec.pan.on ?? sheet.pan.heat.on);
  const pans = $derived<Cookware[]>([
    mine,
    { ...(larder.view?.pans.find((p) => p.kind === other.kind) ?? mine), ...(other.kind === mine.kind ? mine : {}), flame: other.flame },
  ]);
  let sheets = $state.raw<PanSheet[]>([]);
  let trouble = $state.raw<Why | null>(null);
  const only = newest();

  $effect(() => void ask());
  async function ask() {
    const body = { spec: $state.snapshot(spec), pans };
    const answer = await only(call(() => api.POST("/api/pan/compare", { body })));
    if (!answer) return;
    sheets = answer.data ?? [];
    // What cannot be is said on the bench.
    trouble = answer.trouble?.kind === "refused" ? null : answer.trouble;
  }
  const span = $derived(Math.max(...sheets.map((s) => s.program.total), 60));

  function take() {
    const before = $state.snapshot(spec.pan);
    batch.change(() => ((spec.pan.on = pans[1]!), delete spec.pan.own));
    toaster.say(
      m.compare_taken(),
      batch.back((spec) => (spec.pan = before)),
    );
  }
  const nameOf = (c: Cookware) => m.pan_on_flame({ pan: panName[c.kind](), flame: flameName[c.flame].within() });
</script>

<Trouble {trouble} again={ask} />
<div class="mb-2 flex flex-wrap items-end gap-2">
  <Select class="w-52" label={m.compare_pan_with()} value={other.kind} options={kinds} onchange={(kind) => (other.kind = kind)} />
  <Select class="w-40" label={m.flame()} value={other.flame} options={flames} onchange={(flame) => (other.flame = flame)} />
  <button class="button" onclick={take}><Check size={16} aria-hidden="true" />{m.compare_take()}</button>
</div>
<div class="grid gap-x-5 gap-y-4 md:grid-cols-2" data-testid="pans">
  {#each sheets as pan, i (i)}
    <section class="min-w-0" aria-label={nameOf(pan.heat.on)}>
      <h2 class="text-big font-bold">{nameOf(pan.heat.on)}</h2>
      {#if pan.program.failure}
        <p class="rounded-xl border-2 border-chilli bg-chilli-soft p-3 font-semibold">{failureName[pan.program.failure]()}</p>
      {:else}
        <p class="mb-1 text-body">
          <b class="font-head text-title" data-testid="compared"
            >{apart(m.turns_s({ times: pan.program.turns.map((t) => number(t.time, 0)).join(" + ") }))}</b
          >
        </p>
        <Chart {pan} {span} height={236} label={nameOf(pan.heat.on)} />
        <dl class="mt-1 grid grid-cols-[auto_minmax(0,1fr)] gap-x-3 text-body">
          <dt class="text-mute">{m.pan_in_all()}</dt>
          <dd class="font-semibold">{amount(pan.program.total, "s")}</dd>
          <dt class="text-mute">{m.pan_between()}</dt>
          <dd class="font-semibold">{amount(pan.heat.low, "°C")} – {amount(pan.heat.high, "°C")}</dd>
          <dt class="text-mute">{m.faces()}</dt>
          <dd class="font-semibold">{darkName(pan.done.first)}, {darkName(pan.done.second)}</dd>
          <dt class="text-mute">{m.water_gone()}</dt>
          <dd class="font-semibold">{amount(pan.done.lost, "%")}</dd>
          <dt class="text-mute">{m.pan_under_twentieth()}</dt>
          <dd class="font-semibold">{amount(pan.row.pieces.at(-1)?.pan ?? pan.heat.low, "°C")}</dd>
        </dl>
      {/if}
    </section>
  {/each}
</div>
