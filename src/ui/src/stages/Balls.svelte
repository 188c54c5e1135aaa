<script lang="ts">
  import { Tabs } from "bits-ui";
  import { m } from "../paraglide/messages";
  import Ball from "./balls/Ball.svelte";
  import Divide from "./balls/Divide.svelte";
  import type { StageProps } from "./props";

  let { spec, sheet }: StageProps = $props();
  let open = $state("ball");
  const tabs = [
    { value: "ball", label: m.tab_ball(), part: Ball },
    { value: "divide", label: m.tab_divide(), part: Divide },
  ];
</script>

<Tabs.Root value={open} onValueChange={(v) => (open = v)}>
  <Tabs.List class="mb-2 flex gap-1 lg:absolute lg:end-[22px] lg:top-2.5 lg:mb-0" aria-label={m.balls_parts()}>
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
