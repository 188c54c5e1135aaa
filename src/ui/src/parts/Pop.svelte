<script lang="ts">
  import { Popover } from "bits-ui";
  import type { Snippet } from "svelte";

  /** More that can be pressed, beside the button that opens it. */
  interface Props {
    label: string;
    open?: boolean;
    triggerClass?: string;
    /** What the button shows, where that is not its label. */
    trigger?: Snippet;
    class?: string;
    children: Snippet;
  }
  let { label, open = $bindable(false), triggerClass = "button", trigger, class: look = "sheet", children }: Props = $props();
</script>

<Popover.Root bind:open>
  <Popover.Trigger class={triggerClass}
    >{#if trigger}{@render trigger()}{:else}{label}{/if}</Popover.Trigger
  >
  <Popover.Portal>
    <Popover.Content class="max-h-(--bits-popover-content-available-height) overflow-y-auto {look}" sideOffset={6} aria-label={label}
      >{@render children()}</Popover.Content
    >
  </Popover.Portal>
</Popover.Root>
