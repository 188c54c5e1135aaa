<script lang="ts">
  import { Tabs } from "bits-ui";
  import TriangleAlert from "@lucide/svelte/icons/triangle-alert";
  import { untrack } from "svelte";
  import { MediaQuery } from "svelte/reactivity";
  import { call, type Trouble as Why } from "../api/call";
  import { api } from "../api/client";
  import { storage } from "../storage.svelte";
  import { batch, type Stratum } from "../bench/bench.svelte";
  import { m } from "../paraglide/messages";
  import Trouble from "../parts/Trouble.svelte";
  import Watch from "../parts/Watch.svelte";
  import { toaster } from "../toast.svelte";
  import { elsewhere } from "../versions/elsewhere.svelte";
  import Closer from "../section/Closer.svelte";
  import Section from "../section/Section.svelte";
  import Balls from "../stages/Balls.svelte";
  import Clock from "../stages/Clock.svelte";
  import Dough from "../stages/Dough.svelte";
  import Ladle from "../stages/Ladle.svelte";
  import Rest from "../stages/Rest.svelte";
  import Filling from "../stages/Filling.svelte";
  import Fold from "../stages/Fold.svelte";
  import DoughFeel from "../stages/dough/Feel.svelte";
  import Pan from "../stages/Pan.svelte";
  import Roll from "../stages/Roll.svelte";
  import Sheet from "../stages/Sheet.svelte";
  import { figuresOf, pours, sayingOf, stratumName } from "../words/figures";
  import { amount, clock, drawnScale, leaves, number } from "../words/format";
  import { hourOf } from "../words/clock";
  import { placeOf } from "../words/fields";
  import { say } from "../words/refusals";
  import { keepingWords } from "../words/trouble";
  import { live } from "../live/live.svelte";
  import BatchActions from "./BatchActions.svelte";

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
  const tints = [
    "var(--color-strata-1)",
    "var(--color-strata-2)",
    "var(--color-strata-3)",
    "var(--color-strata-4)",
    "var(--color-strata-5)",
    "var(--color-strata-6)",
    "var(--color-strata-7)",
    "var(--color-strata-8)",
    "var(--color-enamel)",
  ];
  const narrow = new MediaQuery("(max-width: 1023px)");
  const sheet = $derived(batch.sheet);
  const Bench = $derived(batch.open === "balls" && sheet && pours(sheet) ? Ladle : benches[batch.open]);
  const stages = $derived(batch.stages);
  // The dough's ledger wants the room; the bread is drawn lower there.
  const sectionHeight = $derived(
    narrow.current || ["dough", "pan", "clock"].includes(batch.open) || batch.wide
      ? 76
      : ["fold", "filling", "roll"].includes(batch.open)
        ? 116
        : 134,
  );
  // While the fold bench shows one step, so does the section.
  const shown = $derived(batch.shown === null ? null : (sheet?.fold.steps[batch.shown] ?? null));
  const section = $derived(shown?.section ?? sheet?.section ?? null);
  let missing = $state(false);
  let trouble = $state.raw<Why | null>(null);
  let drawing = $state<Section>();

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

  const notesOf = (stage: Stratum) => sheet?.notes.filter((n) => n.stage === stage) ?? [];
  const troubles = (stage: Stratum) =>
    (stage === "clock" ? (batch.clock?.sheet.report.breaches ?? []) : notesOf(stage)).filter((n) => n.severity === "wrong").length;
  // When the first bread's stage begins; the clock itself stands for the table.
  function hourFor(stage: Stratum): string {
    const view = batch.clock;
    if (!view) return "";
    const at = stage === "clock" ? view.sheet.lead : view.sheet.stages.find((s) => s.bread === 0 && s.stage === stage)?.at;
    return at == null ? "" : hourOf(view, at);
  }
  const belongs = (field: string) =>
    (({ start: "dough", ladle: "balls" })[field.split(".")[0] ?? ""] ?? field.split(".")[0]) === batch.open;
  // Refusals that belong to no dial on the open bench are said above it.
  const astray = $derived(batch.refusals.filter((r) => !belongs(r.field)));
</script>

