<script lang="ts">
  import type { DayClash, DayMove, DayView } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { span } from "../../words/clock";
  import { clock, listed, later } from "../../words/format";

  /** Where more is wanted than there is, and what would put it right. */
  let { view, onmove }: { view: DayView; onmove: (batch: string, seconds: number) => void } = $props();
  const batchOf = (number: number) => view.batches.find((b) => b.number === number)!;
  const hour = (seconds: number) => clock(later(view.from, seconds));
  const words = (c: DayClash) =>
    (c.of === "hands" ? m.day_clash_hands : m.day_clash_pans)({
      from: hour(c.from),
      to: hour(c.to),
      wanted: c.wanted,
      count: c.there,
      names: listed(c.batches.map((b) => batchOf(b).name)),
    });
  const ways = (move: DayMove) => [
    ...(move.earlier != null
      ? [{ seconds: -move.earlier, label: m.day_earlier({ name: batchOf(move.batch).name, time: span(move.earlier) }) }]
      : []),
    ...(move.later != null
      ? [{ seconds: move.later, label: m.day_later({ name: batchOf(move.batch).name, time: span(move.later) }) }]
      : []),
  ];
  const moves = $derived(view.sheet.moves.filter((move) => ways(move).length > 0));
</script>

<div class="mt-2" data-testid="clashes">
  {#if view.sheet.clashes.length === 0}
    <p class="font-semibold text-leaf">✓ {m.day_no_clash()}</p>
  {:else}
    <ul class="grid gap-0.5">
      {#each view.sheet.clashes as c (`${c.of}-${c.from}`)}
        <li class="leading-snug"><b class="text-chilli print:text-ink">▲</b> {words(c)}</li>
      {/each}
    </ul>
    {#if moves.length}
      <p class="mt-2 mb-1 text-small text-mute print:hidden">{m.day_moves()}</p>
      <div class="flex flex-wrap gap-2 print:hidden">
        {#each moves as move (move.batch)}{#each ways(move) as way (way.seconds)}
            <button class="button px-3 text-small" onclick={() => onmove(batchOf(move.batch).id, way.seconds)}>{way.label}</button>
          {/each}{/each}
      </div>
    {:else}<p class="mt-1 text-small text-mute">{m.day_no_move()}</p>{/if}
  {/if}
</div>
