<script lang="ts">
  import { tick } from "svelte";
  import ArrowLeft from "@lucide/svelte/icons/arrow-left";
  import ArrowRight from "@lucide/svelte/icons/arrow-right";
  import Trash2 from "@lucide/svelte/icons/trash-2";
  import { larder } from "../api/larder.svelte";
  import type { FoldStep, StepKind } from "../api/types";
  import { batch } from "../batch.svelte";
  import { m } from "../paraglide/messages";
  import Dial from "../parts/Dial.svelte";
  import Figure from "../parts/Figure.svelte";
  import Pick from "../parts/Pick.svelte";
  import { toaster } from "../toast.svelte";
  import { amount, leaves, number } from "../words/format";
  import { shortName, stepName } from "../words/names";
  import { say } from "../words/refusals";
  import FatBar from "./FatBar.svelte";
  import type { StageProps } from "./props";
  import StepIcon from "./StepIcon.svelte";
  import { kinds, moved, newStep } from "./steps";

  let { spec, sheet }: StageProps = $props();
  const steps = $derived(spec.fold.steps);
  let selected = $state<number | "add" | null>(null);
  let dragged = $state<number | null>(null);
  let list: HTMLOListElement;
  const step = $derived(typeof selected === "number" ? steps[selected] : undefined);
  const at = $derived(typeof selected === "number" ? selected : -1);
  const full = $derived(steps.length >= (larder.view?.mostSteps ?? 0));

  const between = $derived.by(() => {
    const { filmLeast: least, filmMost: most } = sheet.roll;
    if (least == null || most == null) return m.none();
    const [low, high] = [number(least, 0), number(most, 0)];
    return low === high ? `${high} µm` : m.from_to({ least: low, most: `${high} µm` });
  });

  function caption(s: FoldStep, i: number): string {
    const after = sheet.fold.steps[i];
    switch (s.kind) {
      case "roll":
        return amount(s.diameter, "mm");
      case "brush":
        return after ? `${amount(s.mass, "g")} · ${amount(after.film, "µm")}` : amount(s.mass, "g");
      case "dust":
        return amount(s.mass, "g");
      default:
        return after ? leaves(after.leaves) : "";
    }
  }

  const titleOf = (s: FoldStep) => (s.kind === "brush" ? shortName(s.fat) : s.kind === "dust" ? shortName(s.flour) : stepName[s.kind]());

  async function lay(next: FoldStep[], focus: number | "add" | null) {
    selected = focus;
    batch.change(() => (spec.fold.steps = next));
    await tick();
    if (typeof focus === "number") list.querySelector<HTMLElement>(`[data-step="${focus}"]`)?.focus();
  }

  const add = (kind: StepKind) => lay([...steps, newStep(kind, spec)], steps.length);
  const move = (from: number, to: number) => to >= 0 && to < steps.length && lay(moved(steps, from, to), to);

  async function remove(i: number) {
    const before = $state.snapshot(steps) as FoldStep[];
    const gone = before[i];
    if (!gone) return;
    await lay(
      steps.filter((_, k) => k !== i),
      before.length > 1 ? Math.min(i, before.length - 2) : null,
    );
    toaster.say(m.step_removed({ step: titleOf(gone) }), () => void lay(before, i));
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
</script>

<ol class="flex flex-wrap gap-x-2.5 gap-y-3" bind:this={list} aria-label={m.fold_program()}>
  <li class="w-[94px]">
    <button class="tile" onclick={() => (batch.open = "sheet")} aria-label={m.open_sheet()}>
      <span class="pic !bg-dough"><StepIcon kind={sheet.sheet.film > 0 ? "brush" : sheet.sheet.dust > 0 ? "dust" : "roll"} /></span>
      <span class="name">{m.stage_sheet()}</span>
      <span class="more">{amount(sheet.sheet.diameter, "mm")}{spec.sheet.fatMass > 0 ? ` · ${amount(spec.sheet.fatMass, "g")}` : ""}</span>
    </button>
  </li>
  {#each steps as s, i (i)}
    {@const welded = sheet.fold.steps[i]?.welded ?? 0}
    <li
      class="w-[94px]"
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
        aria-pressed={selected === i}
        aria-describedby="fold-keys"
        onclick={() => (selected = selected === i ? null : i)}
        onkeydown={(e) => keys(e, i)}
      >
        <span class="pic"><StepIcon kind={s.kind} outline={sheet.fold.steps[i]?.outline} /></span>
        <span class="name">{titleOf(s)}</span>
        <span class="more">{caption(s, i)}</span>
        {#if welded > 0}<span class="more !text-chilli">▲ {m.welded({ count: welded })}</span>{/if}
      </button>
    </li>
  {/each}
  <li class="w-[94px]">
    <button class="tile" aria-pressed={selected === "add"} onclick={() => (selected = selected === "add" ? null : "add")} disabled={full}>
      <span class="pic !border-2 !border-dashed !border-rim-soft !bg-transparent font-head text-[26px] text-rim">+</span>
      <span class="name text-rim">{full ? m.program_full() : m.add_step()}</span>
    </button>
  </li>
</ol>
<p id="fold-keys" class="sr-only">{m.fold_keys()}</p>

{#each batch.refusals.filter((r) => /^fold\.steps(\[\d+\])?$/.test(r.field)) as r (r.field)}
  <p class="refusal mt-2" data-testid="fold-refusal">{say(r)}</p>
{/each}

<div class="mt-3 rounded-xl bg-steel/60 px-4 py-3">
  {#if selected === "add"}
    <h2 class="mb-2 text-[15px] font-bold">{m.add_which()}</h2>
    <div class="flex flex-wrap gap-2">
      {#each kinds as kind (kind)}
        <button class="button !border-rim-soft !px-3" onclick={() => void add(kind)}>{stepName[kind]()}</button>
      {/each}
    </div>
  {:else if step}
    <div class="flex flex-wrap items-center gap-x-2">
      <h2 class="me-auto text-[15px] font-bold">{m.step_number({ number: at + 1, step: titleOf(step) })}</h2>
      <button class="button plain" disabled={at === 0} onclick={() => move(at, at - 1)}
        ><ArrowLeft size={18} aria-hidden="true" />{m.earlier()}</button
      >
      <button class="button plain" disabled={at === steps.length - 1} onclick={() => move(at, at + 1)}
        >{m.later()}<ArrowRight size={18} aria-hidden="true" /></button
      >
      <button class="button plain" onclick={() => void remove(at)}><Trash2 size={18} aria-hidden="true" />{m.remove()}</button>
    </div>
    <div class="grid gap-x-6 sm:grid-cols-2">
      {#if step.kind === "brush"}
        <Dial
          label={m.fat_brushed()}
          field="fold.steps[{at}].mass"
          value={step.mass}
          step={0.5}
          unit="g"
          to={15}
          onchange={(v) => (step.mass = v)}
        />
        <Pick label={m.fat()} field="fold.steps[{at}].fat" value={step.fat} onchange={(id) => (step.fat = id)} />
      {:else if step.kind === "dust"}
        <Dial
          label={m.flour_dusted()}
          field="fold.steps[{at}].mass"
          value={step.mass}
          step={0.5}
          unit="g"
          to={6}
          onchange={(v) => (step.mass = v)}
        />
        <Pick label={m.flour_or_starch()} field="fold.steps[{at}].flour" value={step.flour} onchange={(id) => (step.flour = id)} />
      {:else if step.kind === "roll"}
        <Dial
          label={m.roll_to_round()}
          field="fold.steps[{at}].diameter"
          value={step.diameter}
          step={1}
          unit="cm"
          from={80}
          to={600}
          onchange={(v) => (step.diameter = v)}
        />
      {:else if step.kind === "accordion"}
        <Dial
          label={m.pleats()}
          field="fold.steps[{at}].pleats"
          value={step.pleats}
          step={1}
          places={0}
          to={24}
          onchange={(v) => (step.pleats = v)}
        />
      {:else}
        <p class="py-2 text-mute sm:col-span-2">
          {{ half: m.half_how, letter: m.letter_how, matRoll: m.mat_roll_how, coil: m.coil_how }[step.kind]()}
        </p>
      {/if}
    </div>
  {:else}
    <p class="py-2 text-mute">{steps.length ? m.press_a_step() : m.no_steps()}</p>
  {/if}
</div>

<dl class="mt-4 grid grid-cols-2 gap-3 sm:grid-cols-4">
  <Figure
    label={m.come_apart()}
    value={m.of({ part: sheet.fold.effective, whole: sheet.fold.nominal })}
    tone={sheet.fold.fused ? "bad" : sheet.fold.nominal > 1 ? "good" : ""}
  />
  <Figure label={m.one_leaf_is()} value={amount(sheet.roll.leaf, "mm")} />
  <Figure label={m.fat_between()} value={between} />
  {#if sheet.fold.rings != null}
    <Figure label={m.rings()} value={`${amount(sheet.fold.rings, "")}${sheet.fold.ringsState === "fused" ? ` ${m.welded_short()}` : ""}`} />
  {:else}
    <Figure label={m.fat_per_100()} value={amount(sheet.fold.fatPer100G, "g")} />
  {/if}
</dl>
<div class="mt-4"><FatBar fat={sheet.pan.fat} /></div>

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
    height: 74px;
    border-radius: 12px;
    background: var(--color-steel);
    border: 2.5px solid transparent;
  }
  .tile[aria-pressed="true"] .pic {
    border-color: var(--color-rim);
    background: #fff;
  }
  .name {
    display: block;
    margin-top: 4px;
    font: 600 13.5px/1.2 var(--font-head);
  }
  .more {
    display: block;
    font-size: 13px;
    line-height: 1.25;
    color: var(--color-mute);
  }
</style>
