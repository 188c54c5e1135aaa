<script lang="ts">
  import Bell from "@lucide/svelte/icons/bell";
  import BellOff from "@lucide/svelte/icons/bell-off";
  import { onMount } from "svelte";
  import { push } from "svelte-spa-router";
  import { MediaQuery } from "svelte/reactivity";
  import Volume2 from "@lucide/svelte/icons/volume-2";
  import VolumeX from "@lucide/svelte/icons/volume-x";
  import { untrack } from "svelte";
  import type { StoveEvent, StoveTask } from "../../api/types";
  import { keyOf as nameOfKey } from "../../keys";
  import { letters } from "../../letters.svelte";
  import { m } from "../../paraglide/messages";
  import { storage } from "../../storage.svelte";
  import { awake, bell, bellWords, voice } from "../../stove/bell.svelte";
  import { type Press, presses } from "../../stove/presses.svelte";
  import { StoveScreen } from "../../stove/screen.svelte";
  import { breachWords, span } from "../../words/clock";
  import { clock as hour, day, number } from "../../words/format";
  import { eventWords, pieceName, runningOut, stoveRefusal, taskWords } from "../../words/stove";
  import Dialog from "../../parts/Dialog.svelte";
  import DialogClose from "../../parts/DialogClose.svelte";
  import DayTime from "../../parts/DayTime.svelte";
  import Belt from "./Belt.svelte";
  import HandsNow from "./HandsNow.svelte";
  import PanCard from "./PanCard.svelte";

  type Shows = "all" | "pans" | "hands";
  let { id }: { id: string } = $props();
  const SHOWS = "ystrata.stove.shows";
  // One service a page: another one comes with another page.
  // svelte-ignore state_referenced_locally
  const screen = new StoveScreen(id);
  const view = $derived(screen.view);
  const sheet = $derived(view?.sheet ?? null);
  const refused = $derived(presses.refusalOf(id));
  const now = $derived(screen.now);
  let shows = $state<Shows>((storage.get(SHOWS) as Shows | null) ?? "all");
  let history = $state(false);
  let ask = $state(false);
  onMount(() => awake.keep());
  onMount(() => voice.look());
  onMount(() => bell.try());

  const KEYS = ["F", "G", "H", "J", "K", "L"];
  const spots = $derived(sheet?.pans.flatMap((pan) => pan.places.map((place) => ({ pan: pan.pan, place: place.place }))) ?? []);
  const keyOf = (pan: number) => (place: number) => KEYS[spots.findIndex((s) => s.pan === pan && s.place === place)];
  const isBench = (t: StoveTask) => t.pan == null;
  // What spoils and runs out of time; what is forecast of it is then said by no other line.
  const short = $derived(sheet ? runningOut(sheet) : []);
  const tasks = $derived(sheet?.tasks ?? []);
  const bench = $derived(tasks.find(isBench) ?? null);
  const done = $derived(sheet?.breads.reduce((sum, b) => sum + b.done, 0) ?? 0);
  const all = $derived(sheet?.breads.reduce((sum, b) => sum + b.pieces - b.lost, 0) ?? 0);
  const lost = $derived(sheet?.breads.reduce((sum, b) => sum + b.lost, 0) ?? 0);
  const phone = new MediaQuery("(max-width: 639px)");
  const wide = new MediaQuery("(min-width: 1024px)");
  const usual = $derived(phone.current ? (spots.length <= 1 ? 220 : 132) : spots.length <= 2 ? 296 : spots.length <= 4 ? 168 : 128);
  // Where the pans have a height of their own the dials give way, so that what is pressed stays in sight.
  const ROUND_A_DIAL = 178;
  let high = $state(0);
  const size = $derived(
    wide.current && high > 0 ? Math.max(Math.min(usual, high / Math.ceil((sheet?.pans.length ?? 1) / 2) - ROUND_A_DIAL), 96) : usual,
  );
  const at = (seconds: number) => hour(new Date(Date.parse(view?.openedAt ?? "") + seconds * 1000).toISOString());

  function pressOf(t: StoveTask): Press | null {
    const piece = { bread: t.bread, number: t.number };
    if (isBench(t)) return { act: "done", ...piece, work: t.work, value: t.chore };
    const spot = { pan: t.pan!, place: t.place ?? 0 };
    const lies = sheet?.pans[t.pan!]?.places.find((p) => p.place === (t.place ?? 0));
    if (t.work === "lay" || t.work === "fry") return { act: "laid", ...spot, ...piece };
    return t.work === "lift" ? { act: "lifted", ...spot, ...piece } : { act: "turned", ...spot, ...piece, value: lies?.turns ?? 0 };
  }
  // What the pedal presses: the nearest thing this screen is there for.
  const nearest = $derived(tasks.find((t) => shows === "all" || (shows === "hands") === isBench(t)) ?? null);
  const next = $derived(nearest ? pressOf(nearest) : null);

  // A stay that is over rings once; so does work that hands were waiting for. What is due is said as well: to a screen reader, and aloud where that is wanted.
  const due = $derived.by(() => {
    if (!sheet) return [];
    const there = sheet;
    const stays = there.pans.flatMap((pan) =>
      pan.places.flatMap((p) => {
        if (p.due == null) return [];
        const piece = pieceName(there, p.bread ?? 0, p.numbers[0] ?? 0);
        return [
          { key: `${pan.pan}-${p.place}-${p.numbers[0]}-${p.turns}`, at: p.due, words: (p.lift ? m.say_lift : m.say_turn)({ piece }) },
        ];
      }),
    );
    const work = bench
      ? [{ key: `hands-${bench.work}-${bench.bread}-${bench.number}`, at: bench.at, words: m.say_now({ what: taskWords(there, bench) }) }]
      : [];
    return [...(shows === "hands" ? [] : stays), ...(shows === "pans" ? [] : work)];
  });
  const rung: Record<string, true> = {};
  let said = $state("");
  $effect(() => {
    const over = due.filter((d) => now >= d.at && !rung[d.key]);
    // What was over already when the screen came does not ring for itself.
    const fresh = over.filter((d) => now - d.at < 3);
    if (fresh.length > 0) {
      bell.ring();
      said = fresh.map((d) => d.words).join(". ");
      voice.say(said);
    }
    for (const d of over) rung[d.key] = true;
  });
  // The browser slows a hidden page: what is due next is waited for by a clock that it does not slow.
  const soonest = $derived(Math.min(...due.filter((d) => d.at > now).map((d) => d.at)));
  $effect(() => {
    // Every word of the kitchen's may have put its clock right.
    void view;
    const at = Number.isFinite(soonest) ? soonest : null;
    untrack(() => screen.ringAt(at));
  });
  // A browser that keeps the bell silent may let it ring once the screen was touched.
  const touched = () => {
    if (bell.blocked) bell.try();
  };
  const olds = $derived(screen.waiting.filter((w) => w.asked));
  const oldWords = (w: (typeof olds)[number]) =>
    m.old_press({
      what: sheet ? eventWords(sheet, { ...w.body, at: 0 } as StoveEvent) : "",
      day: day(new Date(w.at).toISOString()),
      time: hour(new Date(w.at).toISOString()),
    });

  // What changed under the finger, by this screen or another, takes no press for a moment: nobody meant it.
  const SETTLES_MS = 300;
  let unsettled = $state<Record<string, boolean>>({});
  const last: Record<string, string> = {};
  const settling: ReturnType<typeof setTimeout>[] = [];
  onMount(() => () => settling.forEach(clearTimeout));
  const keyOfSpot = (pan: number, place: number) => `${pan}-${place}`;
  $effect(() => {
    if (!sheet) return;
    const now = [
      ...sheet.pans.flatMap((pan) =>
        pan.places.map((p) => [keyOfSpot(pan.pan, p.place), `${p.bread}-${p.numbers[0] ?? p.next?.number}-${p.turns}`] as const),
      ),
      ["hands", bench ? `${bench.work}-${bench.bread}-${bench.number}-${bench.chore}` : ""] as const,
    ];
    for (const [key, signature] of now) {
      if (last[key] !== undefined && last[key] !== signature) {
        unsettled[key] = true;
        settling.push(setTimeout(() => (unsettled[key] = false), SETTLES_MS));
      }
      last[key] = signature;
    }
  });
  const settled = (p: Press) => !unsettled[p.pan == null ? "hands" : keyOfSpot(p.pan, p.place ?? 0)];

  const leave = () => void push("/");
  function key(event: KeyboardEvent) {
    if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || !sheet) return;
    const target = event.target as HTMLElement;
    if (target.closest("input, textarea, select, [role=dialog]")) return;
    const name = nameOfKey(event);
    const spot = spots[KEYS.indexOf(name)];
    if (name === " ") {
      if (target.closest("button, a")) return;
      if (next && settled(next)) screen.press(next);
    } else if (name === "Escape") leave();
    else if (!letters.on) return;
    else if (name === "U") {
      screen.undoLast();
    } else if (name === "D") {
      if (bench && !unsettled.hands) screen.press(pressOf(bench)!);
    } else if (name === "B") bell.toggle();
    else if (spot) document.querySelector<HTMLElement>(`[data-pan="${spot.pan}"] [data-place="${spot.place}"] button.act`)?.click();
    else return;
    event.preventDefault();
  }
  function show(what: Shows) {
    shows = what;
    storage.set(SHOWS, what);
  }
  function setTable(iso: string) {
    const seconds = (Date.parse(iso) - Date.parse(view!.openedAt)) / 1000;
    screen.press({ act: "table", value: Math.max(Math.round(seconds), 0) });
  }
