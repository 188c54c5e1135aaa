<script lang="ts">
  import { onDestroy, tick } from "svelte";
  import { larder } from "../../api/larder.svelte";
  import type { FoldStep, StepKind } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Plan from "../../section/Plan.svelte";
  import { toaster } from "../../toast.svelte";
  import { amount } from "../../words/format";
  import { stepName } from "../../words/names/fold";
  import { say } from "../../words/refusals";
  import type { StageProps } from "../props";
  import { groups, moved, newStep } from "../steps";
  import EditStep from "./EditStep.svelte";
  import Results from "./Results.svelte";
  import Show from "./Show.svelte";
  import { captionOf, titleOf } from "./words";

  let { spec, sheet }: StageProps = $props();
  const steps = $derived(spec.fold.steps);
  let adding = $state(false);
  let dragged = $state<number | null>(null);
  let list: HTMLOListElement;
  // The step that is open; the section follows only while the program is scrubbed or played.
  let at = $state<number | null>(null);
  const step = $derived(at === null ? undefined : steps[at]);
  const full = $derived(steps.length >= (larder.view?.mostSteps ?? 0));
  onDestroy(() => (batch.shown = null));

  async function lay(next: FoldStep[], focus: number | null) {
    adding = false;
    at = focus;
    batch.change(() => (spec.fold.steps = next));
    await tick();
    if (focus !== null) list.querySelector<HTMLElement>(`[data-step="${focus}"]`)?.focus();
  }

  // A new step goes behind the one that is open, or to the end.
  function add(kind: StepKind) {
    const to = at === null ? steps.length : at + 1;
    return lay([...steps.slice(0, to), newStep(kind, spec), ...steps.slice(to)], to);
  }
  const move = (from: number, to: number) => to >= 0 && to < steps.length && lay(moved(steps, from, to), to);

  async function remove(i: number) {
    const before = $state.snapshot(steps) as FoldStep[];
    const gone = before[i];
    if (!gone) return;
    await lay(
      steps.filter((_, k) => k !== i),
      before.length > 1 ? Math.min(i, before.length - 2) : null,
    );
    toaster.say(
      m.step_removed({ step: titleOf(gone) }),
      batch.back((spec) => (spec.fold.steps = before)),
    );
  }

  function keys(event: KeyboardEvent, i: number) {
    if (event.altKey && event.key === "ArrowLeft") move(i, i - 1);
    else if (event.altKey && event.key === "ArrowRight") move(i, i + 1);
    else if (event.key === "Delete") void remove(i);
    else return;
    event.preventDefault();
  }

  function drop(event: DragEvent, to: number) {
    event.preventDefault();
    if (dragged !== null && dragged !== to) move(dragged, to);
    dragged = null;
  }

  // A fold is drawn on the piece it is done to, with its creases; anything else as it leaves the piece.
  function tile(i: number) {
    const after = sheet.fold.steps[i];
    if (!after) return null;
    const folds = after.view.marks.length > 0 && after.view.facets.length > 0;
    const before = i > 0 ? sheet.fold.steps[i - 1]?.view.facets : sheet.sheet.view.facets;
    const facets =
      folds || (after.view.marks.length > 0 && after.view.facets.length === 0 && before?.length) ? (before ?? []) : after.view.facets;
    return {
      facets,
      marks: after.view.marks,
      outline: after.outline,
      across: after.across,
      wide: after.wide,
      rings: after.section.rings?.each.length ?? after.section.windings ?? 0,
    };
  }
</script>

