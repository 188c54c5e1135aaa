<script lang="ts">
  import type { ServiceView, StoveEvent, StoveSheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { bell } from "../../stove/bell.svelte";
  import { presses } from "../../stove/presses.svelte";
  import type { StoveScreen } from "../../stove/screen.svelte";
  import { breachWords, span } from "../../words/clock";
  import { clock as hour, day } from "../../words/format";
  import { eventWords, runningOut, stoveRefusal } from "../../words/stove";

  /** What the cook has to know or to say besides the work: a press that was refused or is old, a service left open, what runs out. */
  let { screen, view, sheet }: { screen: StoveScreen; view: ServiceView; sheet: StoveSheet } = $props();
  const refused = $derived(presses.refusalOf(view.id));
  // What spoils and runs out of time; what is forecast of it is then said by no other line.
  const short = $derived(runningOut(sheet));
  const olds = $derived(screen.waiting.filter((w) => w.asked));
  const oldWords = (w: (typeof olds)[number]) =>
    m.old_press({
      what: eventWords(sheet, { ...w.body, at: 0 } as StoveEvent),
      day: day(new Date(w.at).toISOString()),
      time: hour(new Date(w.at).toISOString()),
    });
</script>

<div class="notices" role="status">
  {#if refused}<p class="notice">
      {stoveRefusal[refused]()}<button class="chip tab" onclick={() => presses.forgetRefusal(view.id)}>{m.close()}</button>
    </p>{/if}
  {#each olds as old (old.body.id)}<p class="notice" data-testid="old-press">
      <span>{oldWords(old)}</span>
      {#if presses.couldBeThen(old)}<button class="chip tab" onclick={() => presses.settle(old, "then")}
          >{m.old_then({ time: hour(new Date(old.at).toISOString()) })}</button
        >{/if}
      <button class="chip tab" onclick={() => presses.settle(old, "now")}>{m.old_now()}</button>
      <button class="chip tab" onclick={() => presses.settle(old, "never")}>{m.old_never()}</button>
    </p>{/each}
  {#if bell.on && bell.blocked}<p class="notice" data-testid="bell-blocked">{m.bell_blocked()}</p>{/if}
  {#if sheet.open}<p class="notice" data-testid="left-open">
      {m.left_open({ time: span(sheet.left) })}
      <button class="chip tab" onclick={() => screen.press({ act: "table", value: sheet.table })}>{m.go_on()}</button>
      <button class="chip tab" onclick={() => screen.press({ act: "end" })}>{m.close_service()}</button>
    </p>{/if}
  {#if sheet.ended}<p class="notice">
      {m.service_closed({ done: sheet.done })} <a class="chip tab" href="#/log/new/{view.batchId}">{m.log_it()}</a>
    </p>{/if}
  {#each sheet.breaches
    .filter((b) => !(short.length && ["doughWarm", "fillingWarm"].includes(b.code)))
    .toSorted((a, b) => +(b.severity === "wrong") - +(a.severity === "wrong"))
    .slice(0, 1) as b (b.code)}<p class="notice" class:quiet={b.severity !== "wrong"}>
      {breachWords(b)}
    </p>{/each}
  {#each short as part (part.words)}<p class="notice" class:quiet={part.severity !== "wrong"} data-testid="running-out">
      {part.words}
    </p>{/each}
</div>
