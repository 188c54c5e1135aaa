<script lang="ts">
  import { Dialog } from "bits-ui";
  import type { Snippet } from "svelte";
  import { toaster } from "../toast.svelte";

  /**
   * What opens over the page and is answered or closed: with Escape, beside it, or by a button of its own (`DialogClose`). It scrolls as a whole,
   * so that at any zoom everything in it is reached.
   */
  interface Props {
    open?: boolean;
    title: string;
    /** How wide it may get. */
    wide?: "narrow" | "usual" | "wide" | "whole";
    /** Over the dark stove. */
    night?: boolean;
    /** A press beside it does not close it. */
    stays?: boolean;
    /** What stands under the title and is read with it. */
    says?: string;
    testid?: string;
    onclose?: () => void;
    trigger?: Snippet;
    triggerClass?: string;
    triggerLabel?: string;
    /** In the title's line, at its end. */
    beside?: Snippet;
    children: Snippet;
  }
  let {
    open = $bindable(false),
    title,
    wide = "usual",
    night = false,
    stays = false,
    says,
    testid,
    onclose,
    trigger,
    triggerClass = "button",
    triggerLabel,
    beside,
    children,
  }: Props = $props();
  // What is told at the foot of the page hides none of it; when that goes, nothing moves away under a finger.
  let raised = $state(false);
  $effect(() => {
    if (!open) raised = false;
    else if (toaster.now) raised = true;
  });
  const widths = { narrow: "max-w-md", usual: "max-w-2xl", wide: "max-w-3xl", whole: "max-w-300" };
</script>

<Dialog.Root bind:open onOpenChange={(now) => !now && onclose?.()}>
  {#if trigger}<Dialog.Trigger class={triggerClass} aria-label={triggerLabel}>{@render trigger()}</Dialog.Trigger>{/if}
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 {night ? 'bg-night-shade' : 'bg-shade'}" />
    <div
      class="pointer-events-none fixed inset-x-0 top-0 z-50 grid justify-items-center overflow-y-auto p-3 sm:p-6 {raised
        ? 'bottom-28'
        : 'bottom-0'}"
    >
      <Dialog.Content
        class="{night ? 'stove-menu' : 'tray grid gap-3 p-4 sm:p-5'} pointer-events-auto my-auto w-full grid-cols-[minmax(0,1fr)] {widths[
          wide
        ]}"
        data-testid={testid}
        interactOutsideBehavior={stays ? "ignore" : "close"}
      >
        <div class="flex flex-wrap items-center gap-x-5 gap-y-1">
          <Dialog.Title class="{night ? 'text-figure' : 'text-title'} leading-tight font-bold tracking-tight">{title}</Dialog.Title>
          {@render beside?.()}
        </div>
        {#if says}<Dialog.Description>{says}</Dialog.Description>{/if}
        {@render children()}
      </Dialog.Content>
    </div>
  </Dialog.Portal>
</Dialog.Root>
