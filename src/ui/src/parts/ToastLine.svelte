<script lang="ts">
  import X from "@lucide/svelte/icons/x";
  import { m } from "../paraglide/messages";
  import { toaster, type Toast } from "../toast.svelte";

  let { line }: { line: Toast } = $props();
  // The one before is still on its way out: nothing of it can be pressed.
  const here = $derived(toaster.now?.id === line.id);
</script>

<div
  class="flex min-h-14 items-center gap-3 rounded-xl border-2 bg-ink px-4 py-1.5 font-text text-body text-white shadow-lg {line.trouble
    ? 'border-ghee'
    : 'border-ink'}"
  data-testid={here ? "toast" : undefined}
  data-trouble={line.trouble ? "" : undefined}
>
  <span>{line.trouble ? "▲ " : ""}{line.text}</span>
  {#if here && line.stays}<button class="grid size-11 shrink-0 place-items-center" aria-label={m.close()} onclick={() => toaster.close()}
      ><X size={20} aria-hidden="true" /></button
    >{/if}
  {#if here && line.undo}
    <button class="min-h-11 shrink-0 px-2 font-head font-bold text-ghee underline" onclick={() => void toaster.undo()}>{m.undo()}</button>
  {/if}
</div>
