<script lang="ts">
  import type { BatchSheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { number } from "../../words/format";
  import { flakeTerm } from "../../words/names/fold";
  import FatBar from "../FatBar.svelte";

  /** How flaky it will be, and where its fat is. */
  let { sheet }: { sheet: BatchSheet } = $props();
  const fold = $derived(sheet.fold);
</script>

<div class="grid gap-x-6 gap-y-2 sm:grid-cols-2">
  <div data-testid="flake">
    <p class="flex items-baseline justify-between gap-2">
      <span>{m.flake()}</span>
      <b class="font-head text-big">{m.flake_of({ points: number(fold.flake.points, 0) })}</b>
    </p>
    <p class="sr-only">{m.flake_guess()}</p>
    <div class="flex h-4 overflow-hidden rounded-full bg-line" aria-hidden="true">
      {#each fold.flake.terms as term, i (term.term)}
        <span
          class="h-full border-e-2 border-white"
          style:width="{term.points}%"
          style:background={["var(--color-flake-1)", "var(--color-flake-2)", "var(--color-flake-3)", "var(--color-flake-4)"][i]}
        ></span>
      {/each}
    </div>
    <ul class="mt-1 flex flex-wrap gap-x-3 text-fine text-mute">
      {#each fold.flake.terms as term, i (term.term)}
        <li class="flex items-center gap-1">
          <span
            class="size-2.5 rounded-sm border border-crust/40"
            style:background={["var(--color-flake-1)", "var(--color-flake-2)", "var(--color-flake-3)", "var(--color-flake-4)"][i]}
          ></span>
          {flakeTerm[term.term]()}
          {m.of({ part: number(term.points, 0), whole: term.most })}
        </li>
      {/each}
    </ul>
  </div>
  <FatBar fat={sheet.pan.fat} />
</div>