<ol class="flex flex-wrap gap-x-1.5 gap-y-2" bind:this={list} aria-label={m.fold_program()}>
  <li class="w-19.5">
    <button class="tile" onclick={() => (batch.open = "sheet")} aria-label={m.open_sheet()}>
      <span class="pic">
        <Plan facets={sheet.sheet.view.facets} outline="round" across={sheet.sheet.diameter} wide={sheet.sheet.diameter} size={56} />
      </span>
      <span class="name">{m.stage_sheet()}</span>
      <span class="more">{amount(sheet.sheet.diameter, "mm")}</span>
    </button>
  </li>
  {#each steps as s, i (i)}
    {@const welded = sheet.fold.steps[i]?.welded ?? 0}
    {@const view = tile(i)}
    <li
      class="w-19.5"
      draggable="true"
      ondragstart={(e) => {
        dragged = i;
        e.dataTransfer?.setData("text/plain", titleOf(s));
      }}
      ondragend={() => (dragged = null)}
      ondragover={(e) => dragged !== null && e.preventDefault()}
      ondrop={(e) => drop(e, i)}
      class:opacity-40={dragged === i}
    >
      <button
        class="tile"
        data-step={i}
        data-kind={s.kind}
        aria-pressed={at === i && !adding}
        aria-describedby="fold-keys"
        onclick={() => {
          adding = false;
          batch.shown = null;
          at = at === i ? null : i;
        }}
        onkeydown={(e) => keys(e, i)}
      >
        <span class="pic"
          >{#if view}<Plan {...view} size={56} />{/if}</span
        >
        <span class="name">{titleOf(s)}</span>
        <span class="more">{captionOf(s, sheet.fold.steps[i])}</span>
        {#if welded > 0}<span class="more text-chilli">▲ {m.welded({ count: welded })}</span>{/if}
      </button>
    </li>
  {/each}
  <li class="w-19.5">
    <button class="tile" aria-pressed={adding} onclick={() => (adding = !adding)} disabled={full}>
      <span class="pic border-2 border-dashed border-rim-soft bg-transparent font-head text-title text-rim">+</span>
      <span class="name text-rim">{full ? m.program_full() : m.add_step()}</span>
    </button>
  </li>
</ol>
<p id="fold-keys" class="sr-only">{m.fold_keys()}</p>

{#each batch.refusals.filter((r) => /^fold\.steps(\[\d+\])?$/.test(r.field)) as r (r.field)}
  <p class="refusal mt-1" data-testid="fold-refusal">{say(r)}</p>
{/each}

{#if adding}
  <div class="mt-2 rounded-xl bg-steel/60 px-4 py-3">
    <h2 class="mb-2 text-body font-bold">{m.add_which()}</h2>
    <div class="grid gap-2">
      {#each groups as group (group.kinds[0])}
        <div class="flex flex-wrap items-center gap-1.5">
          <span class="w-28 text-small text-mute">{group.name()}</span>
          {#each group.kinds as kind (kind)}
            <button class="button border-rim-soft px-2.5" onclick={() => void add(kind)}>{stepName[kind]()}</button>
          {/each}
        </div>
      {/each}
    </div>
  </div>
{:else}
  <div class="mt-2 grid gap-x-5 gap-y-3 xl:grid-cols-[280px_minmax(0,1fr)]">
    <Show
      {spec}
      {sheet}
      {at}
      onshow={(i) => {
        at = i;
        batch.shown = i;
      }}
    />
    <div class="min-w-0">
      {#if step && at !== null}
        <EditStep {step} {at} count={steps.length} onmove={move} onremove={(i) => void remove(i)} />
      {:else}
        <p class="mb-2 text-mute">{steps.length ? m.press_a_step() : m.no_steps()}</p>
        <Results {sheet} />
      {/if}
    </div>
  </div>
{/if}

<style>
  .tile {
    display: block;
    width: 100%;
    border-radius: 12px;
    text-align: start;
  }
  .tile:disabled {
    opacity: 0.5;
  }
  .pic {
    display: grid;
    place-items: center;
    height: 62px;
    border-radius: 12px;
    background: var(--color-steel);
    border: 2.5px solid transparent;
  }
  .tile[aria-pressed="true"] .pic {
    border-color: var(--color-rim);
    background: white;
  }
  .name {
    margin-top: 3px;
    font: 600 13px/1.15 var(--font-head);
    display: -webkit-box;
    -webkit-box-orient: vertical;
    -webkit-line-clamp: 2;
    line-clamp: 2;
    overflow: hidden;
  }
  .more {
    display: block;
    font-size: 13px;
    line-height: 1.2;
    color: var(--color-mute);
  }
</style>
