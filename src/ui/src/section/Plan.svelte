<script lang="ts">
  import type { Dressing, Facet, Outline, PlanMark } from "../api/types";

  /** A piece from above, drawn from its geometry: facets from the lowest up, or the outline of what is wound. */
  interface Props {
    facets: Facet[];
    marks?: PlanMark[];
    outline: Outline;
    across: number;
    wide: number;
    /** Rings or windings across the radius, for what is wound. */
    rings?: number;
    /** Side of the drawing in pixels, and how many millimetres that is; without, the piece fills it. */
    size: number;
    span?: number | undefined;
    label?: string | undefined;
    /** Of the dough, or of its face off the pan. */
    hue?: string | null | undefined;
  }
  let { facets, marks = [], outline, across, wide, rings = 0, size, span, label, hue }: Props = $props();
  const id = $props.id();

  const MOST_RINGS = 40;
  const box = $derived.by(() => {
    const all = [...facets.flatMap((f) => f.points), ...marks.flatMap((k) => [...k.line, ...(k.moves ?? [])])];
    if (all.length === 0) return { x: 0, y: 0, side: Math.max(across, wide) };
    const xs = all.filter((_, i) => i % 2 === 0);
    const ys = all.filter((_, i) => i % 2 === 1);
    const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    return { x: (left + right) / 2, y: (low + high) / 2, side: Math.max(right - left, high - low) };
  });
  const side = $derived(Math.max(span ?? 0, box.side) * 1.1);
  const px = $derived(side / size);
  const fill: Record<Dressing, string> = $derived({
    bare: hue ?? "var(--color-raw)",
    fat: "var(--color-raw-fat)",
    dust: "var(--color-raw-dust)",
    fatAndDust: "var(--color-raw-fat-dust)",
  });

  const points = (of: number[]) => of.map((v, i) => (i % 2 ? -v : v)).join(" ");
  const round = $derived(outline === "coil" || outline === "cone" || outline === "upright" || outline === "round");
  const spiral = $derived.by(() => {
    const turns = outline === "cone" ? 4 : Math.min(rings, MOST_RINGS);
    const steps = Math.ceil(turns * 36);
    return Array.from({ length: steps + 1 }, (_, i) => {
      const r = (across / 2) * (1 - i / steps) * 0.98;
      const a = (i / 36) * 2 * Math.PI;
      return `${i ? "L" : "M"}${(r * Math.cos(a)).toFixed(1)} ${(r * Math.sin(a)).toFixed(1)}`;
    }).join("");
  });

  // From the middle of what moves to where it comes to lie, in a bow.
  // It stops short, so that flaps that land on each other do not hide each other's heads.
  const SHORT = 0.78;
  function bow([x1 = 0, y1 = 0, xEnd = 0, yEnd = 0]: number[]): string {
    const [x2, y2] = [x1 + (xEnd - x1) * SHORT, y1 + (yEnd - y1) * SHORT];
    const [mx, my] = [(x1 + x2) / 2 - (y2 - y1) * 0.28, -(y1 + y2) / 2 - (x2 - x1) * 0.28];
    return `M${x1} ${-y1}Q${mx} ${my} ${x2} ${-y2}`;
  }
</script>

<svg
  width={size}
  height={size}
  viewBox="{box.x - side / 2} {-box.y - side / 2} {side} {side}"
  role={label ? "img" : undefined}
  aria-label={label}
  aria-hidden={label ? undefined : "true"}
  data-plan={outline}
>
  <defs>
    <pattern id="{id}-dust" width={7 * px} height={7 * px} patternUnits="userSpaceOnUse">
      <circle cx={1.6 * px} cy={1.6 * px} r={1.1 * px} fill="white" /><circle cx={5 * px} cy={4.6 * px} r={0.9 * px} fill="white" />
    </pattern>
    <marker id="{id}-head" viewBox="0 0 10 10" refX="7" refY="5" markerWidth="5.5" markerHeight="5.5" orient="auto">
      <path d="M0 0 10 5 0 10z" fill="var(--color-rim)" />
    </marker>
  </defs>
  <g stroke="var(--color-crust)" stroke-width={1.3 * px} stroke-linejoin="round">
    {#if facets.length > 0}
      {#each facets as facet, i (i)}
        <polygon class="facet" points={points(facet.points)} fill={fill[facet.up]} data-up={facet.up} />
        {#if facet.up === "dust" || facet.up === "fatAndDust"}<polygon
            points={points(facet.points)}
            fill="url(#{id}-dust)"
            stroke="none"
          />{/if}
      {/each}
    {:else if outline === "rope"}
      <rect x={-across / 2} y={-wide / 2} width={across} height={wide} rx={wide / 2} fill={fill.bare} />
      <path
        d="M{across / 2 - wide * 0.15} 0a{wide * 0.18} {wide * 0.18} 0 1 1 {-wide * 0.18} {-wide * 0.18}a{wide * 0.3} {wide *
          0.3} 0 1 1 {-wide * 0.3} {wide * 0.3}"
        fill="none"
      />
    {:else if round}
      <circle r={across / 2} fill={fill.bare} />
      {#if outline === "upright" || outline === "coil" || outline === "cone"}<path d={spiral} fill="none" stroke-width={1 * px} />{/if}
    {:else}
      <rect x={-across / 2} y={-wide / 2} width={across} height={wide} fill={fill.bare} />
    {/if}
  </g>
  <g fill="none" stroke="var(--color-rim)" stroke-width={1.8 * px}>
    {#each marks as mark, i (i)}
      {@const [x1 = 0, y1 = 0, x2 = 0, y2 = 0] = mark.line}
      <line
        {x1}
        {x2}
        y1={-y1}
        y2={-y2}
        stroke={mark.kind === "cut" ? "var(--color-ink)" : undefined}
        stroke-dasharray={mark.kind === "fold"
          ? `${5 * px} ${3.5 * px}`
          : mark.kind === "tuck"
            ? `${7 * px} ${3 * px} ${1.5 * px} ${3 * px}`
            : undefined}
        data-mark={mark.kind}
      />
    {/each}
    {#each marks.filter((k) => k.moves).slice(0, 4) as mark, i (i)}
      <path d={bow(mark.moves ?? [])} marker-end="url(#{id}-head)" />
    {/each}
  </g>
</svg>

<style>
  .facet {
    transition: fill 160ms ease-out;
  }
</style>
