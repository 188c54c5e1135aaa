<script lang="ts">
  import { Tabs } from "bits-ui";
  import { untrack } from "svelte";
  import { call, type Trouble as Why } from "../api/call";
  import { api } from "../api/client";
  import { batch, type Stratum } from "../bench/bench.svelte";
  import { m } from "../paraglide/messages";
  import { narrow } from "../narrow";
  import Trouble from "../parts/Trouble.svelte";
  import WatchLine from "../parts/WatchLine.svelte";
  import { round } from "../round.svelte";
  import { toaster } from "../toast.svelte";
  import { elsewhere } from "../versions/elsewhere.svelte";
  import Balls from "../stages/Balls.svelte";
  import Clock from "../stages/Clock.svelte";
  import Dough from "../stages/Dough.svelte";
  import Ladle from "../stages/Ladle.svelte";
  import Rest from "../stages/Rest.svelte";
  import Filling from "../stages/Filling.svelte";
  import Fold from "../stages/Fold.svelte";
  import Pan from "../stages/Pan.svelte";
  import Roll from "../stages/Roll.svelte";
  import Sheet from "../stages/Sheet.svelte";
  import { pours, sayingOf, stratumName } from "../words/figures";
  import { placeOf } from "../words/fields";
  import { say } from "../words/refusals";
  import BatchActions from "./BatchActions.svelte";
  import { doughTokens } from "../section/look";
  import Column from "./batch/Column.svelte";
  import Cut from "./batch/Cut.svelte";
  import Name from "./batch/Name.svelte";

  let { params }: { params?: { id?: string } } = $props();

  const benches = {
    dough: Dough,
    rest: Rest,
    balls: Balls,
    sheet: Sheet,
    fold: Fold,
    filling: Filling,
    roll: Roll,
    pan: Pan,
    clock: Clock,
  };
  const sheet = $derived(batch.sheet);
  const Bench = $derived(batch.open === "balls" && sheet && pours(sheet) ? Ladle : benches[batch.open]);
  // Heights of the tray and of what is done in it; over and under that it has some room, pixels.
  const PADDING = 24;
  let trayBox = $state.raw<DOMRectReadOnly>();
  const tray = $derived(Math.round(trayBox?.height ?? 0));
  let workBox = $state.raw<DOMRectReadOnly>();
  const work = $derived(Math.round(workBox?.height ?? 0));
  // The bench is drawn once, with its figures; only where they are long in coming it stands there without them.
  const LONG_MS = 100;
  let long = $state(false);
  setTimeout(() => (long = true), LONG_MS);
  let missing = $state(false);
  let trouble = $state.raw<Why | null>(null);

  $effect(() => {
    const id = params?.id;
    // Only the address decides what lies open; what changes on the bench does not.
    untrack(() => {
      if (id) void fetchBatch(id);
      else missing = !batch.recover();
    });
  });

  // What this browser has not got kept yet comes before what the kitchen has; else the kitchen's word is the newer one.
  async function fetchBatch(id: string) {
    if (batch.findUnkept(id)) {
      missing = false;
      return;
    }
    const here = (batch.spec !== null || batch.recover()) && batch.id === id;
    if (here && batch.sheet) return;
    const answer = await call(() => api.GET("/api/batches/{id}", { params: { path: { id } } }));
    if (params?.id !== id) return;
    if (answer.data) batch.take(answer.data);
    missing = answer.trouble?.kind === "missing" && !here;
    trouble = answer.trouble && !missing && !here ? answer.trouble : null;
  }

  // What another screen changed too: whose figures go on is the cook's to say, at once or later.
  async function settle() {
    const { differs, name } = batch;
    if (!differs) return;
    const specs = { mine: differs.made("mine").spec, theirs: differs.made("theirs").spec };
    const choice = await elsewhere.ask({ name: name || m.nameless(), clashes: differs.clashes, two: true, specs });
    // It was changed again meanwhile: then it is asked again.
    if (choice === null || differs !== batch.differs) return;
    if (choice === "both") {
      const own = m.name_here({ name }).slice(0, 80);
      batch.part(own);
      toaster.say(m.batch_two({ name: own }));
    } else batch.settle(choice);
  }
  $effect(() => {
    if (batch.differs) untrack(() => void settle());
  });
  let seen = batch.takenUp;
  $effect(() => {
    if (batch.takenUp !== seen) toaster.say(m.batch_taken_up());
    seen = batch.takenUp;
  });

  // The first time in this browser, and where the bench has its column beside it or over it.
  $effect(() => {
    if (sheet) untrack(() => round.offer());
  });
  const belongs = (field: string) =>
    (({ start: "dough", ladle: "balls" })[field.split(".")[0] ?? ""] ?? field.split(".")[0]) === batch.open;
  // Refusals that belong to no dial on the open bench are said above it.
  const astray = $derived(batch.refusals.filter((r) => !belongs(r.field)));
