<script lang="ts">
  import type { Outcome } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { listed } from "../../words/format";

  /** Four short columns: soft, leaves, colour, taste. A missing column was not judged. */
  let { judged }: { judged: Outcome["judged"] } = $props();
  const marks = $derived([
    [m.judge_soft(), judged.soft],
    [m.judge_leaves(), judged.leaves],
    [m.judge_colour(), judged.colour],
    [m.judge_taste(), judged.taste],
  ] as const);
  const said = $derived(listed(marks.map(([name, mark]) => `${name} ${mark == null ? m.not_judged() : m.of({ part: mark, whole: 5 })}`)));
</script>

<svg width="42" height="22" viewBox="0 0 42 22" class="shrink-0" role="img" aria-label={said}>
  {#each marks as [name, mark], i (name)}
    <rect x={i * 11} y="1" width="8" height="20" rx="2" fill="var(--color-line)" />
    {#if mark != null}
      <rect
        x={i * 11}
        y={21 - mark * 4}
        width="8"
        height={mark * 4}
        rx="2"
        fill={mark >= 4 ? "var(--color-leaf)" : mark === 3 ? "var(--color-ghee)" : "var(--color-chilli)"}
      />
    {/if}
  {/each}
</svg>
