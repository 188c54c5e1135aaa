<script lang="ts">
  import { Tabs } from "bits-ui";
  import { push } from "svelte-spa-router";
  import { m } from "../paraglide/messages";
  import { larder } from "../api/larder.svelte";
  import Trouble from "../parts/Trouble.svelte";
  import { door } from "../api/door.svelte";
  import Items from "./larder/Items.svelte";
  import Keeping from "./larder/Keeping.svelte";
  import Measures from "./larder/Measures.svelte";
  import Screens from "./larder/Screens.svelte";

  let { params }: { params?: { tab?: string } } = $props();
  const tab = $derived(["cups", "keeping", "screens"].find((t) => t === params?.tab) ?? "items");
</script>

<Tabs.Root
  value={tab}
  onValueChange={(v) => void push(v === "items" ? "/larder" : `/larder/${v}`)}
  class="flex min-h-0 flex-col p-3 sm:p-5 lg:h-full"
>
  <div class="mb-3 flex flex-wrap items-center gap-x-5 gap-y-2">
    <h1 class="text-title leading-none font-bold tracking-tight">{m.larder_title()}</h1>
    <Tabs.List class="flex flex-wrap gap-1" aria-label={m.larder_title()}>
      {#each [["items", m.larder_items()], ["cups", m.larder_cups()], ["keeping", m.larder_keeping()], ["screens", m.larder_screens()]] as [value, label] (value)}
        <Tabs.Trigger
          value={value ?? ""}
          class="min-h-11 rounded-inner border-2 border-transparent px-3 font-head font-semibold text-rim hover:bg-white data-[state=active]:border-rim data-[state=active]:bg-white"
          >{label}</Tabs.Trigger
        >
      {/each}
    </Tabs.List>
  </div>
  <!-- What is shown is as it was last heard then. -->
  <Trouble trouble={larder.trouble} again={() => larder.fetch()} />
  <Tabs.Content value="items" class="min-h-0 flex-1" tabindex={-1}
    >{#if tab === "items"}<Items />{/if}</Tabs.Content
  >
  <Tabs.Content value="cups" class="min-h-0 flex-1 overflow-y-auto" tabindex={-1}
    >{#if tab === "cups"}<Measures />{/if}</Tabs.Content
  >
  <Tabs.Content value="keeping" class="min-h-0 flex-1 overflow-y-auto" tabindex={-1}
    >{#if tab === "keeping"}<Keeping />{/if}</Tabs.Content
  >
  <Tabs.Content value="screens" class="min-h-0 flex-1 overflow-y-auto" tabindex={-1}
    >{#if tab === "screens"}<Screens />{/if}</Tabs.Content
  >
  {#if door.view}<footer class="pt-2 text-fine text-mute" data-testid="version">{m.version({ version: door.view.version })}</footer>{/if}
</Tabs.Root>
