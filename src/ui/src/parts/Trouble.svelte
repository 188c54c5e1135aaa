<script lang="ts">
  import CloudOff from "@lucide/svelte/icons/cloud-off";
  import TriangleAlert from "@lucide/svelte/icons/triangle-alert";
  import type { Trouble } from "../api/call";
  import { m } from "../paraglide/messages";
  import { troubleWords } from "../words/trouble";

  /** What went wrong, where it happened, with what to do: a kitchen that is away, one that stumbled and a refusal look different. */
  let { trouble, again }: { trouble: Trouble | null; again?: () => unknown } = $props();
</script>

{#if trouble}
  <p
    class="mb-2 flex flex-wrap items-center gap-2 rounded-xl border-2 border-chilli bg-white px-3 py-1.5 font-semibold text-ink"
    role="alert"
    data-trouble={trouble.kind}
  >
    {#if trouble.kind === "away"}<CloudOff size={20} class="shrink-0 text-chilli" aria-hidden="true" />
    {:else}<TriangleAlert size={20} class="shrink-0 text-chilli" aria-hidden="true" />{/if}
    <span class="min-w-0 flex-1">{troubleWords(trouble)}</span>
    {#if again && trouble.kind !== "missing"}<button class="button" type="button" onclick={() => again()}>{m.try_again()}</button>{/if}
  </p>
{/if}
