<script lang="ts">
  import { onMount } from "svelte";
  import { push } from "svelte-spa-router";
  import { keyOf as nameOfKey } from "../../keys";
  import { letters } from "../../letters.svelte";
  import { m } from "../../paraglide/messages";
  import { storage } from "../../storage.svelte";
  import { awake, bell, voice } from "../../stove/bell.svelte";
  import type { Press } from "../../stove/presses.svelte";
  import { StoveScreen } from "../../stove/screen.svelte";
  import { clock as hour } from "../../words/format";
  import { narrow } from "../../narrow";
  import { Crew, panColumns } from "../../stove/crew.svelte";
  import { Due, dueOf, type Shows } from "../../stove/due.svelte";
  import { handsOf, Settling, spotOf, standsOf } from "../../stove/settling.svelte";
  import Belt from "./Belt.svelte";
  import LastPress from "./LastPress.svelte";
  import Head from "./Head.svelte";
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
  let wanted = $state<Shows>((storage.get(SHOWS) as Shows | null) ?? "all");
  let history = $state(false);
  let ask = $state(false);
  onMount(() => awake.keep());
  onMount(() => voice.look());
  onMount(() => bell.try());

  const KEYS = ["F", "G", "H", "J", "K", "L"];
  const spots = $derived(sheet?.pans.flatMap((pan) => pan.places.map((place) => ({ pan: pan.pan, place: place.place }))) ?? []);
  const keyOf = (pan: number) => (place: number) => KEYS[spots.findIndex((s) => s.pan === pan && s.place === place)];
  const crew = new Crew(
    () => sheet,
    () => wanted,
  );
  const { people, shows, mine, bench } = $derived(crew);
  const choices = $derived<[Shows, string][]>([
    ["all", m.shows_all()],
    ...(people.length > 1
      ? people.map((p): [Shows, string] => [`hands-${p}`, m.hands_lane({ number: p + 1 })])
      : [["hands", m.shows_hands()] as [Shows, string]]),
    ["pans", m.shows_pans()],
  ]);
  const columns = $derived(panColumns(sheet?.pans.length ?? 1));
  const rows = $derived(Math.ceil((sheet?.pans.length ?? 1) / columns));
  let panned = $state(false);
  const early = $derived(!panned && crew.early(now));
  const inSight = $derived(crew.inSight(early));
  const at = (seconds: number) => hour(new Date(Date.parse(view?.openedAt ?? "") + seconds * 1000).toISOString());

  const next = $derived(crew.nearest?.press ?? null);

  const due = new Due(
    () => (sheet ? dueOf(sheet, crew.benches, shows) : []),
    () => now,
    () => view,
    (at) => screen.ringAt(at),
  );
  // A browser that keeps the bell silent may let it ring once the screen was touched.
  const touched = () => {
    if (bell.blocked) bell.try();
  };
  const settling = new Settling(() =>
    sheet
      ? standsOf(
          sheet,
          mine.map((person) => ({ person, next: crew.benchOf(person) })),
        )
      : [],
  );
  const settled = (p: Press) => settling.settled(p.pan == null ? handsOf(crew.whose(p)) : spotOf(p.pan, p.place ?? 0));

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
      if (bench && settled(bench.press)) screen.press(bench.press);
    } else if (name === "B") bell.toggle();
    else if (spot) document.querySelector<HTMLElement>(`[data-pan="${spot.pan}"] [data-place="${spot.place}"] button.act`)?.click();
    else return;
    event.preventDefault();
  }
  function show(what: Shows) {
    wanted = what;
    storage.set(SHOWS, what);
  }
</script>

{#snippet last()}
  {#if sheet}
    <LastPress {sheet} waits={(p) => screen.waits(p)} onpress={(p) => screen.press(p)} onhistory={() => (history = true)} />
  {/if}
{/snippet}

<svelte:window onkeydown={key} onpointerdown={touched} onkeyup={touched} />
<p class="sr-only" aria-live="assertive" data-testid="said">{due.said}</p>

<div class="stove" data-testid="stove">
  {#if screen.missing}
    <div class="m-auto p-8 text-center">
      <h1 class="text-title font-bold">{m.no_service()}</h1>
      <a class="act mt-4 inline-flex" href="#/stove">{m.to_the_stoves()}</a>
    </div>
  {:else if view && sheet && awake.kept !== null}
    <!-- What the head says is known by now: on a narrow screen a word more would move the pans from under the finger. -->
    <Head {screen} {view} {sheet} {choices} {shows} onshow={show} onask={() => (ask = true)} onleave={leave} />
    <Notices {screen} {view} {sheet} />
    <div
      class="work shows-{shows.startsWith('hands') ? 'hands' : shows} {early ? 'early' : ''}"
      style:--pans="{rows}fr"
      style:--columns={columns}
      style:--people={inSight.length}
    >
      {#if !shows.startsWith("hands") && !early}
        <div class="pans">
          {#each sheet.pans as pan (pan.pan)}
            <PanCard
              {sheet}
              {pan}
              {now}
              keyOf={keyOf(pan.pan)}
              {next}
              waits={(p) => screen.waits(p)}
              {settled}
              onpress={(p) => screen.press(p)}
            />
          {/each}
        </div>
      {/if}
      {#if mine.length}
        <div class="hands">
          {#each inSight as person (person)}
            <HandsNow
              {sheet}
              {now}
              person={people.length > 1 ? person : null}
              tasks={crew.tasksOf(person)}
              bench={crew.benchOf(person)}
              {next}
              keyed={crew.benchOf(person) === bench}
              waits={(p) => screen.waits(p)}
              {settled}
              onpress={(p) => screen.press(p)}
            />
          {/each}
          {#if !narrow.current}{@render last()}{/if}
        </div>
      {/if}
      {#if early}
        <p class="pans-line" data-testid="pans-line">
          <b class="text-big">{m.pans_count({ count: sheet.pans.length })}</b>
          <span>{m.first_piece_at({ time: at(crew.firstPiece) })}</span>
          <span class="flex-1 text-night-mute">{m.pieces_to_come({ count: sheet.toCome ?? 0 })}</span>
          <button class="act plain" onclick={() => (panned = true)}>{m.show_the_pans()}</button>
        </p>
      {/if}
    </div>
    <div class="foot">
      <Belt {sheet} {now} onpress={(p) => screen.press(p)} />
      {#if narrow.current || mine.length === 0}{@render last()}{/if}
    </div>
  {:else}
    <p class="m-auto p-8">{screen.heard ? m.working_it_out() : m.kitchen_silent()}</p>
  {/if}
</div>

{#if sheet && view && history}<Pressed {screen} {sheet} {at} onclose={() => (history = false)} />{/if}
{#if sheet && view && ask}<Settings {screen} {sheet} openedAt={view.openedAt} onclose={() => (ask = false)} />{/if}
