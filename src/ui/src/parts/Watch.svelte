<script lang="ts">
  import CircleCheck from "@lucide/svelte/icons/circle-check";
  import Eye from "@lucide/svelte/icons/eye";
  import Flame from "@lucide/svelte/icons/flame";
  import TriangleAlert from "@lucide/svelte/icons/triangle-alert";
  import Wrench from "@lucide/svelte/icons/wrench";
  import type { Note } from "../api/types";
  import { batch } from "../bench/bench.svelte";
  import { m } from "../paraglide/messages";
  import { mendWords, wordsOf } from "../words/notes";
  import CupAsk from "./CupAsk.svelte";
  import { takeMend } from "./mends.svelte";
  import { surenessName, symptomName } from "../words/symptoms";
  import { listed } from "../words/format";

  let { notes }: { notes: Note[] } = $props();

  const order = { wrong: 0, watch: 1, right: 2, caution: 3 };
  const look = {
    wrong: { icon: TriangleAlert, rule: "bg-chilli", tint: "text-chilli", word: m.weight_wrong },
    watch: { icon: Eye, rule: "bg-ghee", tint: "text-ghee-deep", word: m.weight_watch },
    right: { icon: CircleCheck, rule: "bg-leaf", tint: "text-leaf", word: m.weight_right },
    caution: { icon: Flame, rule: "bg-ink", tint: "text-ink", word: m.weight_caution },
  };
  // What could be found wrong at the table, where this note is its likeliest cause.
  const risksOf = (code: Note["code"]) =>
    listed(
      (batch.sheet?.risks ?? [])
        .filter((risk) => risk.cause === code)
        .map((risk) => `${symptomName[risk.symptom].within()} (${surenessName[risk.sure]()})`),
    );
  const sorted = $derived(notes.toSorted((a, b) => order[a.severity] - order[b.severity]));
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

<section aria-labelledby="watch-head">
  <h2 id="watch-head" class="mb-1.5 text-body font-bold">{m.what_to_watch()}</h2>
  {#if notes.length === 0}<p class="text-small text-mute">{m.nothing_to_watch()}</p>{/if}
  <ul class="grid gap-2.5" data-testid="notes">
    {#each sorted as note, at (note.code + note.stage)}
      {@const { icon: Icon, rule, tint, word } = look[note.severity]}
      {@const said = wordsOf(note)}
      <li class="flex gap-2.5 text-small leading-[1.3]" data-note={note.code}>
        <span class="w-1.25 shrink-0 {rule}"></span>
        <div>
          <p class="flex items-start gap-1.5 font-head font-bold">
            <Icon size={16} class="mt-px shrink-0 {tint}" aria-hidden="true" />
            <span><span class="sr-only">{word()}: </span>{said.head}</span>
          </p>
          {#if risksOf(note.code)}<p class="text-mute" data-testid="risk">{m.could_come_out({ symptoms: risksOf(note.code) })}</p>{/if}
          <p>{said.more}</p>
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
</section>
