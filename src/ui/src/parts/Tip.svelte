<script lang="ts">
  import { Popover } from "bits-ui";
  import type { Snippet } from "svelte";

  /** A word more about something small: by pointing at it, by touch and by keys. */
  interface Props {
    words: string;
    class?: string;
    children: Snippet;
  }
  let { words, class: look = "", children }: Props = $props();
</script>

<Popover.Root>
  <Popover.Trigger openOnHover class={look}>{@render children()}</Popover.Trigger>
  <Popover.Portal>
    <Popover.Content
      class="sheet max-w-64 px-3 py-2 text-small"
      sideOffset={4}
      trapFocus={false}
      onOpenAutoFocus={(e) => e.preventDefault()}>{words}</Popover.Content
    >
  </Popover.Portal>
</Popover.Root>
