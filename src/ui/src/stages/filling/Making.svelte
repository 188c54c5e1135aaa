<script lang="ts">
  import { tick } from "svelte";
  import { larder } from "../../api/larder.svelte";
  import type { FillingState, FillingStep, FillingStepKind } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Pick from "../../parts/Pick.svelte";
  import { toaster } from "../../toast.svelte";
  import { amount } from "../../words/format";
  import { fillingFeelName, fillingStepName, fillingTest } from "../../words/names/filling";
  import { shortName } from "../../words/names/items";
  import { moved } from "../steps";
  import type { StageProps } from "../props";
  import Astray from "./Astray.svelte";
  import Bar from "./Bar.svelte";
  import EditPart from "./EditPart.svelte";
  import EditStep from "./EditStep.svelte";
  import Season from "./Season.svelte";
  import { captionOf } from "../../words/filling";
  import { kinds, newStep, pathOf, stepsOf, type Where } from "./steps";

  let { spec, sheet }: StageProps = $props();
  const filling = $derived(spec.filling!);
  const made = $derived(sheet.filling!);
  // What is open below the ladder: a step, a part, the picker of a new step, or salt and liquor.
  let open = $state<{ where: Where; at: number | null; adding: boolean } | null>(null);
  let ladder: HTMLElement;
  const step = $derived(open && open.at !== null ? stepsOf(filling, open.where)[open.at] : undefined);

  const groups = $derived<{ where: Where; name: string; start: FillingState; rows: typeof made.rows; steps: FillingStep[] }[]>([
    ...made.parts.flatMap((p, i) =>
      filling.parts[i] ? [{ where: i, name: shortName(p.id), start: p.start, rows: p.rows, steps: filling.parts[i].steps }] : [],
    ),
    { where: "together", name: m.all_together(), start: made.together, rows: made.rows, steps: filling.together },
  ]);
  const full = $derived(Math.max(...groups.flatMap((g) => [g.start.mass, ...g.rows.map((r) => r.state.mass)])));
  const mostSteps = $derived(larder.view?.mostFillingSteps ?? 0);
  const tone = $derived({ loose: "text-ghee-deep", holds: "text-leaf", rollInFlour: "text-ghee-deep", weeps: "text-chilli" }[made.feel]);
  const sign = $derived({ loose: "◇", holds: "✓", rollInFlour: "~", weeps: "▲" }[made.feel]);

  const press = (where: Where, at: number | null) => {
    const same = open && open.where === where && open.at === at && !open.adding;
    open = same ? null : { where, at, adding: false };
  };

  async function lay(where: Where, steps: FillingStep[], at: number | null) {
    batch.change(() => {
      if (where === "together") filling.together = steps;
      else if (filling.parts[where]) filling.parts[where].steps = steps;
    });
    open = at === null ? null : { where, at, adding: false };
    await tick();
    if (at !== null) ladder.querySelector<HTMLElement>(`[data-step="${where}-${at}"]`)?.focus();
  }

  const add = (where: Where, kind: FillingStepKind) => {
    const steps = stepsOf(filling, where);
    return lay(where, [...steps, newStep(kind)], steps.length);
  };
  const move = (where: Where, from: number, to: number) => {
    const steps = stepsOf(filling, where);
    if (to >= 0 && to < steps.length) void lay(where, moved(steps, from, to), to);
  };
  function remove(where: Where, at: number) {
    const before = $state.snapshot(stepsOf(filling, where)) as FillingStep[];
    const gone = before[at];
    if (!gone) return;
    void lay(
      where,
      before.filter((_, i) => i !== at),
      before.length > 1 ? Math.min(at, before.length - 2) : null,
    );
    toaster.say(
      m.step_removed({ step: fillingStepName[gone.kind]() }),
      batch.back((spec) => {
        const { filling } = spec;
        const part = where === "together" ? filling : filling?.parts[where];
        if (!part) return;
        if ("together" in part) part.together = before;
        else part.steps = before;
      }),
    );
  }

  function removePart(at: number) {
    const before = $state.snapshot(filling.parts);
    open = null;
    batch.change(() => filling.parts.splice(at, 1));
    toaster.say(
      m.part_gone({ item: shortName(before[at]?.id ?? "") }),
      batch.back((spec) => spec.filling && (spec.filling.parts = before)),
    );
  }

  function unstuff() {
    const before = $state.snapshot(filling);
    batch.change(() => (spec.filling = undefined));
    toaster.say(
      m.unstuffed(),
      batch.back((spec) => (spec.filling = before)),
    );
  }

  function keys(event: KeyboardEvent, where: Where, i: number) {
    if (event.altKey && event.key === "ArrowLeft") move(where, i, i - 1);
    else if (event.altKey && event.key === "ArrowRight") move(where, i, i + 1);
    else if (event.key === "Delete") remove(where, i);
    else return;
    event.preventDefault();
  }
  const inSight = $derived(
    open?.at != null
      ? `${pathOf(open.where)}[${open.at}]`
      : typeof open?.where === "number" && !open.adding
        ? `filling.parts[${open.where}]`
        : "filling.saltWanted",
  );