{#if missing}
  <section class="mx-auto max-w-xl p-8 text-center">
    <h1 class="text-title font-bold">{m.no_batch()}</h1>
    <p class="my-3 text-mute">{m.no_batch_more()}</p>
    <a class="button strong" href="#/">{m.to_the_shelf()}</a>
  </section>
{:else if trouble}
  <div class="p-5"><Trouble {trouble} again={() => params?.id && fetchBatch(params.id)} /></div>
{:else if batch.spec}
  <Tabs.Root
    value={batch.open}
    onValueChange={(v) => (batch.open = v as Stratum)}
    orientation="vertical"
    class="grid h-full grid-cols-[minmax(0,1fr)] content-start lg:grid-cols-[290px_minmax(0,1fr)] lg:content-stretch"
  >
    <section class="flex min-h-0 min-w-0 flex-col px-3 pt-3 lg:py-4 lg:ps-4 lg:pe-0" aria-label={m.the_column()}>
      <label class="sr-only" for="batch-name">{m.batch_name()}</label>
      <input
        id="batch-name"
        class="-ms-1 w-full rounded-md bg-transparent px-1 font-head text-big leading-tight font-bold"
        value={batch.name}
        oninput={(e) => batch.change(() => (batch.name = e.currentTarget.value))}
        maxlength="80"
        aria-invalid={batch.refusalOf("name") ? "true" : undefined}
      />
      {#if batch.refusalOf("name")}<p class="refusal">{m.refuse_name()}</p>{/if}
      <p class="mt-0.5 mb-2 text-fine text-mute">
        {#if sheet}{m.pieces_of({ count: sheet.balls.count, across: amount(sheet.roll.across, "mm") })}{/if}
        <span role="status" data-testid="keeping" data-keeping={batch.keeping}>
          · {batch.keeping === "kept" && batch.keptAt
            ? m.kept_at({ time: clock(batch.keptAt) })
            : keepingWords(batch.keeping, batch.keepingTrouble) ||
              (batch.keeping === "new" ? m.not_changed_yet() : m.keeping())}{storage.works ? "" : ` · ${m.keeps_nothing()}`}
        </span>
        {#if live.line === "down" || live.line === "full"}<span data-testid="line" data-line={live.line}
            >· {live.line === "full" ? m.line_full() : m.line_down()}</span
          >{/if}
        {#if batch.differs}<button class="button min-h-11 px-2.5 text-small" onclick={() => void settle()}>{m.settle()}</button>{/if}
      </p>

      <div class="flex min-h-0 flex-1 flex-col lg:flex-row">
        <!-- The hours beside the strata; each stratum says its own to whoever cannot see them. -->
        <ol class="hours flex max-lg:hidden" aria-hidden="true">
          {#each stages as stage (stage)}<li class="hour" data-open={stage === batch.open ? "" : undefined}>{hourFor(stage)}</li>{/each}
        </ol>
        <Tabs.List class="strata" aria-label={m.the_column()}>
          {#each stages as stage, i (stage)}
            {@const [figure, small] = sheet ? figuresOf(stage, sheet, batch.clock) : ["", ""]}
            <Tabs.Trigger value={stage} class="stratum" style="--tint:{tints[i]}" data-stage={stage}>
              <b class="flex items-center gap-1.5 text-body">
                {stratumName(stage, sheet)}
                {#if hourFor(stage)}<span class="text-fine font-medium lg:sr-only">{hourFor(stage)}</span>{/if}
                {#if troubles(stage)}
                  <TriangleAlert size={17} class="text-chilli" role="img" aria-label={m.will_go_wrong({ count: troubles(stage) })} />
                {/if}
              </b>
              <span class="text-end leading-[1.15]" data-figures>
                <span class="block font-head text-body font-semibold whitespace-nowrap">{figure}</span>
                <span class="block text-fine font-medium">{small}</span>
              </span>
              {#if i < stages.length - 1}
                <svg class="wave" viewBox="0 0 240 10" preserveAspectRatio="none" aria-hidden="true">
                  <path
                    fill={tints[i + 1]}
                    d="M0 {4 + (i % 3)} C40 {1 + (i % 4)},70 {8 - (i % 3)},120 5 S200 {2 + (i % 3)},240 {6 - (i % 3)} V10 H0Z"
                  />
                </svg>
              {/if}
            </Tabs.Trigger>
          {/each}
        </Tabs.List>
      </div>
      <BatchActions />
    </section>

    <section class="tray mx-3 my-3 flex min-h-0 min-w-0 flex-col lg:overflow-hidden lg:my-4 lg:ms-0 lg:me-5" aria-label={m.the_bench()}>
      {#if sheet}
        <Tabs.Content value={batch.open} class="relative min-h-0 flex-1 overflow-y-auto px-4 pt-3 pb-4 sm:px-5.5" tabindex={-1}>
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
          <div class="grid gap-x-6 gap-y-5 {batch.wide ? '' : 'lg:grid-cols-[minmax(0,1fr)_292px]'}">
            <div class="min-w-0"><Bench spec={batch.spec} {sheet} /></div>
            {#if !batch.wide}
              <aside class="min-w-0 {batch.open === 'dough' ? 'lg:pt-3' : ''}">
                {#if batch.open === "dough"}<DoughFeel spec={batch.spec} {sheet} />{/if}
                <div class:opacity-50={batch.refusals.length > 0}><Watch notes={notesOf(batch.open)} /></div>
              </aside>
            {/if}
          </div>
        </Tabs.Content>
        <section
          class="sticky bottom-0 rounded-b-tray rim-t bg-white px-4 pt-1.5 pb-2 sm:px-5.5"
          class:opacity-50={batch.refusals.length > 0}
          aria-label={m.section()}
        >
          <div class="mb-0.5 flex flex-wrap items-baseline justify-between gap-x-4 text-fine text-mute">
            <span>
              <b class="me-1 text-body text-ink">{m.section()}</b>
              {#if section}{m.section_size({ across: amount(section.across, "mm"), thickness: amount(section.thickness, "mm") })}{/if}
              <span class="max-sm:hidden">{drawnScale(drawing?.taller() ?? 0)}</span>
            </span>
            <span class="flex items-center gap-2 font-semibold">
              {#if shown}
                {m.step_at({ number: (batch.shown ?? 0) + 1 })}
              {:else}
                <span>
                  {#if sheet.filling}{m.section_wall({
                      wall: amount(sheet.filling.parcel.wall, "mm"),
                      layer: amount(sheet.filling.parcel.layer, "mm"),
                    })}{#if sheet.stages.includes("fold")},
                    {/if}{/if}
                  {#if sheet.filling && !sheet.stages.includes("fold")}{:else if sheet.fold.rings?.onEdge}{m.rings_count({
                      count: number(sheet.fold.rings.count, 0),
                    })}{:else}{leaves(sheet.fold.effective)}{/if}{#if sheet.fold.fused}, <span class="text-chilli"
                      >{m.welded({ count: sheet.fold.fused })}</span
                    >{/if}{#if sheet.fold.patchy}, <span class="text-ghee-deep">{m.patchy({ count: sheet.fold.patchy })}</span>{/if}
                </span>
              {/if}
              {#if section}<Closer {section} name={batch.name} />{/if}
            </span>
          </div>
          {#if section}<Section bind:this={drawing} {section} height={sectionHeight} />{/if}
        </section>
      {:else}
        <div class="p-5"><Trouble trouble={batch.trouble} again={() => batch.again()} /></div>
        <p class="p-8 text-mute">{batch.refusals[0] ? say(batch.refusals[0]) : m.working_it_out()}</p>
      {/if}
    </section>
  </Tabs.Root>
{/if}

<style>
  .hours {
    flex: 0 0 42px;
    flex-direction: column;
    padding: 2.5px 0;
    font: 600 13px var(--font-head);
    color: var(--color-mute);
  }
  .hour {
    flex: 1;
    min-height: 52px;
    padding-top: 2px;
  }
  .hour[data-open] {
    flex-grow: 1.35;
    color: var(--color-rim);
  }
  :global(.strata) {
    display: flex;
    flex: 1;
    flex-direction: column;
    min-height: 0;
    border: 2.5px solid var(--color-rim);
    border-radius: 14px;
    overflow: clip;
    overflow-clip-margin: 4px;
  }
  :global(.stratum) {
    position: relative;
    display: flex;
    flex: 1;
    min-height: 52px;
    align-items: center;
    justify-content: space-between;
    gap: 8px;
    padding: 4px 12px 4px 14px;
    background: var(--tint);
    text-align: start;
    transition: flex-grow 160ms ease-out;
  }
  :global(.stratum:first-child) {
    border-radius: 11px 11px 0 0;
  }
  :global(.stratum:last-child) {
    border-radius: 0 0 11px 11px;
  }
  :global(.stratum[data-state="active"]) {
    flex-grow: 1.35;
    background: var(--color-enamel);
    box-shadow: inset 6px 0 0 var(--color-ghee);
    z-index: 2;
  }
  :global(.stratum:focus-visible) {
    outline-offset: -5px;
    z-index: 3;
  }
  .wave {
    position: absolute;
    inset-inline: 0;
    bottom: -5px;
    width: 100%;
    height: 10px;
    z-index: 1;
    pointer-events: none;
  }
  :global(.stratum[data-state="active"] .wave),
  :global(.stratum:has(+ [data-state="active"]) .wave) {
    display: none;
  }
  @media (min-width: 1024px) {
    :global(.strata) {
      border-inline-end: 0;
      border-start-end-radius: 0;
      border-end-end-radius: 0;
    }
    :global(.stratum) {
      border-inline-end: 2.5px solid var(--color-rim);
    }
    :global(.stratum:first-child) {
      border-start-end-radius: 0;
    }
    :global(.stratum:last-child) {
      border-end-end-radius: 0;
    }
    /* The open stratum runs into the bench. */
    :global(.stratum[data-state="active"]) {
      border-inline-end-color: var(--color-enamel);
      margin-inline-end: -2.5px;
    }
  }
  @media (max-width: 1023px) {
    :global(.strata) {
      flex: none;
      flex-direction: row;
      overflow-x: auto;
    }
    :global(.stratum) {
      flex: 1 0 auto !important;
      flex-direction: column;
      align-items: flex-start;
      min-height: 64px;
      border-radius: 0 !important;
    }
    :global(.stratum [data-figures]) {
      text-align: start;
    }
    :global(.stratum[data-state="active"]) {
      box-shadow: inset 0 -6px 0 var(--color-ghee);
    }
    .wave {
      display: none;
    }
  }
</style>
