<script lang="ts">
  import type { FillingSheet, Section } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { amount } from "../../words/format";

  /** The edge of a piece cut through, to scale in both directions: wall, filling, and its bits at their size. */
  let { filling, look }: { filling: FillingSheet; look: Section["look"] } = $props();
  const parcel = $derived(filling.parcel);
  // As much of the piece as lets a wall of a millimetre be seen, millimetres.
  const across = $derived(Math.min(Math.max(parcel.thickness * 3.8, 15), parcel.wide));
  const height = $derived(parcel.thickness);
  const seam = 4;
  // Words beside the cut, in its millimetres.
  const letter = $derived(across * 0.058);
  const chance = (n: number) => Math.abs(Math.sin(n * 12.9898 + 4.1) * 43758.5453) % 1;
  const layers = $derived(
    Array.from({ length: parcel.layers }, (_, i) => parcel.wall * (i + 1) + parcel.layer * i).map((top) => ({
      top,
      bottom: top + parcel.layer,
    })),
  );
  const round = $derived(Math.min(height / 2, seam));
  // As many of each as its share of the filling takes of the cut.
  const lumps = $derived(
    layers.flatMap(({ top }, i) =>
      (look?.filling?.bits ?? []).flatMap(({ hue, size, share }, kind) => {
        const face = size * Math.min(size, parcel.layer) * 0.5;
        const count = Math.min(Math.round(((share / 100) * (across - seam) * parcel.layer * 0.7) / face), 260);
        return Array.from({ length: count }, (_, n) => {
          const lot = n + kind * 41;
          const r = (size / 2) * (0.55 + 0.45 * chance(lot * 17 + i));
          return {
            hue,
            x: seam + r + chance(lot * 7 + i * 5) * (across - seam),
            y: top + Math.min(r, parcel.layer / 2) + chance(lot * 13 + i * 3) * Math.max(parcel.layer - 2 * r, 0),
            r,
          };
        });
      }),
    ),
  );
  const thin = $derived(parcel.wall < parcel.wallLeast);
</script>

<figure>
  <svg
    viewBox="-0.4 -0.6 {across + letter * 6.4} {height + 1.2}"
    class="w-full"
    role="img"
    aria-label={m.wall_picture({ wall: amount(parcel.wall, "mm"), layer: amount(parcel.layer, "mm") })}
    data-parcel={parcel.shape}
  >
    <clipPath id="layers"
      >{#each layers as { top, bottom }, i (i)}<path
          d="M{across} {top}H{seam + Math.min(parcel.layer / 2, 3)}Q{seam - 1} {(top + bottom) / 2} {seam +
            Math.min(parcel.layer / 2, 3)} {bottom}H{across}Z"
        />{/each}</clipPath
    >
    <path
      d="M{across} 0H{round}Q0 0 0 {height / 2}Q0 {height} {round} {height}H{across}"
      fill={look?.dough ?? "var(--color-leaves-1)"}
      stroke="var(--color-crust)"
      stroke-width="0.16"
    />
    <g clip-path="url(#layers)">
      <rect width={across} {height} fill={look?.filling?.hue ?? "var(--color-filling)"} />
      {#each lumps as { hue, x, y, r }, i (i)}<circle cx={x} cy={y} {r} fill={hue} stroke="var(--color-shade)" stroke-width="0.08" />{/each}
    </g>
    <g font-family="var(--font-head)" font-weight="700" font-size={letter} fill="var(--color-ink)">
      <g stroke={thin ? "var(--color-chilli)" : "var(--color-rim)"} stroke-width="0.1">
        <path d="M{across + 0.3} 0h0.5M{across + 0.3} {parcel.wall}h0.5M{across + 0.55} 0v{parcel.wall}" fill="none" />
      </g>
      <text x={across + 1.1} y={parcel.wall / 2 + letter * 0.36} fill={thin ? "var(--color-chilli)" : undefined}
        >{thin ? "▲ " : ""}{amount(parcel.wall, "mm")}</text
      >
      <path
        d="M{across + 0.3} {parcel.wall + parcel.layer}h0.5M{across + 0.55} {parcel.wall}v{parcel.layer}"
        fill="none"
        stroke="var(--color-filling-deep)"
        stroke-width="0.1"
      />
      <text x={across + 1.1} y={parcel.wall + parcel.layer / 2 + letter * 0.36}>{amount(parcel.layer, "mm")}</text>
    </g>
  </svg>
  <figcaption class="text-fine text-mute">{m.wall_caption({ across: amount(across, "mm") })}</figcaption>
</figure>