</script>

{#if round.stop && sheet}
  {#await import("../parts/LookRound.svelte") then { default: LookRound }}<LookRound />{/await}
{/if}

{#if missing}
  <section class="mx-auto max-w-xl p-8 text-center">
    <h1 class="text-title font-bold">{m.no_batch()}</h1>
    <p class="my-3 text-mute">{m.no_batch_more()}</p>
    <a class="button strong" href="#/">{m.to_the_shelf()}</a>
  </section>
{:else if trouble}
  <div class="p-5"><Trouble {trouble} again={() => params?.id && fetchBatch(params.id)} /></div>
{:else if batch.spec && (sheet || long)}
  <Tabs.Root
    value={batch.open}
    onValueChange={(v) => (batch.open = v as Stratum)}
    orientation="vertical"
    class="grid grid-cols-[minmax(0,1fr)] content-start max-lg:tall:h-[calc(100dvh-var(--spacing-bar))] max-lg:tall:grid-rows-[auto_minmax(0,1fr)] max-lg:tall:content-stretch lg:h-full lg:grid-cols-[290px_minmax(0,1fr)] lg:content-stretch"
  >
    <section class="flex min-h-0 min-w-0 flex-col px-3 pt-1.5 lg:py-4 lg:ps-4 lg:pe-0" aria-label={m.the_column()} data-round="column">
      <Name onsettle={() => void settle()} />
      <Column />
      {#if !narrow.current}<BatchActions />{/if}
    </section>

    <section
      class="tray mx-3 my-2 flex min-h-0 min-w-0 flex-col tall:overflow-hidden lg:my-4 lg:ms-0 lg:me-5 lg:overflow-hidden"
      aria-label={m.the_bench()}
      data-round="bench"
      bind:contentRect={trayBox}
      style={sheet?.section.look ? doughTokens(sheet.section.look.dough) : undefined}
    >
      {#if sheet}
        <Tabs.Content value={batch.open} class="relative min-h-0 overflow-y-auto px-4 pt-3 pb-3 sm:px-5.5" tabindex={-1}>
          <div bind:contentRect={workBox}>
            <div class="flex flex-wrap items-baseline gap-x-3.5 pb-2">
              <h1 class="text-title leading-tight font-bold tracking-tight">{stratumName(batch.open, sheet)}</h1>
              <p class="text-mute">{sayingOf(batch.open, sheet, batch.clock)}</p>
            </div>
            <Trouble trouble={batch.trouble} again={() => batch.again()} />
            {#each astray as refusal (refusal.field + refusal.code)}
              <p class="refusal mb-1" data-testid="astray">
                {placeOf(refusal.field)}: {say(refusal)}
              </p>
            {/each}
            <Bench spec={batch.spec} {sheet} />
          </div>
        </Tabs.Content>
        <div class="sticky bottom-0 flex flex-1 shrink-0 flex-col rounded-b-tray">
          {#if narrow.current}<WatchLine notes={batch.watched} stale={batch.refusals.length > 0} />{/if}
          <Cut {sheet} room={tray - work - PADDING} />
        </div>
      {:else}
        <div class="p-5"><Trouble trouble={batch.trouble} again={() => batch.again()} /></div>
        <p class="p-8 text-mute">{batch.refusals[0] ? say(batch.refusals[0]) : m.working_it_out()}</p>
      {/if}
    </section>
  </Tabs.Root>
{/if}
