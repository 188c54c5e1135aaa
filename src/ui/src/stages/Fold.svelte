<script lang="ts">
  import { Tabs } from "bits-ui";
  import { batch } from "../batch.svelte";
  import { m } from "../paraglide/messages";
  import Compare from "./fold/Compare.svelte";
  import Find from "./fold/Find.svelte";
  import Hands from "./fold/Hands.svelte";
  import Program from "./fold/Program.svelte";
  import type { StageProps } from "./props";

  let { spec, sheet }: StageProps = $props();
  let open = $state("program");
  $effect(() => {
    batch.wide = open !== "program";
    return () => (batch.wide = false);
  });
  const tabs = [
    { value: "program", label: m.tab_program(), part: Program },
    { value: "compare", label: m.tab_compare(), part: Compare },
    { value: "find", label: m.tab_find(), part: Find },
    { value: "hands", label: m.tab_hands(), part: Hands },
  ];
</script>

<Tabs.Root value={open} onValueChange={(v) => (open = v)}>
  <Tabs.List class="mb-2 flex flex-wrap gap-1 lg:absolute lg:end-[22px] lg:top-2.5 lg:mb-0" aria-label={m.fold_parts()}>
    {#each tabs as tab (tab.value)}
      <Tabs.Trigger
        value={tab.value}
        class="min-h-11 rounded-[9px] border-2 border-transparent px-3 font-head font-semibold text-rim hover:bg-steel data-[state=active]:border-rim data-[state=active]:bg-white"
        >{tab.label}</Tabs.Trigger
      >
    {/each}
  </Tabs.List>
  {#each tabs as { value, part: Part } (value)}
    <Tabs.Content {value} tabindex={-1}
      >{#if open === value}<Part {spec} {sheet} />{/if}</Tabs.Content
    >
  {/each}
</Tabs.Root>
