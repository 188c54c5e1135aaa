<script lang="ts">
  import { Tabs } from "bits-ui";
  import type { Component } from "svelte";
  import { batch } from "../bench/bench.svelte";
  import type { StageProps } from "./props";

  /** The parts of one bench, one open at a time. */
  interface Props extends StageProps {
    label: string;
    tabs: { value: string; label: string; part: Component<StageProps> }[];
    onopen?: (value: string) => void;
  }
  let { label, tabs, onopen, spec, sheet }: Props = $props();
  let open = $state("");
  // A part that is no longer there gives way to the first.
  const now = $derived(tabs.some((t) => t.value === open) ? open : tabs[0]?.value);

  $effect(() => {
    batch.tab = now ?? "";
    return () => (batch.tab = "");
  });

  function show(value: string) {
    open = value;
    onopen?.(value);
  }
</script>

<Tabs.Root value={now} onValueChange={show}>
  <Tabs.List class="mb-2 flex flex-wrap gap-1 lg:absolute lg:end-5.5 lg:top-2.5 lg:mb-0" aria-label={label}>
    {#each tabs as tab (tab.value)}
      <Tabs.Trigger
        value={tab.value}
        class="min-h-11 rounded-inner border-2 border-transparent px-2 font-head sm:px-3 font-semibold text-rim hover:bg-steel data-[state=active]:border-rim data-[state=active]:bg-white"
        >{tab.label}</Tabs.Trigger
      >
    {/each}
  </Tabs.List>
  {#each tabs as { value, part: Part } (value)}
    <Tabs.Content {value} tabindex={-1}
      >{#if now === value}<Part {spec} {sheet} />{/if}</Tabs.Content
    >
  {/each}
</Tabs.Root>
