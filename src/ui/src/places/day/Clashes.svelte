<script lang="ts">
  import type { DayClash, DayView } from "../../api/types";
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
  // The least move first; more than a few are no help.
  const MOST = 6;
  const ways = $derived(
    view.sheet.moves
      .flatMap(({ batch, earlier, later: after }) => [
        ...(earlier != null ? [{ batch, by: -earlier }] : []),
        ...(after != null ? [{ batch, by: after }] : []),
      ])
      .toSorted((a, b) => Math.abs(a.by) - Math.abs(b.by))
      .slice(0, MOST),
  );
  const wayWords = (batch: number, by: number) =>
    (by < 0 ? m.day_earlier : m.day_later)({ name: batchOf(batch).name, time: span(Math.abs(by)) });
</script>

<div class="mt-2 grid gap-x-6 lg:grid-cols-2 print:block" data-testid="clashes">
  {#if view.sheet.clashes.length === 0}
    <p class="font-semibold text-leaf">✓ {m.day_no_clash()}</p>
  {:else}
    <ul class="grid content-start gap-0.5">
      {#each view.sheet.clashes as c (`${c.of}-${c.from}`)}
        <li class="leading-snug"><b class="text-chilli print:text-ink">▲</b> {words(c)}</li>
      {/each}
    </ul>
    {#if ways.length}
      <div class="print:hidden">
        <p class="mb-1 text-small text-mute max-lg:mt-2">{m.day_moves()}</p>
        <div class="flex flex-wrap gap-2">
          {#each ways as { batch, by } (`${batch} ${by}`)}
            <button class="button px-3 text-small" onclick={() => onmove(batchOf(batch).id, by)}>{wayWords(batch, by)}</button>
          {/each}
        </div>
      </div>
    {:else}<p class="mt-1 text-small text-mute">{m.day_no_move()}</p>{/if}
  {/if}
</div>
