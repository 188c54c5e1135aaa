<script lang="ts">
  import { DropdownMenu } from "bits-ui";
  import type { Component } from "svelte";

  /** What can be done with the thing whose button was pressed; it opens beside that, and gives the keys back to it. */
  interface Props {
    label: string;
    beside: HTMLElement;
    items: { icon: Component<{ size?: number; "aria-hidden"?: "true" }>; label: string; go: () => void }[];
    onclose: () => void;
  }
  let { label, beside, items, onclose }: Props = $props();
  let content = $state<HTMLElement | null>(null);
  // The library gives the keys to the first item where its own trigger was pressed by them; here none was.
  $effect(() => {
    const menu = content;
    if (menu) requestAnimationFrame(() => menu.querySelector<HTMLElement>("[role=menuitem]")?.focus({ preventScroll: true }));
  });
</script>

<DropdownMenu.Root open onOpenChange={(open) => !open && onclose()}>
  <DropdownMenu.Portal>
    <DropdownMenu.Content
      bind:ref={content}
      class="sheet max-h-(--bits-dropdown-menu-content-available-height) w-64 overflow-y-auto"
      align="end"
      aria-label={label}
      customAnchor={beside}
      onCloseAutoFocus={(e) => {
        e.preventDefault();
        // A dialog that was opened from here has the keys by now.
        if (document.activeElement === document.body) beside.focus();
      }}
    >
      {#each items as { icon: Icon, label, go } (label)}
        <DropdownMenu.Item
          class="flex min-h-target cursor-pointer items-center gap-3 rounded-inner px-3 data-highlighted:bg-steel"
          onSelect={go}><Icon size={18} aria-hidden="true" />{label}</DropdownMenu.Item
        >
      {/each}
    </DropdownMenu.Content>
  </DropdownMenu.Portal>
</DropdownMenu.Root>
