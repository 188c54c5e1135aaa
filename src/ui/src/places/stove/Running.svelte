<script lang="ts">
  import Bell from "@lucide/svelte/icons/bell";
  import BellOff from "@lucide/svelte/icons/bell-off";
  import { onMount } from "svelte";
  import { push } from "svelte-spa-router";
  import { MediaQuery } from "svelte/reactivity";
  import Volume2 from "@lucide/svelte/icons/volume-2";
  import VolumeX from "@lucide/svelte/icons/volume-x";
  import type { StoveTask } from "../../api/types";
  import { keyOf as nameOfKey } from "../../keys";
  import { letters } from "../../letters.svelte";
  import Toggle from "../../parts/Toggle.svelte";
  import { m } from "../../paraglide/messages";
  import { storage } from "../../storage.svelte";
  import { awake, bell, bellWords, voice } from "../../stove/bell.svelte";
  import type { Press } from "../../stove/presses.svelte";
  import { StoveScreen } from "../../stove/screen.svelte";
  import { span } from "../../words/clock";
  import { clock as hour } from "../../words/format";
  import { Due, dueOf, type Shows } from "../../stove/due.svelte";
  import { HANDS, Settling, spotOf, standsOf } from "../../stove/settling.svelte";
  import Belt from "./Belt.svelte";
  import HandsNow from "./HandsNow.svelte";
  import Notices from "./Notices.svelte";
  import PanCard from "./PanCard.svelte";
  import Pressed from "./Pressed.svelte";
  import Settings from "./Settings.svelte";

  let { id }: { id: string } = $props();
  const SHOWS = "ystrata.stove.shows";
  // One service a page: another one comes with another page.
  // svelte-ignore state_referenced_locally
  const screen = new StoveScreen(id);
  const view = $derived(screen.view);
  const sheet = $derived(view?.sheet ?? null);
  const now = $derived(screen.now);
  const lost = $derived(sheet?.lost ?? 0);
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
  const tasks = $derived(sheet?.tasks ?? []);
  const bench = $derived(tasks.find(isBench) ?? null);
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

  // What the pedal presses: the nearest thing this screen is there for.
  const nearest = $derived(tasks.find((t) => shows === "all" || (shows === "hands") === isBench(t)) ?? null);
  const next = $derived(nearest?.press ?? null);

  const due = new Due(
    () => (sheet ? dueOf(sheet, bench, shows) : []),
    () => now,
    () => view,
    (at) => screen.ringAt(at),
  );
  // A browser that keeps the bell silent may let it ring once the screen was touched.
  const touched = () => {
    if (bell.blocked) bell.try();
  };
  const settling = new Settling(() => (sheet ? standsOf(sheet, bench) : []));
  const settled = (p: Press) => settling.settled(p.pan == null ? HANDS : spotOf(p.pan, p.place ?? 0));

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
      if (bench && settling.settled(HANDS)) screen.press(bench.press);
    } else if (name === "B") bell.toggle();
    else if (spot) document.querySelector<HTMLElement>(`[data-pan="${spot.pan}"] [data-place="${spot.place}"] button.act`)?.click();
    else return;
    event.preventDefault();
  }
  function show(what: Shows) {
    shows = what;
    storage.set(SHOWS, what);
  }
</script>

<svelte:window onkeydown={key} onpointerdown={touched} onkeyup={touched} />
<p class="sr-only" aria-live="assertive" data-testid="said">{due.said}</p>

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
        >{m.done_of({ done: sheet?.done ?? 0, all: sheet?.toMake ?? 0 })}{#if lost > 0}<span class="text-night-hot"
            >, {m.lost_count({ count: lost })}</span
          >{/if}</span
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
          <Toggle class="chip tab" pressed={shows === what} onpress={() => show(what)}>{label}</Toggle>
        {/each}
      </span>
      {#if !awake.kept}<span class="chip text-body" data-testid="may-sleep">{m.may_sleep()}</span>{/if}
      <button class="chip tab" aria-label={bellWords()} onclick={() => bell.toggle()}
        >{#if bell.on && !bell.blocked}<Bell size={20} aria-hidden="true" />{:else}<BellOff size={20} aria-hidden="true" />{/if}</button
      >
      {#if voice.there}<Toggle class="chip tab" aria-label={m.voice_says()} pressed={voice.on} onpress={() => voice.toggle()}
          >{#if voice.on}<Volume2 size={20} aria-hidden="true" />{:else}<VolumeX size={20} aria-hidden="true" />{/if}</Toggle
        >{/if}
      <button class="chip tab" onclick={leave}>{m.leave_stove()} <kbd class="max-sm:hidden">Esc</kbd></button>
    </header>
    <Notices {screen} {view} {sheet} />
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

{#if sheet && view && history}<Pressed {screen} {sheet} {at} onclose={() => (history = false)} />{/if}
{#if sheet && view && ask}<Settings {screen} {sheet} openedAt={view.openedAt} onclose={() => (ask = false)} />{/if}
