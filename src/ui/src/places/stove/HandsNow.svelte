<script lang="ts">
  import Hourglass from "@lucide/svelte/icons/hourglass";
  import type { PressBody, StoveSheet, StoveTask } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { span } from "../../words/clock";
  import { countdown, eventWords, taskCaution, taskMore, taskWords } from "../../words/stove";

  type Press = Omit<PressBody, "id" | "ago">;
  /** The hands' next thing in giant words, and what comes after. */
  interface Props {
    sheet: StoveSheet;
    now: number;
    /** Tasks of the hands this screen shows. */
    tasks: StoveTask[];
    bench: StoveTask | null;
    next: Press | null;
    waits: (part: Partial<Press>) => boolean;
    /** False for a moment after it changed under the finger. */
    settled: (press: Press) => boolean;
    onpress: (press: Press) => void;
    onhistory: () => void;
  }
  let { sheet, now, tasks, bench, next, waits, settled, onpress, onhistory }: Props = $props();
  const after = $derived(tasks.filter((t) => t !== bench).slice(0, 5));
  // One that is about to be taken back makes room for the one before it.
  const last = $derived(sheet.past.find((p) => !p.undone && !waits({ act: "undo", undoes: p.event.id })));
  const press = $derived(bench?.press ?? null);
  const more = $derived(bench ? taskMore(sheet, bench) : []);
  const mine = $derived(
    press !== null &&
      next !== null &&
      next.act === "done" &&
      next.number === press.number &&
      next.work === press.work &&
      next.bread === press.bread,
  );
  const pending = $derived(press !== null && waits({ act: "done", number: press.number ?? null, work: press.work ?? null }));
  const LATE_S = 120;
</script>

<section class="flex min-w-0 flex-col lg:min-h-0" aria-label={m.hands_now()}>
  <h2 class="text-lead font-semibold text-night-mute">
    {bench && bench.at > now + 1 ? m.hands_in({ time: countdown(bench.at - now) }) : m.hands_now()}
  </h2>
  {#if bench}
    <p
      class="my-1.5 font-head leading-[1.08] font-bold tracking-tight {taskWords(sheet, bench).length > 26 ? 'text-huge' : 'text-dial'}"
      data-testid="hands-now"
    >
      {taskWords(sheet, bench)}
    </p>
    {#if more.length}<ul class="mb-1 grid gap-1 text-lead leading-tight" data-testid="hands-how">
        {#each more as line, i (i)}<li>{line}</li>{/each}
      </ul>{/if}
    <p class="text-lead text-night-mute">
      {#if bench.rested != null && bench.rested > 60}{m.has_rested({ time: span(bench.rested) })}{/if}
    </p>
    <div class="mt-2 flex gap-2.5">
      {#if press}
        <button
          class="act flex-1"
          disabled={pending || !settled(press)}
          onclick={(e) => (e.detail > 0 && e.currentTarget.blur(), onpress(press))}
        >
          {#if pending}<Hourglass size={22} aria-hidden="true" /><span class="sr-only">{m.waits_for_answer()}</span
            >{/if}{m.press_done()}<kbd>{mine ? m.space_key() : "D"}</kbd>
        </button>
      {/if}
      <button class="act plain" onclick={() => onpress({ act: "late", value: LATE_S })}>{m.press_late({ time: span(LATE_S) })}</button>
    </div>
  {:else}
    <p class="my-1.5 font-head text-huge leading-tight font-bold">
      {sheet.stuck ? (sheet.people === 0 ? m.no_hands() : m.no_pans()) : m.hands_free()}
    </p>
  {/if}
  <!-- Where there is no room for all of them, whole ones are left out: they would stand in a second column, out of sight. -->
  <ol class="mt-3 lg:flex lg:min-h-0 lg:flex-col lg:flex-wrap lg:content-start lg:overflow-hidden" data-testid="after">
    {#each after as t (`${t.work}-${t.bread}-${t.number}-${t.chore}-${t.at}`)}
      {@const caution = taskCaution(sheet, t)}
      <li class="flex w-full gap-3 border-t-2 border-night-line py-2 text-lead leading-tight">
        <b class="w-16 shrink-0 text-night-ghee tabular-nums">{t.at > now ? countdown(t.at - now) : m.now_word()}</b>
        <span
          >{taskWords(sheet, t)}{#if caution}<span class="block text-body text-night-mute">{caution}</span>{/if}</span
        >
      </li>
    {/each}
  </ol>
  <div class="mt-auto grid shrink-0 gap-2 pt-3">
    {#if last}
      <div class="flex items-center gap-2.5 text-body" data-testid="last-event">
        <span class="min-w-0 flex-1 leading-tight text-night-mute">{eventWords(sheet, last.event)}</span>
        <button class="act plain" onclick={() => onpress({ act: "undo", undoes: last.event.id })}>{m.undo()}<kbd>U</kbd></button>
        <button class="act plain" onclick={onhistory}>{m.earlier_presses()}</button>
      </div>
    {/if}
  </div>
</section>
