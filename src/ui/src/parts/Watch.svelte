<script lang="ts">
  import type { Note } from "../api/types";
  import { m } from "../paraglide/messages";
  import Notes from "./Notes.svelte";

  /** What to watch, beside the bench. */
  let { notes, stale }: { notes: Note[]; stale: boolean } = $props();
</script>

<section aria-labelledby="watch-head" class:stale data-round="watch">
  <h2 id="watch-head" class="mb-1.5 text-body font-bold">{m.what_to_watch()}</h2>
  {#if notes.length === 0}<p class="text-small text-mute">{m.nothing_to_watch()}</p>{/if}
  <Notes {notes} />
</section>