</script>

<p class="mb-2 leading-tight" data-testid="verdict" data-feel={made.feel}>
  <b class="font-head text-title {tone}"><span aria-hidden="true">{sign}</span> {fillingFeelName[made.feel]()}</b>
  <span class="ms-1 font-head font-semibold"
    >{made.end.free >= 0 ? `${amount(made.end.runs, "%")} ${m.free_water()}` : m.room_for({ mass: amount(-made.end.free, "g") })}</span
  >
  {#if made.holdsFor != null}<span class="ms-1 font-head font-semibold text-ghee-deep" data-testid="holds-for"
      >{m.holds_for({ time: amount(Math.floor(made.holdsFor), "min") })}</span
    >{/if}
  <span class="block text-small text-mute sm:inline">{fillingTest[made.feel]()}</span>
</p>

<div bind:this={ladder} class="flex flex-wrap gap-x-1 gap-y-2" role="group" aria-label={m.ladder()}>
  {#each groups as group (group.where)}
    <section aria-label={group.name}>
      <h2 class="text-small font-bold">{group.name}</h2>
      <ol class="flex flex-wrap gap-x-1 gap-y-2">
        {#if group.where !== "together"}
          <li class="w-16">
            <button
              class="tile"
              data-part={group.where}
              aria-pressed={open?.where === group.where && open.at === null && !open.adding}
              onclick={() => press(group.where, null)}
            >
              <Bar state={group.start} {full} />
              <span class="name">{m.start_of_part()}</span>
              <span class="sr-only">{amount(group.start.mass, "g")}</span>
            </button>
          </li>
        {:else if groups.length > 2}
          <li class="w-16">
            <div class="tile"><Bar state={group.start} {full} /><span class="name">{m.joined()}</span></div>
          </li>
        {/if}
        {#each group.steps as s, i (i)}
          {@const row = group.rows[i]}
          <li class="w-16">
            <button
              class="tile"
              data-step="{group.where}-{i}"
              aria-pressed={open?.where === group.where && open.at === i && !open.adding}
              aria-describedby="filling-keys"
              onclick={() => press(group.where, i)}
              onkeydown={(e) => keys(e, group.where, i)}
            >
              {#if row}<Bar
                  state={row.state}
                  {full}
                  weighed={s.after != null || s.before != null}
                  planned={s.after != null ? row.planned : undefined}
                />{/if}
              <span class="name">{fillingStepName[s.kind]()}</span>
              <span class="more">{captionOf(s)}</span>
              {#if row}<span class="sr-only"
                  >{amount(row.state.mass, "g")}, {amount(row.state.freeShare, "%")}
                  {m.free_water()}</span
                >{/if}
            </button>
          </li>
        {/each}
        {#if group.steps.length < mostSteps}
          <li class="self-center">
            <button
              class="button plain min-w-11 px-0 text-figure"
              aria-label="{m.add_filling_step()}: {group.name}"
              aria-pressed={open?.where === group.where && open.adding}
              onclick={() => (open = { where: group.where, at: null, adding: true })}>+</button
            >
          </li>
        {/if}
      </ol>
    </section>
  {/each}
</div>
<p id="filling-keys" class="sr-only">{m.fold_keys()}</p>
<p class="mt-1 flex flex-wrap gap-x-3 text-fine text-mute">
  <span><i class="key free"></i>{m.free_water()}</span><span><i class="key cells"></i>{m.cell_water()}</span><span
    ><i class="key held"></i>{m.held_water()}</span
  >
  <span><i class="key solids"></i>{m.solids()}</span><span><i class="key salt"></i>{m.salt_thread()}</span>
</p>
<Astray besides={inSight} />

<div class="mt-2">
  {#if open?.adding}
    {@const where = open.where}
    <div class="rounded-xl bg-steel/60 px-3.5 py-2.5">
      <h2 class="mb-1.5 text-body font-bold">{m.which_filling_step()}</h2>
      <div class="flex flex-wrap gap-1.5">
        {#each kinds as kind (kind)}
          <button class="button border-rim-soft px-2.5" onclick={() => void add(where, kind)}>{fillingStepName[kind]()}</button>
        {/each}
      </div>
    </div>
  {:else if open && step && open.at !== null}
    {@const where = open.where}
    {#key `${where}-${open.at}-${step.kind}`}
      <EditStep
        {step}
        path="{pathOf(where)}[{open.at}]"
        row={where === "together" ? made.rows[open.at] : made.parts[where]?.rows[open.at]}
        at={open.at}
        count={stepsOf(filling, where).length}
        onmove={(from, to) => move(where, from, to)}
        onremove={(at) => remove(where, at)}
      />
    {/key}
  {:else if open && open.where !== "together" && filling.parts[open.where]}
    {@const at = open.where}
    <EditPart
      part={filling.parts[at]!}
      path="filling.parts[{at}]"
      buy={made.parts[at]?.buy ?? 0}
      onremove={filling.parts.length > 1 ? () => removePart(at) : undefined}
    />
  {:else}
    <Season {spec} {sheet} />
  {/if}
</div>

<div class="mt-1 flex flex-wrap gap-x-4">
  {#if filling.parts.length < (larder.view?.mostParts ?? 0)}
    <Pick
      bare
      label={m.part_of_filling()}
      prompt={m.add_part()}
      field="filling.parts[].id"
      value=""
      onchange={(id) => filling.parts.push({ id, mass: 200, trim: 0, steps: [] })}
    />
  {/if}
  <button class="button plain" onclick={unstuff}>{m.unstuff()}</button>
</div>

<style>
  .tile {
    display: block;
    width: 100%;
    border: 2.5px solid transparent;
    border-radius: 12px;
    padding: 2px 3px 4px;
    text-align: center;
  }
  button.tile:hover {
    background: var(--color-steel);
  }
  .tile[aria-pressed="true"] {
    border-color: var(--color-rim);
    background: white;
  }
  .name {
    display: block;
    margin-top: 2px;
    font: 600 13px/1.15 var(--font-head);
  }
  .more {
    display: -webkit-box;
    -webkit-box-orient: vertical;
    -webkit-line-clamp: 2;
    line-clamp: 2;
    overflow: hidden;
    font-size: 13px;
    line-height: 1.15;
    color: var(--color-mute);
  }
  .key {
    display: inline-block;
    width: 14px;
    height: 10px;
    margin-inline-end: 4px;
    border-radius: 3px;
  }
  .key.free {
    background: repeating-linear-gradient(135deg, var(--color-water-free) 0 4px, var(--color-water-free-soft) 4px 8px);
  }
  .key.cells {
    background: radial-gradient(circle at 4px 4px, var(--color-water-cell) 0 2.2px, transparent 2.8px) 0 0 / 8px 8px
      var(--color-water-cell-soft);
  }
  .key.held {
    background: var(--color-water-held);
  }
  .key.solids {
    background: var(--color-filling);
  }
  .key.salt {
    height: 3px;
    vertical-align: middle;
    background: var(--color-ink);
  }
</style>
