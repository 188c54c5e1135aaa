<script lang="ts">
  import { call } from "../../api/call";
  import { api } from "../../api/client";
  import { listenToProbe } from "../../api/instruments.svelte";
  import type { Cookware, Flame, ProbeView } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Fold from "../../parts/Fold.svelte";
  import Segments from "../../parts/Segments.svelte";
  import Switch from "../../parts/Switch.svelte";
  import { told } from "../../toast.svelte";
  import { amount, number } from "../../words/format";
  import { flameName } from "../../words/names/pan";
  import { viewOf } from "../../words/units";
  import type { StageProps } from "../props";

  /** The pan as it is measured, against what was planned; the plan follows it while it is told to. */
  let { spec, sheet }: StageProps = $props();
  let view = $state.raw<ProbeView | null>(null);
  void call(() => api.GET("/api/probe")).then(({ data }) => (view = data ?? view));

  const follows = $derived(spec.pan.measured != null);
  const probe = listenToProbe((reading) => {
    // A probe shivers: the plan follows where it goes, not every degree of it.
    if (follows && reading.state === "ready" && reading.pan != null && Math.abs(reading.pan - (spec.pan.measured ?? 0)) >= followFrom)
      take(reading.pan);
  });
  const followFrom = 4;
  const take = (pan: number) => batch.change(() => (spec.pan.measured = Math.round(pan)));
  const follow = (on: boolean) => {
    if (!on) batch.change(() => delete spec.pan.measured);
    else if (probe.now.pan != null) take(probe.now.pan);
  };
  const heat = $derived(viewOf("°C"));
  const off = $derived(probe.now.pan == null ? 0 : Math.round(heat.to(probe.now.pan) - heat.to(spec.pan.temperature)));
  const stateName = {
    ready: () => (off === 0 ? m.probe_even() : off > 0 ? m.probe_hotter({ by: number(off, 0) }) : m.probe_cooler({ by: number(-off, 0) })),
    unplugged: m.probe_unplugged,
    unreadable: m.probe_unreadable,
  };

  async function play(body: { on?: Cookware; laid?: boolean; plugged?: boolean }) {
    const { data } = await told(
      m.probe_stand_in(),
      call(() => api.POST("/api/probe/stand-in", { body })),
    );
    view = data ?? view;
  }
</script>

<section aria-label={m.probe()} class="grid content-start gap-2">
  <h2 class="text-body font-bold">{m.probe()}</h2>
  <div class="flex flex-wrap items-end gap-x-4">
    <p class="min-w-[4.2ch] font-head text-dial leading-none font-bold" data-testid="probe">
      {probe.now.pan == null ? "—" : amount(probe.now.pan, "°C")}
    </p>
    <p
      class="text-body font-semibold {probe.now.state === 'ready' && Math.abs(off) < 10 ? 'text-leaf' : 'text-chilli'}"
      role="status"
      data-testid="probe-state"
      data-state={probe.now.state}
    >
      {stateName[probe.now.state]()}
    </p>
  </div>
  <Switch label={m.probe_follow()} checked={follows} disabled={!follows && probe.now.pan == null} onchange={follow} />
  {#if follows}<p class="font-bold">
      {m.probe_planned({ measured: amount(spec.pan.measured ?? 0, "°C"), total: amount(sheet.pan.program.total, "s") })}
    </p>{/if}
  {#if view?.standIn && view.on}
    {@const on = view.on}
    <Fold label={m.probe_stand_in()}>
      <div class="grid gap-1.5">
        <Segments
          bare
          label={m.flame()}
          value={on.flame}
          options={(Object.keys(flameName) as Flame[]).map((value) => ({ value, label: flameName[value]() }))}
          onchange={(flame) => play({ on: { ...on, flame } })}
        />
        <button class="button px-3" onclick={() => play({ laid: !view!.laid })}>{view.laid ? m.probe_lift() : m.probe_lay()}</button>
        <button class="button px-3" onclick={() => play({ plugged: !view!.plugged })}
          >{view.plugged ? m.stand_in_unplug() : m.stand_in_plug()}</button
        >
      </div>
    </Fold>
  {/if}
</section>
