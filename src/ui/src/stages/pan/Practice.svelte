<script lang="ts">
  import ArrowUpFromLine from "@lucide/svelte/icons/arrow-up-from-line";
  import Dices from "@lucide/svelte/icons/dices";
  import RotateCw from "@lucide/svelte/icons/rotate-cw";
  import { onDestroy } from "svelte";
  import { changes } from "../../api/changes.svelte";
  import { call, type Trouble as Why } from "../../api/call";
  import { api } from "../../api/client";
  import { Fetched } from "../../api/fetched.svelte";
  import type { PracticePlay } from "../../api/types";
  import { newId } from "../../ids";
  import { m } from "../../paraglide/messages";
  import Check from "../../parts/Check.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import { amount, number } from "../../words/format";
  import { colourName, darkName, flameName, panName } from "../../words/names/pan";
  import Level from "../Level.svelte";
  import type { StageProps } from "../props";
  import Face from "./Face.svelte";
  import Pinch from "./Pinch.svelte";
  import ScoreCurve from "./ScoreCurve.svelte";
  import { tintOf } from "../../section/tint";
  import { within } from "../../words/within";

  // A bench of its own lot: the batch is not asked.
  // eslint-disable-next-line @typescript-eslint/no-unused-vars
  let { spec }: StageProps = $props();

  /** A pan, a bread and a flame by lot: turn and lift by eye. Seconds are counted here, what they do is the kitchen's to say. */
  let play = $state.raw<PracticePlay | null>(null);
  let turns = $state<number[]>([]);
  let second = $state(0);
  let running = $state(false);
  let quick = $state(false);
  let busy = $state(false);
  let unkept = $state.raw<Why | null>(null);
  let trouble = $state.raw<Why | null>(null);
  let id = newId();
  let timer: ReturnType<typeof setInterval> | undefined;
  const QUICK = 4;

  const frame = $derived(play?.frames[Math.min(second - play.from, play.frames.length - 1)]);
  const end = $derived(play?.end);
  const events = $derived(end ? [...turns, second] : turns);
  const levels = [m.practice_level_1, m.practice_level_2, m.practice_level_3, m.practice_level_4, m.practice_level_5];
  const standing = new Fetched(() => call(() => api.GET("/api/practice/standing")));
  $effect(() => {
    void changes.of("practice");
    void standing.fetch();
  });
  // Nothing until the cook has said what the pan is taken for.
  let guess = $state<number | null>(null);
  const eventName = (i: number) => (i === events.length - 1 ? m.practice_lift() : m.practice_turn_number({ number: i + 1 }));

  async function ask(lift?: number) {
    busy = true;
    const body = { ...round(), turns, ...(lift != null && { lift }) };
    const { data, trouble: why } = await call(() => api.POST("/api/practice", { body }));
    play = data ?? play;
    trouble = why;
    busy = false;
  }
  // A level that was reached meanwhile is for the next round.
  const round = () => ({ seed: play?.task.seed ?? seed(), ...(play && { level: play.task.level }), ...(guess != null && { guess }) });
  const seed = () => crypto.getRandomValues(new Uint32Array(1))[0]! >>> 1;
  async function deal() {
    stop();
    [play, turns, second, unkept, guess, id] = [null, [], 0, null, null, newId()];
    await ask();
  }
  function lay() {
    running = true;
    tick();
  }
  function tick() {
    clearInterval(timer);
    timer = setInterval(
      () => {
        // The clock waits for the answer to a turn, so that nothing is missed.
        if (!busy && play && second - play.from < play.frames.length - 1) second++;
      },
      1000 / (quick ? QUICK : 1),
    );
  }
  function stop() {
    running = false;
    clearInterval(timer);
  }
  async function turn() {
    if (busy || second <= (turns.at(-1) ?? 0)) return;
    turns = [...turns, second];
    await ask();
  }
  async function lift() {
    if (busy || second <= (turns.at(-1) ?? 0)) return;
    stop();
    await ask(second);
    if (!play?.end) return lay();
    await keepScore();
  }
  async function keepScore() {
    const body = { ...round(), turns, lift: second, id };
    ({ trouble: unkept } = await call(() => api.POST("/api/practice/scores", { body })));
    changes.tell("practice");
  }
  onDestroy(stop);
  void deal();
</script>

<Trouble {trouble} again={() => ask()} />
{#if standing.data}<Level standing={standing.data.pan} words={levels} />{/if}
{#if play}
  {@const task = play.task}
  <p class="mb-2 text-lead" data-testid="task">
    {m.practice_task({
      pan: panName[task.pan](),
      flame: within(flameName[task.flame]()),
      bread: task.frozen
        ? m.practice_frozen({ thick: amount(task.thickness, "mm") })
        : task.chilled
          ? m.practice_chilled({ thick: amount(task.thickness, "mm") })
          : task.stuffed
            ? m.practice_stuffed({ thick: amount(task.thickness, "mm") })
            : m.practice_fresh({ thick: amount(task.thickness, "mm") }),
      colour: within(colourName[task.wanted]()),
    })}
    {task.roasting === "oneTurn" ? m.practice_one_turn() : task.fat ? m.practice_fat() : m.practice_dry()}
  </p>
  {#if end}
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
        <Trouble trouble={unkept} again={keepScore} />
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
        <button class="button strong" onclick={deal}><Dices size={18} aria-hidden="true" />{m.practice_again()}</button>
      </div>
    </div>
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
            <button class="button strong min-h-16 text-big" disabled={busy} onclick={turn}
              ><RotateCw size={22} aria-hidden="true" />{m.practice_turn()}</button
            >
            <button class="button min-h-16 text-big" disabled={busy} onclick={lift}
              ><ArrowUpFromLine size={22} aria-hidden="true" />{m.practice_lift()}</button
            >
          </div>
        {:else}
          <Pinch seconds={task.pinch} {quick} times={QUICK} bind:guess />
          <button class="button strong min-h-16 text-big" onclick={lay}>{m.practice_lay()}</button>
          <button class="button" onclick={deal}><Dices size={18} aria-hidden="true" />{m.practice_other()}</button>
        {/if}
        <Check label={m.practice_quick({ times: QUICK })} bind:checked={quick} onchange={() => running && tick()} />
      </div>
    </div>
  {/if}
{/if}
