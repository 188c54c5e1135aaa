<script lang="ts">
  import { Collapsible } from "bits-ui";
  import ChevronDown from "@lucide/svelte/icons/chevron-down";
  import type { Snippet } from "svelte";

  /** What is folded away until it is wanted. */
  let { label, open = $bindable(false), children }: { label: string; open?: boolean; children: Snippet } = $props();
</script>

<Collapsible.Root bind:open class="rounded-button border-2 border-dashed border-rim-soft p-2">
  <Collapsible.Trigger class="flex min-h-target w-full items-center justify-between gap-2 text-start font-semibold">
    {label}<ChevronDown size={18} class={open ? "rotate-180" : ""} aria-hidden="true" />
  </Collapsible.Trigger>
  <Collapsible.Content>{@render children()}</Collapsible.Content>
</Collapsible.Root>
