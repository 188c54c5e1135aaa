<script lang="ts">
  import { changes } from "../../api/changes.svelte";
  import { call } from "../../api/call";
  import { api } from "../../api/client";
  import { Fetched } from "../../api/fetched.svelte";
  import { m } from "../../paraglide/messages";
  import Trouble from "../../parts/Trouble.svelte";
  import { day, number } from "../../words/format";

  /** How practice at the pan goes: the last rounds as bars, the best one said. */
  const fetched = new Fetched(() => call(() => api.GET("/api/practice/scores")));
  const scores = $derived(fetched.data ?? []);
  // A round just played may still be on its way to the kitchen when the log is opened.
  $effect(() => {
    void changes.of("practice");
    void fetched.fetch();
  });
  const last = $derived(scores.slice(0, 16).toReversed());
  const best = $derived(Math.max(...scores.map((s) => s.score)));
</script>

<Trouble trouble={fetched.trouble} again={fetched.fetch} />
{#if scores.length > 0}
  <section class="mt-3 border-t-2 border-rim-soft pt-2" aria-labelledby="practice-head" data-testid="practice-scores">
    <h2 id="practice-head" class="text-[15px] font-bold">{m.practice_scores()}</h2>
    <p class="text-[14px]">{m.practice_best({ count: scores.length, score: number(best, 0) })}</p>
    <ol class="mt-1 flex h-20 items-end gap-1" aria-label={m.practice_last()}>
      {#each last as round (round.id)}
        <li class="flex h-full max-w-9 min-w-4 flex-1 flex-col items-center justify-end text-[13px]" title={day(round.playedAt)}>
          {number(round.score, 0)}
          <span class="w-full rounded-t-sm {round.score === best ? 'bg-leaf' : 'bg-crust'}" style:height="{Math.max(round.score * 0.7, 2)}%"
          ></span>
        </li>
      {/each}
    </ol>
  </section>
{/if}