</script>

<svelte:window onkeydown={key} onpointerdown={touched} onkeyup={touched} />
<p class="sr-only" aria-live="assertive" data-testid="said">{said}</p>

<div class="stove" data-testid="stove">
  {#if screen.missing}
    <div class="m-auto p-8 text-center">
      <h1 class="text-title font-bold">{m.no_service()}</h1>
      <a class="act mt-4 inline-flex" href="#/stove">{m.to_the_stoves()}</a>
    </div>
  {:else if view && sheet && awake.kept !== null}
    <!-- What the header says is known by now: on a narrow screen a word more would move the pans from under the finger. -->
    <header>
      <h1 class="min-w-0 truncate text-figure font-bold">{view.name}</h1>
      <span class="chip" data-testid="done"
        >{m.done_of({ done, all })}{#if lost > 0}<span class="text-night-hot">, {m.lost_count({ count: lost })}</span>{/if}</span
      >
      <button class="chip tab" data-testid="in-hand" onclick={() => (ask = true)}
        >{m.table_is({ time: at(sheet.table) })}
        {#if sheet.stuck}<b class="text-night-hot">{m.stands_still()}</b>
        {:else if sheet.inHand >= -59}<b class="text-night-leaf"
            >{sheet.inHand < 60 ? m.on_time() : m.in_hand({ time: span(sheet.inHand) })}</b
          >
        {:else}<b class="text-night-hot">{m.late_by({ time: span(-sheet.inHand) })}</b>{/if}</button
      >
      <span class="flex-1 max-sm:hidden"></span>
      {#if !screen.heard}<span class="chip border-night-hot" role="alert" data-testid="unheard">{m.kitchen_silent()}</span>
      {:else if screen.full}<span class="chip border-night-hot" role="alert" data-testid="unheard">{m.stove_full()}</span>{/if}
      <span class="flex gap-1" role="group" aria-label={m.this_screen_shows()}>
        {#each [["all", m.shows_all()], ["pans", m.shows_pans()], ["hands", m.shows_hands()]] as const as [what, label] (what)}
          <button class="chip tab" aria-pressed={shows === what} onclick={() => show(what)}>{label}</button>
        {/each}
      </span>
      {#if !awake.kept}<span class="chip text-body" data-testid="may-sleep">{m.may_sleep()}</span>{/if}
      <button class="chip tab" aria-label={bellWords()} onclick={() => bell.toggle()}
        >{#if bell.on && !bell.blocked}<Bell size={20} aria-hidden="true" />{:else}<BellOff size={20} aria-hidden="true" />{/if}</button
      >
      {#if voice.there}<button class="chip tab" aria-label={m.voice_says()} aria-pressed={voice.on} onclick={() => voice.toggle()}
          >{#if voice.on}<Volume2 size={20} aria-hidden="true" />{:else}<VolumeX size={20} aria-hidden="true" />{/if}</button
        >{/if}
      <button class="chip tab" onclick={leave}>{m.leave_stove()} <kbd class="max-sm:hidden">Esc</kbd></button>
    </header>
    <div class="notices" role="status">
      {#if refused}<p class="notice">
          {stoveRefusal[refused]()}<button class="chip tab" onclick={() => presses.forgetRefusal(id)}>{m.close()}</button>
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
          {m.service_closed({ done })} <a class="chip tab" href="#/log/new/{view.batchId}">{m.log_it()}</a>
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
    <div class="work shows-{shows}">
      {#if shows !== "hands"}
        <div class="pans" bind:clientHeight={high} style:--columns={Math.min(sheet.pans.length, 2)}>
          {#each sheet.pans as pan (pan.pan)}
            <PanCard
              {sheet}
              {pan}
              {now}
              {size}
              keyOf={keyOf(pan.pan)}
              {next}
              waits={(p) => screen.waits(p)}
              {settled}
              onpress={(p) => screen.press(p)}
            />
          {/each}
        </div>
      {/if}
      {#if shows !== "pans"}
        <HandsNow
          {sheet}
          {now}
          tasks={shows === "hands" ? tasks.filter(isBench) : tasks}
          {bench}
          {next}
          waits={(p) => screen.waits(p)}
          {settled}
          {pressOf}
          onpress={(p) => screen.press(p)}
          onhistory={() => (history = true)}
        />
      {/if}
    </div>
    <Belt {sheet} {now} onpress={(p) => screen.press(p)} />
  {:else}
    <p class="m-auto p-8">{screen.heard ? m.working_it_out() : m.kitchen_silent()}</p>
  {/if}
</div>

{#if sheet && view}
  <Dialog night bind:open={history} title={m.pressed_so_far()}>
    {#each sheet.past as past (past.event.id)}
      <div class="flex items-center justify-between gap-3 text-lead">
        <span class:line-through={past.undone}>{at(past.event.at)} · {eventWords(sheet, past.event)}</span>
        {#if !past.undone}<button class="act plain" onclick={() => screen.press({ act: "undo", undoes: past.event.id })}>{m.undo()}</button
          >{/if}
      </div>
    {/each}
    <DialogClose class="act plain" />
  </Dialog>
  <Dialog night bind:open={ask} title={m.service_settings()}>
    <DayTime
      label={m.table_time()}
      big
      value={new Date(Date.parse(view.openedAt) + sheet.table * 1000).toISOString()}
      onchange={setTable}
    />
    <div class="flex items-center justify-between gap-3 text-lead">
      <span>{m.hands_at_work({ count: number(screen.people, 0) })}</span>
      <span class="flex gap-2.5">
        <button
          class="act plain"
          disabled={screen.people <= 0}
          aria-label={m.one_hand_less()}
          onclick={() => screen.press({ act: "hands", value: screen.people - 1 })}>−</button
        >
        <button
          class="act plain"
          disabled={screen.people >= 12}
          aria-label={m.one_hand_more()}
          onclick={() => screen.press({ act: "hands", value: screen.people + 1 })}>+</button
        >
      </span>
    </div>
    <button class="act plain" onclick={() => ((ask = false), screen.press({ act: "end" }))}>{m.close_service()}</button>
    <DialogClose class="act plain" />
  </Dialog>
{/if}
