<script lang="ts">
  import Hourglass from "@lucide/svelte/icons/hourglass";
  import type { PressBody, StoveSheet, StoveTask } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { pictureOf } from "../../section/picture";
  import Plan from "../../section/Plan.svelte";
  import { span } from "../../words/clock";
  import { countdown, taskCaution, taskMore, taskWords } from "../../words/stove";

  type Press = Omit<PressBody, "id" | "ago">;
  /** The next thing of one pair of hands in giant words, how it is done, and what comes after. */
  interface Props {
    sheet: StoveSheet;
    now: number;
    /** Whose it is, where there are several. */
    person: number | null;
    /** Its tasks, at the pans too where this screen shows those. */
    tasks: StoveTask[];
    bench: StoveTask | null;
    next: Press | null;
    /** Its press has the key: of several pairs of hands the one that is due first. */
    keyed: boolean;
    waits: (part: Partial<Press>) => boolean;
    /** False for a moment after it changed under the finger. */
    settled: (press: Press) => boolean;
    onpress: (press: Press) => void;
  }
  let { sheet, now, person, tasks, bench, next, keyed, waits, settled, onpress }: Props = $props();
  const name = $derived(person === null ? m.shows_hands() : m.hands_lane({ number: person + 1 }));
  const after = $derived(tasks.filter((t) => t !== bench).slice(0, 5));
  const press = $derived(bench?.press ?? null);
  const more = $derived(bench ? taskMore(sheet, bench) : []);
  // A fold is shown as well as told: each step on the piece it is done to.
  const pictures = $derived.by(() => {
    const work = bench?.work === "fold" ? sheet.breads[bench.bread]?.work : undefined;
    return (work?.folded ?? []).map((step, i) => pictureOf(step, (i > 0 ? work?.folded[i - 1]?.view : work?.sheeted)?.facets ?? []));
  });
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

<section class="hands-now" aria-label={m.now_of({ who: name })}>
  <h2 class="text-lead leading-tight font-semibold text-night-mute">
    {bench && bench.at > now + 1 ? m.in_of({ who: name, time: countdown(bench.at - now) }) : m.now_of({ who: name })}
  </h2>
  {#if bench}
    <p class="what" data-long={taskWords(sheet, bench).length > 26 ? "" : undefined} data-testid="hands-now">
      {taskWords(sheet, bench)}
    </p>
    {#if more.length}<ul class="how {pictures.length ? 'folds' : ''}" data-testid="hands-how">
        {#each more as line, i (i)}
          {@const picture = pictures[i - more.length + pictures.length]}
          <li>
            {#if picture}<Plan {...picture} size={72} />{/if}<span>{line}</span>
          </li>
        {/each}
      </ul>{/if}
    <p class="rested text-lead text-night-mute">
      {#if bench.rested != null && bench.rested > 60}{m.has_rested({ time: span(bench.rested) })}{/if}
    </p>
    <div class="hands-press">
      {#if press}
        <button
          class="act flex-1"
          disabled={pending || !settled(press)}
          onclick={(e) => (e.detail > 0 && e.currentTarget.blur(), onpress(press))}
        >
          {#if pending}<Hourglass size={22} aria-hidden="true" /><span class="sr-only">{m.waits_for_answer()}</span
            >{/if}{m.press_done()}{#if mine || keyed}<kbd>{mine ? m.space_key() : "D"}</kbd>{/if}
        </button>
      {/if}
      <button class="act plain late" onclick={() => onpress({ act: "late", value: LATE_S })}>{m.press_late({ time: span(LATE_S) })}</button>
    </div>
  {:else}
    <p class="what" data-long="">
      {sheet.stuck ? (sheet.people === 0 ? m.no_hands() : m.no_pans()) : m.hands_free()}
    </p>
  {/if}
  <!-- Where there is no room for all of them, whole ones are left out: they would stand in a second column, out of sight. -->
  <ol class="after" data-testid="after">
    {#each after as t (`${t.work}-${t.bread}-${t.number}-${t.chore}-${t.at}`)}
      {@const caution = taskCaution(sheet, t)}
      <li class="flex w-full gap-3 border-t-2 border-night-line py-2 text-lead leading-tight">
        <b class="w-18 shrink-0 text-night-ghee tabular-nums">{t.at > now ? countdown(t.at - now) : m.now_word()}</b>
        <span
          >{taskWords(sheet, t)}{#if caution}<span class="block text-body text-night-mute">{caution}</span>{/if}</span
        >
      </li>
    {/each}
  </ol>
</section>
