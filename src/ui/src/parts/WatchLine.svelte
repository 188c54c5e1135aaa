<script lang="ts">
  import ChevronUp from "@lucide/svelte/icons/chevron-up";
  import { Collapsible } from "bits-ui";
  import type { Note } from "../api/types";
  import { m } from "../paraglide/messages";
  import NoteHead from "./NoteHead.svelte";
  import Notes from "./Notes.svelte";
  import { inOrderOfHarm, read } from "./watch";

  /** What to watch as one line, where nothing stands beside the bench: the most harmful of it, and the rest when it is opened. */
  let { notes, stale }: { notes: Note[]; stale: boolean } = $props();
  let open = $state(false);
  const [first, ...others] = $derived(inOrderOfHarm(notes, read.has));
</script>

{#if first}
  <Collapsible.Root bind:open data-round="watch" class="rim-t bg-white px-4 sm:px-5.5 {stale ? 'stale' : ''}">
    <Collapsible.Trigger class="flex min-h-target w-full items-center gap-2 text-start text-small leading-tight" data-testid="watch-line">
      <span class="min-w-0 flex-1 truncate">
        {#if open}<b>{m.what_to_watch()}</b>{:else}<NoteHead note={first} line />{/if}
      </span>
      {#if others.length && !open}<span class="shrink-0 text-mute">{m.and_more({ count: others.length })}</span>{/if}
      <ChevronUp size={16} class="shrink-0 {open ? 'rotate-180' : ''}" aria-hidden="true" />
    </Collapsible.Trigger>
    <Collapsible.Content class="max-h-[50vh] overflow-y-auto pb-3"><Notes {notes} /></Collapsible.Content>
  </Collapsible.Root>
{/if}
