<script lang="ts">
  import type { PracticeStanding } from "../api/types";
  import { m } from "../paraglide/messages";
  import { number } from "../words/format";

  /** How far a cook has come, and what the next level takes. */
  let { standing, words }: { standing: PracticeStanding; words: (() => string)[] } = $props();
</script>

<p class="flex flex-wrap items-center gap-x-3 text-body" data-testid="level">
  <b>{m.practice_level({ level: number(standing.level, 0), highest: number(standing.highest, 0) })}</b>
  <span>{words[standing.level - 1]?.()}</span>
  {#if standing.level < standing.highest}
    <span
      class="flex items-center gap-1"
      role="img"
      aria-label={m.practice_good({ good: number(standing.good, 0), needed: number(standing.needed, 0) })}
    >
      {#each { length: standing.needed }, i (i)}<span
          class="size-3.5 rounded-full border-2 border-leaf {i < standing.good ? 'bg-leaf' : ''}"
        ></span>{/each}
    </span>
  {/if}
</p>
