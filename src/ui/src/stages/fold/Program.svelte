<script lang="ts">
  import { onDestroy } from "svelte";
  import { larder } from "../../api/larder.svelte";
  import type { FoldStep, StepKind } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import { pictureOf } from "../../section/picture";
  import Plan from "../../section/Plan.svelte";
  import { ringsOf } from "../../section/rings";
  import Toggle from "../../parts/Toggle.svelte";
  import { narrow } from "../../narrow";
  import { amount } from "../../words/format";
  import { stepName } from "../../words/names/fold";
  import { say } from "../../words/refusals";
  import type { StageProps } from "../props";
  import { Ladder } from "../ladder/ladder.svelte";
  import NewStep from "../ladder/NewStep.svelte";
  import Steps from "../ladder/Steps.svelte";
  import Laid from "../Laid.svelte";
  import Apart from "./Apart.svelte";
  import EditStep from "./EditStep.svelte";
  import Flake from "./Flake.svelte";
  import Show from "./Show.svelte";
  import { captionOf, groups, titleOf } from "./words";

  let { spec, sheet }: StageProps = $props();
  const steps = $derived(spec.fold.steps);
  // On a narrow screen nothing stands beside: a step is changed right under the ladder.
  let adding = $state(false);
  // The step that is open; the section is of the piece as it is after it.
  let at = $state<number | null>(null);
  $effect(() => {
    batch.shown = at;
  });
  const step = $derived(at === null ? undefined : steps[at]);
  const full = $derived(steps.length >= (larder.view?.mostSteps ?? 0));
  onDestroy(() => (batch.shown = null));

  const ladder = new Ladder<FoldStep>({
    steps: () => steps,
    put: (spec, next) => (spec.fold.steps = next),
    name: titleOf,
    open: (i) => {
      adding = false;
      at = i;
    },
    path: "",
  });

  // A new step goes behind the one that is open, or to the end.
  function add(kind: StepKind) {
    const to = at === null ? steps.length : at + 1;
    batch.changeBy((sheet) => {
      const begun = sheet.newSteps.find((s) => s.kind === kind);
      if (begun) ladder.insert(structuredClone(begun), to);
    });
  }

  function viewOf(i: number) {
    const after = sheet.fold.steps[i];
    if (!after) return null;
    return pictureOf({ ...after, rings: ringsOf(after.section) }, (i > 0 ? sheet.fold.steps[i - 1]?.view : sheet.sheet.view)?.facets ?? []);
  }
</script>

{#snippet editor()}
  {#if step && at !== null && !adding}
    <EditStep {step} {at} count={steps.length} onmove={(from, to) => ladder.move(from, to)} onremove={(i) => ladder.remove(i)} />
  {/if}
{/snippet}
{#snippet side()}
  {#if !narrow.current}
    {@render editor()}
    <Apart {sheet} />
  {/if}
{/snippet}

<Laid {side}>
  <Steps
    {ladder}
    {steps}
    wide="w-19.5"
    label={m.fold_program()}
    open={adding ? null : at}
    onopen={(i) => {
      adding = false;
      at = at === i ? null : i;
    }}
  >
    {#snippet first()}
      <li class="w-19.5">
        <button class="tile" onclick={() => (batch.open = "sheet")} aria-label={m.open_sheet()}>
          <span class="pic">
            <Plan facets={sheet.sheet.view.facets} outline="round" across={sheet.sheet.diameter} wide={sheet.sheet.diameter} size={56} />
          </span>
          <span class="name">{m.stage_sheet()}</span>
          <span class="more">{amount(sheet.sheet.diameter, "mm")}</span>
        </button>
      </li>
    {/snippet}
    {#snippet tile(s: FoldStep, i: number)}
      {@const welded = sheet.fold.steps[i]?.welded ?? 0}
      {@const view = viewOf(i)}
      <span class="pic"
        >{#if view}<Plan {...view} size={56} />{/if}</span
      >
      <span class="name">{titleOf(s)}</span>
      <span class="more">{captionOf(s, sheet.fold.steps[i])}</span>
      {#if welded > 0}<span class="more text-chilli">▲ {m.welded({ count: welded })}</span>{/if}
    {/snippet}
    {#snippet last()}
      <li class="w-19.5">
        <Toggle class="tile" pressed={adding} onpress={() => (adding = !adding)} disabled={full}>
          <span class="pic border-2 border-dashed border-rim-soft bg-transparent font-head text-title text-rim">+</span>
          <span class="name text-rim">{full ? m.program_full() : m.add_step()}</span>
        </Toggle>
      </li>
    {/snippet}
  </Steps>

  {#each batch.refusals.filter((r) => /^fold\.steps(\[\d+\])?$/.test(r.field)) as r (r.field)}
    <p class="refusal mt-1" data-testid="fold-refusal">{say(r)}</p>
  {/each}

  {#if adding}
    <div class="mt-2">
      <NewStep title={m.add_which()} {groups} name={(kind) => stepName[kind]()} onpick={add} />
    </div>
  {:else}
    <div class="mt-2 grid gap-3">
      {#if narrow.current}
        {@render editor()}
        <Apart {sheet} />
      {/if}
      <Show {spec} {sheet} {at} onshow={(i) => (at = i)} />
      <Flake {sheet} />
    </div>
  {/if}
</Laid>
