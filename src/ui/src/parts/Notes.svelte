<script lang="ts">
  import Wrench from "@lucide/svelte/icons/wrench";
  import type { Note } from "../api/types";
  import { batch } from "../bench/bench.svelte";
  import { m } from "../paraglide/messages";
  import { listed } from "../words/format";
  import { mendWords, wordsOf } from "../words/notes";
  import { surenessName, symptomName } from "../words/symptoms";
  import Caution from "./Caution.svelte";
  import CupAsk from "./CupAsk.svelte";
  import { takeMend } from "./mends.svelte";
  import NoteHead from "./NoteHead.svelte";
  import { inOrderOfHarm, read } from "./watch";

  /** Notes in order of harm, each with what mends it. */
  let { notes }: { notes: Note[] } = $props();

  const rules = { wrong: "bg-chilli", watch: "bg-ghee", right: "bg-leaf", caution: "bg-ink" };
  // What is read while it is looked at does not move under the eyes.
  // svelte-ignore state_referenced_locally
  const wasRead = new Set(notes.map((n) => n.code).filter(read.has));
  const sorted = $derived(inOrderOfHarm(notes, (code) => wasRead.has(code as Note["code"])));
  // What could be found wrong at the table, where this note is its likeliest cause.
  const risksOf = (code: Note["code"]) =>
    listed(
      (batch.sheet?.risks ?? [])
        .filter((risk) => risk.cause === code)
        .map((risk) => `${symptomName[risk.symptom].within()} (${surenessName[risk.sure]()})`),
    );
  // One change can mend several notes: it is offered at the first.
  const offered = $derived.by(() => {
    const said: Record<string, boolean> = {};
    return sorted.map((note) =>
      (note.mends ?? []).filter((mend) => {
        const words = mendWords(mend);
        const again = said[words];
        said[words] = true;
        return !again;
      }),
    );
  });
</script>

<ul class="grid gap-2.5" data-testid="notes">
  {#each sorted as note, at (note.code + note.stage)}
    <li class="flex gap-2.5 text-small leading-[1.3]" data-note={note.code}>
      <span class="w-1.25 shrink-0 {rules[note.severity]}"></span>
      <div class="min-w-0 flex-1">
        {#if note.severity === "caution"}
          <Caution {note} />
        {:else}
          <NoteHead {note} />
          {#if risksOf(note.code)}<p class="text-mute" data-testid="risk">{m.could_come_out({ symptoms: risksOf(note.code) })}</p>{/if}
          <p>{wordsOf(note).more}</p>
        {/if}
        {#if note.code === "cupsUnsaid"}<CupAsk />{/if}
        {#each offered[at] as mend, i (i)}
          <button
            class="button mt-1 min-h-11 justify-start px-2.5 text-start text-small leading-tight"
            onclick={() => takeMend(note, mend)}
          >
            <Wrench size={15} class="shrink-0" aria-hidden="true" />{mendWords(mend)}
          </button>
        {/each}
      </div>
    </li>
  {/each}
</ul>
