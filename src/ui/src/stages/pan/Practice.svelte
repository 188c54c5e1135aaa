<script lang="ts">
  import ArrowUpFromLine from "@lucide/svelte/icons/arrow-up-from-line";
  import Dices from "@lucide/svelte/icons/dices";
  import RotateCw from "@lucide/svelte/icons/rotate-cw";
  import { onDestroy } from "svelte";
  import { changes } from "../../api/changes.svelte";
  import { call } from "../../api/call";
  import { api } from "../../api/client";
  import { Fetched } from "../../api/fetched.svelte";
  import { m } from "../../paraglide/messages";
  import Check from "../../parts/Check.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import { amount, number } from "../../words/format";
  import { colourName, darkName, flameName, panName } from "../../words/names/pan";
  import Level from "../Level.svelte";
  import type { StageProps } from "../props";
  import Face from "./Face.svelte";
  import Pinch from "./Pinch.svelte";
  import { Practice, QUICK } from "./practice.svelte";
  import PracticeEnd from "./PracticeEnd.svelte";

  // A bench of its own lot: the batch is not asked.
  // eslint-disable-next-line @typescript-eslint/no-unused-vars
  let { spec }: StageProps = $props();

  const practice = new Practice();
  const { play, frame, end, running, busy, second } = $derived(practice);
  const levels = [m.practice_level_1, m.practice_level_2, m.practice_level_3, m.practice_level_4, m.practice_level_5];
  const standing = new Fetched(() => call(() => api.GET("/api/practice/standing")));
  $effect(() => {
    void changes.of("practice");
    void standing.fetch();
  });
  onDestroy(() => practice.stop());
  void practice.deal();
</script>

<Trouble trouble={practice.trouble} again={() => practice.ask()} />
{#if standing.data}<Level standing={standing.data.pan} words={levels} />{/if}
{#if play}
  {@const task = play.task}
  <p class="mb-2 text-lead" data-testid="task">
    {m.practice_task({
      pan: panName[task.pan](),
      flame: flameName[task.flame].within(),
      bread: task.frozen
        ? m.practice_frozen({ thick: amount(task.thickness, "mm") })
        : task.chilled
          ? m.practice_chilled({ thick: amount(task.thickness, "mm") })
          : task.stuffed
            ? m.practice_stuffed({ thick: amount(task.thickness, "mm") })
            : m.practice_fresh({ thick: amount(task.thickness, "mm") }),
      colour: colourName[task.wanted].within(),
    })}
    {task.roasting === "oneTurn" ? m.practice_one_turn() : task.fat ? m.practice_fat() : m.practice_dry()}
  </p>
  {#if end}
    <PracticeEnd {practice} {end} />
  {:else}
    <div class="grid items-center gap-x-6 gap-y-3 sm:grid-cols-[minmax(0,340px)_minmax(0,1fr)]">
      <div class="relative mx-auto w-full max-w-85 rounded-full bg-ink p-5" data-testid="practice-pan">
        {#if running && frame}
          <Face
            dark={frame.dark}
            blisters={frame.blisters}
            seed={play.up === "first" ? 1 : 2}
            label={m.practice_face({ look: darkName(frame.dark) })}
          />
          {#if frame.smoke > 0}<p
              class="absolute inset-x-0 top-2 text-center text-body font-semibold text-white"
              style:opacity={0.4 + 0.6 * frame.smoke}
            >
              〰 {m.practice_smoke()}
            </p>{/if}
        {:else}
          <div class="grid aspect-square place-items-center text-lead font-semibold text-white">{m.practice_empty()}</div>
        {/if}
      </div>
      <div class="grid content-start gap-3">
        {#if running && frame}
          <p class="font-head text-wall leading-none font-bold" data-testid="clock">
            {number(second, 0)}<span class="text-figure">&nbsp;s</span>
          </p>
          <p class="text-lead">{frame.blisters >= 1 ? m.practice_risen() : frame.matt >= 1 ? m.practice_matt() : m.practice_shiny()}</p>
          <div class="grid grid-cols-2 gap-2">
            <button class="button strong min-h-16 text-big" disabled={busy} onclick={() => void practice.turn()}
              ><RotateCw size={22} aria-hidden="true" />{m.practice_turn()}</button
            >
            <button class="button min-h-16 text-big" disabled={busy} onclick={() => void practice.lift()}
              ><ArrowUpFromLine size={22} aria-hidden="true" />{m.practice_lift()}</button
            >
          </div>
        {:else}
          <Pinch seconds={task.pinch} quick={practice.quick} times={QUICK} bind:guess={practice.guess} />
          <button class="button strong min-h-16 text-big" onclick={() => practice.lay()}>{m.practice_lay()}</button>
          <button class="button" onclick={() => void practice.deal()}><Dices size={18} aria-hidden="true" />{m.practice_other()}</button>
        {/if}
        <Check label={m.practice_quick({ times: QUICK })} bind:checked={practice.quick} />
      </div>
    </div>
  {/if}
{/if}
