<script lang="ts">
  import { Tabs } from "bits-ui";
  import { m } from "../paraglide/messages";
  import Cost from "./dough/Cost.svelte";
  import Mix from "./dough/Mix.svelte";
  import Puree from "./dough/Puree.svelte";
  import Weigh from "./dough/Weigh.svelte";
  import type { StageProps } from "./props";

  let { spec, sheet }: StageProps = $props();
  let open = $state("weigh");
  const tabs = $derived([
    { value: "weigh", label: m.tab_weigh(), part: Weigh },
    { value: "mix", label: m.tab_mix(), part: Mix },
    ...(sheet.dough.purees.length ? [{ value: "puree", label: m.tab_puree(), part: Puree }] : []),
    { value: "cost", label: m.tab_cost(), part: Cost },
  ]);
  const now = $derived(tabs.some((t) => t.value === open) ? open : "weigh");
</script>

<Tabs.Root value={now} onValueChange={(v) => (open = v)}>
  <Tabs.List class="mb-2 flex gap-1 lg:absolute lg:end-[22px] lg:top-2.5 lg:mb-0" aria-label={m.dough_parts()}>
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
      >{#if now === value}<Part {spec} {sheet} />{/if}</Tabs.Content
    >
  {/each}
</Tabs.Root>
