<script lang="ts">
  import { changes } from "../../api/changes.svelte";
  import { call } from "../../api/call";
  import { api } from "../../api/client";
  import { Fetched } from "../../api/fetched.svelte";
  import type { PracticeScore } from "../../api/types";
  import Tip from "../../parts/Tip.svelte";
  import { m } from "../../paraglide/messages";
  import Trouble from "../../parts/Trouble.svelte";
  import { day, number } from "../../words/format";

  /** How practice goes: the last rounds as bars for each thing that is trained, the best one said. */
  const fetched = new Fetched(() => call(() => api.GET("/api/practice/scores")));
  const scores = $derived(fetched.data ?? []);
  // A round just played may still be on its way to the kitchen when the log is opened.
  $effect(() => {
    void changes.of("practice");
    void fetched.fetch();
  });
  const MOST = 16;
  const newest = (of: (s: PracticeScore) => number | null | undefined) => {
    const all = scores.flatMap((s) => (of(s) == null ? [] : [{ id: s.id, day: s.playedAt, level: s.level, mark: of(s)! }]));
    return { count: all.length, best: Math.max(...all.map((s) => s.mark)), last: all.slice(0, MOST).toReversed() };
  };
  const atPan = (s: PracticeScore) => s.kind === "pan";
  const rows = $derived(
    [
      { id: "score", name: m.practice_scores(), ...newest((s) => (atPan(s) ? s.score : null)) },
      { id: "heat", name: m.trained_heat(), ...newest((s) => s.heat) },
      { id: "colour", name: m.trained_colour(), ...newest((s) => s.colour) },
      { id: "done", name: m.trained_done(), ...newest((s) => s.done) },
      { id: "fold", name: m.fold_scores(), ...newest((s) => (atPan(s) ? null : s.score)) },
    ].filter((r) => r.count > 0),
  );
</script>

<Trouble trouble={fetched.trouble} again={fetched.fetch} />
{#if rows.length > 0}
  <section
    class="mt-3 grid gap-x-8 gap-y-2 border-t-2 border-rim-soft pt-2 md:grid-cols-2"
    aria-label={m.practice_scores()}
    data-testid="practice-scores"
  >
    {#each rows as row (row.id)}
      <div data-trained={row.id}>
        <h2 class="text-body font-bold">{row.name}</h2>
        <p class="text-small">{m.practice_best({ count: row.count, score: number(row.best, 0) })}</p>
        <ol class="mt-1 flex h-20 items-end gap-1" aria-label={m.practice_last()}>
          {#each row.last as round (round.id)}
            <li class="h-full max-w-9 min-w-6 flex-1">
              <Tip
                class="flex h-full w-full flex-col items-center justify-end text-fine"
                words={m.practice_when({ day: day(round.day), level: m.practice_at_level({ level: number(round.level ?? 1, 0) }) })}
              >
                {number(round.mark, 0)}
                <span
                  class="w-full rounded-t-sm {round.mark === row.best ? 'bg-leaf' : 'bg-crust'}"
                  style:height="{Math.max(round.mark * 0.7, 2)}%"
                ></span>
              </Tip>
            </li>
          {/each}
        </ol>
      </div>
    {/each}
  </section>
{/if}
