<script lang="ts">
  import ChevronDown from "@lucide/svelte/icons/chevron-down";
  import { Collapsible } from "bits-ui";
  import { onMount } from "svelte";
  import type { Note } from "../api/types";
  import { wordsOf } from "../words/notes";
  import NoteHead from "./NoteHead.svelte";
  import { read } from "./watch";

  /** What can hurt somebody: whole until it has been in sight long enough to be read, its first line after that. */
  let { note }: { note: Note } = $props();
  const READ_AFTER_MS = 8000;
  // svelte-ignore state_referenced_locally
  let open = $state(!read.has(note.code));
  let body = $state<HTMLElement | null>(null);
  onMount(() => {
    const timer = setTimeout(() => {
      const box = body?.getBoundingClientRect();
      if (box && box.height > 0 && box.top >= 0 && box.bottom <= innerHeight && !document.hidden) read.add(note.code);
    }, READ_AFTER_MS);
    return () => clearTimeout(timer);
  });
</script>

<Collapsible.Root bind:open onOpenChange={(now) => !now && read.add(note.code)}>
  <Collapsible.Trigger class="flex min-h-target w-full items-center justify-between gap-2 text-start leading-tight">
    <NoteHead {note} /><ChevronDown size={16} class="shrink-0 {open ? 'rotate-180' : ''}" aria-hidden="true" />
  </Collapsible.Trigger>
  <Collapsible.Content><p bind:this={body}>{wordsOf(note).more}</p></Collapsible.Content>
</Collapsible.Root>
