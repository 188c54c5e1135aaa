<script lang="ts">
  import Dices from "@lucide/svelte/icons/dices";
  import { changes } from "../../api/changes.svelte";
  import { call, type Trouble as Why } from "../../api/call";
  import { api } from "../../api/client";
  import { Fetched } from "../../api/fetched.svelte";
  import type { FoldPlay } from "../../api/types";
  import { newId } from "../../ids";
  import Toggle from "../../parts/Toggle.svelte";
  import { m } from "../../paraglide/messages";
  import Trouble from "../../parts/Trouble.svelte";
  import { beside, amount, number } from "../../words/format";
  import Level from "../Level.svelte";
  import type { StageProps } from "../props";
  import { captionOf, titleOf } from "./words";

  // A bench of its own lot: the batch is not asked.
  // eslint-disable-next-line @typescript-eslint/no-unused-vars
  let { spec }: StageProps = $props();

  /** Where will it weld? Asked on the drawing, told once it is marked. */
  let play = $state.raw<FoldPlay | null>(null);
  let welds = $state<number[]>([]);
  let trouble = $state.raw<Why | null>(null);
  let unkept = $state.raw<Why | null>(null);
  let id = newId();
  const levels = [m.fold_level_1, m.fold_level_2, m.fold_level_3];
  const standing = new Fetched(() => call(() => api.GET("/api/practice/standing")));
  $effect(() => {
    void changes.of("practice");
    void standing.fetch();
  });
  const task = $derived(play?.task);
  const end = $derived(play?.end);
  const seed = () => crypto.getRandomValues(new Uint32Array(1))[0]! >>> 1;
  const round = () => ({ seed: play?.task.seed ?? seed(), ...(play && { level: play.task.level }) });

  async function deal() {
    [play, welds, unkept, id] = [null, [], null, newId()];
    await ask();
  }
  async function ask(marked?: number[]) {
    const { data, trouble: why } = await call(() =>
      api.POST("/api/practice/fold", { body: { ...round(), ...(marked && { welds: marked }) } }),
    );
    play = data ?? play;
    trouble = why;
  }
  async function tell() {
    await ask(welds);
    if (play?.end) await keep();
  }
  async function keep() {
    ({ trouble: unkept } = await call(() => api.POST("/api/practice/fold/scores", { body: { ...round(), welds, id } })));
    changes.tell("practice");
  }
  const mark = (i: number) => (welds = welds.includes(i) ? welds.filter((w) => w !== i) : [...welds, i]);
  void deal();

  // From the top down, as the piece lies; leaves are drawn in their proportion, contacts as tall as a finger.
  const rows = $derived(task ? Array.from({ length: task.leaves.length }, (_, i) => task.leaves.length - 1 - i) : []);
  const thickest = $derived(task ? Math.max(...task.leaves) : 1);
  const whyOf = (i: number) => {
    const c = end?.contacts[i];
    if (!c || c.step == null || !task) return "";
    const by = { number: number(c.step + 1, 0), step: titleOf(task.steps[c.step]!) };
    return c.film >= 1
      ? m.weld_film({ ...by, film: amount(c.film, "µm") })
      : c.dust > 0.05
        ? m.weld_dust({ ...by, dust: amount(c.dust, "mg/cm²") })
        : m.weld_bare(by);
  };
  const told = (i: number) => {
    const state = end?.contacts[i]?.state;
    return state === "fused" ? m.weld_is() : state === "patchy" ? m.weld_patchy() : m.weld_not();
  };
  const right = (i: number) => end?.contacts[i]?.state === "patchy" || welds.includes(i) === (end?.contacts[i]?.state === "fused");
</script>

<Trouble {trouble} again={() => ask()} />
{#if standing.data}<Level standing={standing.data.fold} words={levels} />{/if}
{#if task}
  <div class="mt-1 grid gap-x-8 gap-y-3 md:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
    <div class="grid content-start gap-2">
      <p class="text-lead" data-testid="fold-task">
        {m.fold_task({ mass: amount(80, "g"), sheet: amount(240, "mm"), across: amount(task.across, "mm") })}
      </p>
      <ol class="grid gap-1 text-body">
        <li>
          {task.fat > 0 ? m.fold_sheet_fat({ mass: amount(task.fat, "g") }) : m.fold_sheet_bare()}
          {#if task.dust > 0}{m.fold_sheet_dust({ mass: amount(task.dust, "g") })}{/if}
        </li>
        {#each task.steps as step, i (i)}
          <li><b>{number(i + 1, 0)}.</b> {titleOf(step)} <span class="text-mute">{captionOf(step, undefined)}</span></li>
        {/each}
      </ol>
      {#if end}
        <p class="font-head text-wall leading-none font-bold" data-testid="fold-score">
          {number(end.score, 0)}<span class="text-figure">&nbsp;{m.of_hundred()}</span>
        </p>
        <Trouble trouble={unkept} again={keep} />
        <button class="button strong w-fit" onclick={deal}><Dices size={18} aria-hidden="true" />{m.fold_again()}</button>
      {:else}
        <p class="text-body">{m.fold_ask()}</p>
        <div class="flex flex-wrap gap-2">
          <button class="button strong" onclick={tell}>{m.fold_tell()}</button>
          <button class="button" onclick={deal}><Dices size={18} aria-hidden="true" />{m.fold_other()}</button>
        </div>
      {/if}
    </div>
    <div class="overflow-hidden rounded-tray border-3 border-crust" data-testid="fold-stack">
      {#each rows as leaf (leaf)}
        <div class="grid place-items-center bg-dough text-fine text-mute" style:height="{8 + (18 * task.leaves[leaf]!) / thickest}px"></div>
        {#if leaf > 0}
          {@const i = leaf - 1}
          {#if end}
            {@const state = end.contacts[i]!.state}
            <div
              class="flex min-h-11 flex-wrap items-center gap-x-2 px-3 text-body {state === 'fused' ? 'bg-chilli-soft' : 'bg-white'}"
              data-told={state}
            >
              <b>{right(i) ? "✓" : "✗"} {told(i)}</b><span>{whyOf(i)}</span>
            </div>
          {:else}
            <Toggle
              class="flex min-h-11 w-full items-center justify-center border-y-2 border-dashed px-3 text-body {welds.includes(i)
                ? 'border-chilli bg-chilli-soft font-semibold'
                : 'border-dough-deep bg-white'}"
              pressed={welds.includes(i)}
              onpress={() => mark(i)}>{beside(m.weld_contact({ number: number(i + 1, 0) }), welds.includes(i) && m.weld_marked())}</Toggle
            >
          {/if}
        {/if}
      {/each}
    </div>
  </div>
{/if}
