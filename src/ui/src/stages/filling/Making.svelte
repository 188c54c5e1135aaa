<script lang="ts">
  import { larder } from "../../api/larder.svelte";
  import type { FillingStep } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Pick from "../../parts/Pick.svelte";
  import Toggle from "../../parts/Toggle.svelte";
  import { captionOf } from "../../words/filling";
  import { amount } from "../../words/format";
  import { fillingStepName } from "../../words/names/filling";
  import NewStep from "../ladder/NewStep.svelte";
  import Steps from "../ladder/Steps.svelte";
  import type { StageProps } from "../props";
  import Astray from "./Astray.svelte";
  import Bar from "./Bar.svelte";
  import BarKey from "./BarKey.svelte";
  import EditPart from "./EditPart.svelte";
  import EditStep from "./EditStep.svelte";
  import { Making } from "./making.svelte";
  import Season from "./Season.svelte";
  import { pathOf, stepsOf } from "./steps";
  import Verdict from "./Verdict.svelte";

  let { spec, sheet }: StageProps = $props();
  const filling = $derived(spec.filling!);
  const made = $derived(sheet.filling!);
  const making = new Making(
    () => spec,
    () => sheet,
  );
  const { groups, full, open, step } = $derived(making);
  const mostSteps = $derived(larder.view?.mostFillingSteps ?? 0);
  const kinds = $derived(larder.view?.fillingSteps.map((s) => s.kind) ?? []);
</script>

<Verdict {made} />
<div class="flex flex-wrap gap-x-1 gap-y-1" role="group" aria-label={m.ladder()}>
  {#each groups as group (group.where)}
    {@const { where } = group}
    <section aria-label={group.name} style:--color-filling={group.hue}>
      <h2 class="text-small font-bold">{group.name}</h2>
      <Steps ladder={making.ladder(where)} steps={group.steps} wide="w-16" open={making.at(where)} onopen={(at) => making.press(where, at)}>
        {#snippet first()}
          {#if where !== "together"}
            <li class="w-16">
              <Toggle class="tile" data-part={where} pressed={making.isPart(where)} onpress={() => making.press(where, null)}>
                <Bar state={group.start} {full} />
                <span class="name">{m.start_of_part()}</span>
                <span class="sr-only">{amount(group.start.mass, "g")}</span>
              </Toggle>
            </li>
          {:else if groups.length > 2}
            <li class="w-16">
              <div class="tile"><Bar state={group.start} {full} /><span class="name">{m.joined()}</span></div>
            </li>
          {/if}
        {/snippet}
        {#snippet tile(s: FillingStep, i: number)}
          {@const row = group.rows[i]}
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
        {/snippet}
        {#snippet last()}
          {#if group.steps.length < mostSteps}
            <li class="self-center">
              <Toggle
                class="button plain min-w-11 px-0 text-figure"
                aria-label={m.choice_of({ label: m.add_filling_step(), value: group.name })}
                pressed={open?.where === where && open.adding}
                onpress={() => (making.open = { where, at: null, adding: true })}>+</Toggle
              >
            </li>
          {/if}
        {/snippet}
      </Steps>
    </section>
  {/each}
  <!-- Beside what is all together while nothing is being changed there. -->
  {#if !open}<div class="min-w-66 flex-1 ps-3"><Season {spec} {sheet} /></div>{/if}
</div>
<div style:--color-filling={sheet.section.look?.filling?.hue}><BarKey /></div>
<Astray besides={making.inSight} />

<div class="mt-2">
  {#if open?.adding}
    {@const { where } = open}
    <NewStep
      title={m.which_filling_step()}
      groups={[{ kinds }]}
      name={(kind) => fillingStepName[kind]()}
      onpick={(kind) => making.add(where, kind)}
    />
  {:else if open && step && open.at !== null}
    {@const { where } = open}
    {@const ladder = making.ladder(where)}
    {#key `${where}-${open.at}-${step.kind}`}
      <EditStep
        {step}
        path="{pathOf(where)}[{open.at}]"
        row={where === "together" ? made.rows[open.at] : made.parts[where]?.rows[open.at]}
        at={open.at}
        count={stepsOf(filling, where).length}
        onmove={(from, to) => ladder.move(from, to)}
        onremove={(at) => ladder.remove(at)}
      />
    {/key}
  {:else if open && open.where !== "together" && filling.parts[open.where]}
    {@const at = open.where}
    <EditPart
      part={filling.parts[at]!}
      path="filling.parts[{at}]"
      buy={made.parts[at]?.buy ?? 0}
      onremove={filling.parts.length > 1 ? () => making.removePart(at) : undefined}
    />
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
      onchange={(id) => filling.parts.push({ id, mass: larder.view!.fillingPart, trim: 0, steps: [] })}
    />
  {/if}
  <button class="button plain" onclick={() => making.unstuff()}>{m.unstuff()}</button>
</div>
