<script lang="ts">
  import type { ClockView } from "../../api/types";
  import { slotWords } from "../../words/clock";
  import { LANE, type Lanes } from "./lanes.svelte";

  /** What each pair of hands does, one lane a pair. */
  let { lanes, onpick }: { lanes: Lanes; onpick: (bread: number, number: number) => void } = $props();
  const tint: Record<string, string> = {
    mix: "var(--color-work-mix)",
    divide: "var(--color-strata-3)",
    filling: "var(--color-work-filling)",
    fold: "var(--color-raw)",
    roll: "var(--color-work-roll)",
  };
  type Slot = ClockView["sheet"]["hands"][number];
  const isPicked = (slot: Slot) => slot.piece != null && lanes.isPicked(slot.bread, slot.piece);
  const pick = (slot: Slot) => slot.piece != null && onpick(slot.bread, slot.piece);
</script>

{#each lanes.sheet.hands as slot, i (i)}
  {#each slot.parts as part, k (k)}
    {@const w = lanes.x(part.to) - lanes.x(part.from)}
    {#if part.to > lanes.from && part.to > part.from}
      <!-- svelte-ignore a11y_no_static_element_interactions -->
      <g data-slot={slot.work} onpointerenter={() => pick(slot)} onpointerdown={() => pick(slot)}>
        <title>{slotWords(slot)}</title>
        <rect
          x={lanes.x(part.from)}
          y={lanes.handY(slot.person)}
          width={Math.max(w - 0.6, 1)}
          height={LANE}
          opacity={lanes.picked && !isPicked(slot) ? 0.45 : 1}
          rx={w > 8 ? 4 : 0}
          fill={slot.pan == null ? tint[slot.work] : "var(--color-crust)"}
          stroke={isPicked(slot) ? "var(--color-rim)" : slot.bread > 0 ? "var(--color-leaf)" : "none"}
          stroke-width={isPicked(slot) ? 2.5 : 1}
          stroke-dasharray={slot.bread > 0 && !isPicked(slot) ? "4 2" : undefined}
        />
        {#if slot.pan == null && k === 0}
          {@const label = slot.piece != null ? String(slot.number) : slotWords(slot)}
          {#if w > label.length * 7.4 + 5}<text
              x={lanes.x(part.from) + w / 2}
              y={lanes.handY(slot.person) + 20}
              text-anchor="middle"
              class="fill-ink text-fine font-semibold">{label}</text
            >{/if}
        {/if}
      </g>
    {/if}
  {/each}
{/each}
