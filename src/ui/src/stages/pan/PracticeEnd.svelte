<script lang="ts">
  import Dices from "@lucide/svelte/icons/dices";
  import type { PracticePlay } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Trouble from "../../parts/Trouble.svelte";
  import { tintOf } from "../../section/tint";
  import { amount, number } from "../../words/format";
  import { darkName } from "../../words/names/pan";
  import Face from "./Face.svelte";
  import type { Practice } from "./practice.svelte";
  import ScoreCurve from "./ScoreCurve.svelte";

  /** What came of a round, and what every other second would have made of it. */
  let { practice, end }: { practice: Practice; end: NonNullable<PracticePlay["end"]> } = $props();
  const { guess, events } = $derived(practice);
  const eventName = (i: number) => (i === events.length - 1 ? m.practice_lift() : m.practice_turn_number({ number: i + 1 }));
</script>

<div class="grid gap-x-6 gap-y-3 sm:grid-cols-[minmax(0,260px)_minmax(0,1fr)]" data-testid="practice-end">
  <div class="grid content-start gap-2">
    <p class="font-head text-wall leading-none font-bold" data-testid="score">
      {number(end.marks.score, 0)}<span class="text-figure">&nbsp;{m.of_hundred()}</span>
    </p>
    <div class="grid grid-cols-2 gap-2">
      <Face dark={end.first} seed={1} label={darkName(end.first)} />
      <Face dark={end.second} seed={2} label={darkName(end.second)} />
    </div>
    <!-- Cut open: crusts as dark as they are, the middle raw or set. -->
    <svg viewBox="0 0 260 44" role="img" aria-label={end.cooked ? m.cut_through() : m.cut_raw()} data-testid="cut">
      <rect
        x="4"
        y="4"
        width="252"
        height="36"
        rx="12"
        fill={end.cooked ? "var(--color-heat-done)" : "var(--color-heat-raw)"}
        stroke="var(--color-crust)"
      />
      {#if !end.cooked}<rect x="30" y="15" width="200" height="14" rx="7" fill="var(--color-heat-edge)" />{/if}
      <rect x="10" y="4" width="240" height="6" rx="3" fill={tintOf(end.second)} /><rect
        x="10"
        y="34"
        width="240"
        height="6"
        rx="3"
        fill={tintOf(end.first)}
      />
    </svg>
    <p class="text-body">
      {end.cooked ? m.cut_through() : m.cut_raw()}
      {m.practice_was({ pan: amount(end.pan, "°C"), lost: amount(end.lost, "%") })}
      {#if guess != null}{m.practice_guessed({ guess: amount(guess, "°C") })}{/if}
    </p>
    <dl class="grid grid-cols-2 gap-x-4 text-body" data-testid="marks">
      {#each [[m.trained_colour(), end.marks.colour], [m.trained_done(), end.marks.done], [m.trained_turn(), end.marks.turned], [m.trained_heat(), end.heat]] as const as [name, mark] (name)}
        {#if mark != null}<dt>{name}</dt>
          <dd class="text-end font-bold">{number(mark, 0)}</dd>{/if}
      {/each}
    </dl>
    <Trouble trouble={practice.unkept} again={() => practice.keepScore()} />
  </div>
  <div class="grid content-start gap-3">
    <section class="grid gap-1" aria-labelledby="else-head">
      <h2 id="else-head" class="text-body font-bold">{m.else_head()}</h2>
      {#each end.curves as curve (curve.event)}
        <ScoreCurve
          {curve}
          name={eventName(curve.event)}
          end={Math.max(...end.curves.map((c) => c.from + c.scores.length))}
          scores={[Math.min(...end.curves.flatMap((c) => c.scores)), Math.max(...end.curves.flatMap((c) => c.scores))]}
        />
      {/each}
    </section>
    <p class="text-body">
      {end.advised.length > 0 ? m.practice_advised({ stays: end.advised.map((s) => number(s, 0)).join(" + ") }) : m.practice_hopeless()}
    </p>
    <button class="button strong" onclick={() => void practice.deal()}><Dices size={18} aria-hidden="true" />{m.practice_again()}</button>
  </div>
</div>
