<script lang="ts">
  import { Tabs } from "bits-ui";
  import type { Component } from "svelte";
  import { batch } from "../bench/bench.svelte";
  import Laid from "./Laid.svelte";
  import type { StageProps } from "./props";

  /** The parts of one bench, one open at a time. */
  interface Props extends StageProps {
    label: string;
    /** A part that is `own` lays itself out; one that is `wide` has the room of what to watch. */
    tabs: { value: string; label: string; part: Component<StageProps>; own?: boolean; wide?: boolean }[];
    /** Beside every part. */
    beside?: Component<StageProps> | undefined;
  }
  let { label, tabs, beside: Beside, spec, sheet }: Props = $props();
  let open = $state("");
  // A part that is no longer there gives way to the first.
  const now = $derived(tabs.some((t) => t.value === open) ? open : tabs[0]?.value);

  $effect(() => {
    batch.tab = now ?? "";
    return () => (batch.tab = "");
  });
</script>

{#snippet side()}{#if Beside}<Beside {spec} {sheet} />{/if}{/snippet}

<Tabs.Root value={now} onValueChange={(value) => (open = value)}>
  <Tabs.List
    class="mb-2 flex gap-1 max-lg:overflow-x-auto max-lg:-mx-1 max-lg:px-1 lg:absolute lg:end-5.5 lg:top-2.5 lg:mb-0"
    aria-label={label}
  >
    {#each tabs as tab (tab.value)}
      <Tabs.Trigger
        value={tab.value}
        class="min-h-11 shrink-0 rounded-inner border-2 border-transparent px-2 font-head sm:px-3 font-semibold text-rim hover:bg-steel data-[state=active]:border-rim data-[state=active]:bg-white"
        >{tab.label}</Tabs.Trigger
      >
    {/each}
  </Tabs.List>
  {#each tabs as { value, part: Part, own, wide } (value)}
    <Tabs.Content {value} tabindex={-1}>
      {#if now === value}
        {#if own}<Part {spec} {sheet} />{:else}<Laid {side} {wide}><Part {spec} {sheet} /></Laid>{/if}
      {/if}
    </Tabs.Content>
  {/each}
</Tabs.Root>
