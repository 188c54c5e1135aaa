<script lang="ts">
  import { Tabs } from "bits-ui";
  import TriangleAlert from "@lucide/svelte/icons/triangle-alert";
  import { batch, type Stratum } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import { hourOf } from "../../words/clock";
  import { figuresOf, stratumName } from "../../words/figures";

  /** The stages of the batch as strata, each with its hour, its figures and whether something in it goes wrong. */
  const sheet = $derived(batch.sheet);
  const stages = $derived(batch.stages);
  // From dough to pan a shade darker each; the clock is no part of the bread.
  const tintOf = (i: number) => (i < 8 ? `var(--color-strata-${i + 1})` : "var(--color-enamel)");

  const troubles = (stage: Stratum) =>
    (stage === "clock" ? (batch.clock?.sheet.report.breaches ?? []) : (sheet?.notes.filter((n) => n.stage === stage) ?? [])).filter(
      (n) => n.severity === "wrong",
    ).length;
  // When the first bread's stage begins; the clock itself stands for the table.
  function hourFor(stage: Stratum): string {
    const view = batch.clock;
    if (!view) return "";
    const at = stage === "clock" ? view.sheet.lead : view.sheet.stages.find((s) => s.bread === 0 && s.stage === stage)?.at;
    return at == null ? "" : hourOf(view, at);
  }
</script>

<div class="flex min-h-0 flex-1 flex-col lg:flex-row">
  <!-- The hours beside the strata; each stratum says its own to whoever cannot see them. -->
  <ol class="hours flex max-lg:hidden" aria-hidden="true">
    {#each stages as stage (stage)}<li class="hour" data-open={stage === batch.open ? "" : undefined}>{hourFor(stage)}</li>{/each}
  </ol>
  <Tabs.List class="strata" aria-label={m.the_column()}>
    {#each stages as stage, i (stage)}
      {@const [figure, small] = sheet ? figuresOf(stage, sheet, batch.clock) : ["", ""]}
      <Tabs.Trigger value={stage} class="stratum" style="--tint:{tintOf(i)}" data-stage={stage}>
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
              fill={tintOf(i + 1)}
              d="M0 {4 + (i % 3)} C40 {1 + (i % 4)},70 {8 - (i % 3)},120 5 S200 {2 + (i % 3)},240 {6 - (i % 3)} V10 H0Z"
            />
          </svg>
        {/if}
      </Tabs.Trigger>
    {/each}
  </Tabs.List>
</div>

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
