<script lang="ts">
  import { m } from "../../paraglide/messages";
  import { LANE, type Lanes } from "./lanes.svelte";

  /** What lies on each pan, one lane a place: a second bread has a dashed edge, a wipe before a stay is a diamond. */
  let { lanes, onpick }: { lanes: Lanes; onpick: (bread: number, number: number) => void } = $props();
</script>

{#each lanes.sheet.pans as stay, i (i)}
  {@const x = lanes.x(stay.laid)}
  {@const w = lanes.x(stay.lifted) - x}
  {@const y = lanes.panY(stay.pan, stay.place)}
  {@const own = stay.pieces.some((n) => lanes.isPicked(stay.bread, n))}
  {#if stay.lifted > lanes.from}
    <!-- svelte-ignore a11y_no_static_element_interactions -->
    <g data-stay onpointerenter={() => onpick(stay.bread, stay.pieces[0]!)} onpointerdown={() => onpick(stay.bread, stay.pieces[0]!)}>
      <rect
        {x}
        {y}
        width={Math.max(w - 0.8, 1)}
        height={LANE}
        opacity={lanes.picked && !own ? 0.45 : 1}
        rx="4"
        fill={stay.fry ? "var(--color-stay-fried)" : "var(--color-stay)"}
        stroke={own ? "var(--color-rim)" : stay.bread > 0 ? "var(--color-leaf)" : "none"}
        stroke-width={own ? 2.5 : 1}
        stroke-dasharray={stay.bread > 0 && !own ? "4 2" : undefined}
      />
      {#each stay.turns as turn (turn)}<line
          x1={lanes.x(turn)}
          x2={lanes.x(turn)}
          y1={y}
          y2={y + 7}
          stroke="var(--color-ink)"
          stroke-width="1.5"
        />{/each}
      {#if stay.wiped}<path d="M{x - 1} {y + LANE - 6}l3 -3l3 3l-3 3z" fill="var(--color-rim)" data-wipe
          ><title>{m.wiped_before()}</title></path
        >{/if}
      {#if w > (stay.pieces.length > 1 ? 5 : String(stay.pieces[0]).length) * 7.4}
        <text x={x + w / 2} y={y + 22} text-anchor="middle" class="fill-ink text-fine font-bold"
          >{stay.pieces.length > 1 ? `${stay.pieces[0]}–${stay.pieces.at(-1)}` : stay.pieces[0]}</text
        >
      {/if}
    </g>
  {/if}
{/each}
