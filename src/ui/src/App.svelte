<script lang="ts">
  import { BitsConfig } from "bits-ui";
  import Router, { router } from "svelte-spa-router";
  import { changes } from "./api/changes.svelte";
  import { door } from "./api/door.svelte";
  import { larder } from "./api/larder.svelte";
  import type { Changed } from "./api/types";
  import { batch } from "./bench/bench.svelte";
  import { keepers } from "./bench/keeper.svelte";
  import { places, takeKey } from "./keys";
  import { type Component, untrack } from "svelte";
  import { live } from "./live/live.svelte";
  import { m } from "./paraglide/messages";
  import Trouble from "./parts/Trouble.svelte";
  import { atTheStove, Door, fetchAhead, trustAlone, usual } from "./routes";
  import { beside } from "./words/format";
  import { locale } from "./words/locale";
  import { viewOf } from "./words/units";
  import { newest } from "./offline/newest.svelte";
  import { presses } from "./stove/presses.svelte";
  import { elsewhere } from "./versions/elsewhere.svelte";

  const trusting = $derived(router.location === "/trust");
  const names = {
    "/": m.place_shelf,
    "/batch": m.place_batch,
    "/stove": m.place_stove,
    "/log": m.place_log,
    "/larder": m.place_larder,
    "/day": m.day_sheet,
  };

  let keysOpen = $state(false);
  // A running service has the whole screen.
  const atStove = $derived(/^\/stove\/./.test(router.location));
  const mine = $derived(door.stoveOnly ? places.filter((p) => p.path === "/stove") : places);
  const here = (path: string) => (path === "/" ? router.location === "/" : router.location.startsWith(path));
  // Title and focus follow the place: what was pressed may be gone with the place it stood in.
  let main = $state<HTMLElement>();
  const place = $derived(
    [...places.map((p) => p.path), "/day" as const].find((path) => path !== "/" && router.location.startsWith(path)) ?? "/",
  );
  $effect(() => {
    document.title = m.title_of({ place: place === "/batch" && batch.name ? batch.name : names[place]() });
  });
  let entered: string | undefined;
  $effect(() => {
    const before = entered;
    entered = place;
    if (before === undefined || before === place) return;
    main?.focus({ preventScroll: true });
  });
  void door.look();
  newest.begin();
  $effect(() => newest.heard());
  // What was changed and not kept outlives the page: what is newer is taken when a place is left.
  $effect(() => {
    void router.location;
    if (untrack(() => newest.there && !atStove)) location.reload();
  });
  void larder.fetch();
  $effect(() => {
    if (live.line === "outside") void door.look();
  });
  // What other screens change is told to whoever shows it.
  live.begin();
  live.on<Changed>("changed", ({ what, id, version }) => {
    changes.tell(what);
    if (what === "batches" || what === "kitchen") keepers.heard(what === "kitchen" ? null : (id ?? null), version ?? null);
  });
  // First what lies on the bench: what was left by pages that are gone has waited already.
  const AFTER_THE_FIRST_MS = 300;
  let Toasts = $state.raw<Component>();
  const TRY_AGAIN_MS = 3000;
  async function bringToasts() {
    const brought = await import("./parts/Toasts.svelte").catch(() => null);
    if (brought) Toasts = brought.default;
    else setTimeout(() => void bringToasts(), TRY_AGAIN_MS);
  }
  setTimeout(() => {
    void bringToasts();
    void fetchAhead();
    keepers.bringBack();
    presses.bringBack();
  }, AFTER_THE_FIRST_MS);
  let first = true;
  $effect(() => {
    void changes.of("larder");
    void changes.of("learned");
    if (!first) untrack(() => void larder.fetch().then(() => batch.again()));
    first = false;
  });
</script>

<svelte:window onkeydown={(e) => takeKey(e, () => (keysOpen = true))} />

<BitsConfig defaultPortalTo="main" defaultLocale={locale}>
  <div class="flex min-h-full flex-col lg:h-full">
    {#if newest.there && !atStove}
      <div
        class="flex shrink-0 items-center justify-center gap-3 border-b-2 border-ink bg-ghee px-3 py-1 text-ink print:hidden"
        role="status"
      >
        <span>{m.newer_version()}</span>
        <button class="button" onclick={() => location.reload()}>{m.newer_take()}</button>
      </div>
    {/if}
    <header class="print:hidden {atStove ? 'hidden' : 'flex'} h-bar shrink-0 items-center gap-1 rim-b bg-enamel px-2 sm:gap-5 sm:px-5">
      <a
        href="#/"
        class="flex min-h-11 min-w-11 items-center gap-2 font-head text-figure font-bold tracking-tight"
        aria-label={m.ystrata_home()}
      >
        <img src="/mark.svg" alt="" width="30" height="26" /><span class="max-sm:sr-only">Ystrata</span>
      </a>
      <nav class="flex max-sm:flex-1 sm:gap-1" aria-label={m.places()}>
        {#each door.outside ? [] : mine as { key, path } (path)}
          <a
            href="#{path}"
            class="flex min-h-11 items-center rounded-inner px-0.5 text-small font-medium max-sm:max-w-24 max-sm:flex-1 max-sm:justify-center sm:px-3 sm:text-body aria-[current=page]:bg-rim aria-[current=page]:text-white"
            aria-current={here(path) ? "page" : undefined}
            data-round={path === "/stove" ? "stove" : undefined}
            >{names[path]()}<kbd class="ms-1.5 text-fine font-semibold max-sm:hidden" aria-hidden="true">{key}</kbd></a
          >
        {/each}
      </nav>
      <span class="flex-1 max-sm:hidden"></span>
      {#if larder.view && !door.stoveOnly && !door.outside}
        {@const shown = beside(...["g", "°C", "cm"].map((u) => viewOf(u).symbol))}
        <a
          class="flex min-h-11 items-center rounded-full border-2 border-rim-soft px-3.5 text-small font-medium max-md:hidden"
          href="#/larder/cups"
          aria-label={m.units_now({ units: shown })}>{shown}</a
        >
      {/if}
      <button class="button plain text-mute" onclick={() => (keysOpen = true)} aria-label={m.keys_title()}>
        <kbd class="font-head font-bold">?</kbd><span class="max-sm:hidden">{m.keys()}</span>
      </button>
    </header>
    <main class="min-h-0 flex-1 focus:outline-none" tabindex="-1" bind:this={main}>
      {#if door.outside && !trusting}
        {#await Door() then { default: Inside }}<Inside />{/await}
      {:else if trusting}
        <Router routes={trustAlone} />
      {:else if larder.view && door.view}
        <Router routes={door.stoveOnly ? atTheStove : usual} />
      {:else if larder.trouble}
        <div class="p-5"><Trouble trouble={larder.trouble} again={() => larder.fetch()} /></div>
      {/if}
    </main>
  </div>

  <!-- What is opened by a press, or by another screen, comes with it. -->
  {#if keysOpen}
    {#await import("./parts/Keys.svelte") then { default: Keys }}<Keys onclose={() => (keysOpen = false)} />{/await}
  {/if}
  {#if elsewhere.question}
    {#await import("./parts/ChangedElsewhere.svelte") then { default: ChangedElsewhere }}<ChangedElsewhere />{/await}
  {/if}
</BitsConfig>

<!-- What is told at the foot of the page follows a moment after it, so that it is there before anything is. -->
{#if Toasts}<Toasts />{/if}
