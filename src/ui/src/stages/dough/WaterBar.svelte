<script lang="ts">
  import type { BatchSheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { amount, number } from "../../words/format";
  import { feelsName } from "../../words/names/dough";
  import { shortName } from "../../words/names/items";

  /** The dough's water, stacked by where it comes from, under the stretches of feel of this very mix. One scale: points of flour. */
  let { sheet }: { sheet: BatchSheet } = $props();
  const dough = $derived(sheet.dough);
  const poured = $derived(["pours", "tooThick", "tooThin"].includes(dough.water.feel));
  const marks = $derived(dough.water.marks);
  // The bar goes on a while past its last mark, and past the water there is.
  const end = $derived(Math.max(marks.sticky + (poured ? 40 : 10), dough.water.hydration + 3));
  let box = $state.raw<DOMRectReadOnly>();
  const width = $derived(Math.round(box?.width ?? 600));
  // A word that would be cut is left out: the word for what it is now stands above in any case.
  const fits = (points: number, word: string) => (width * points) / end > word.length * 7 + 4;
  const at = (points: number) => `${((100 * Math.min(Math.max(points, 0), end)) / end).toFixed(2)}%`;
  const zones = $derived(
    poured
      ? [
          { to: marks.firm, label: m.zone_too_thick(), look: "bg-chilli-soft" },
          { to: marks.soft, label: m.zone_pours(), look: "bg-leaf-soft" },
          { to: end, label: m.zone_too_thin(), look: "bg-chilli-soft" },
        ]
      : [
          { to: marks.stiff, label: m.zone_stiff(), look: "bg-chilli-soft" },
          { to: marks.firm, label: m.zone_firm(), look: "bg-line" },
          { to: marks.soft, label: m.zone_right(), look: "bg-leaf-soft" },
          { to: marks.sticky, label: m.zone_soft(), look: "bg-line" },
          { to: end, label: m.zone_sticky(), look: "bg-chilli-soft" },
        ],
  );
  const starts = $derived([0, ...zones.map((z) => z.to)]);
  const zoneWidth = (i: number) => Math.max(Math.min(zones[i]?.to ?? 0, end) - Math.max(starts[i] ?? 0, 0), 0);
  const sourceWords = (p: BatchSheet["dough"]["portions"][number]) =>
    m.water_from({ item: shortName(p.id), share: number(p.brings.water, 1) });
  const tints = [
    "var(--color-source-1)",
    "var(--color-source-2)",
    "var(--color-source-3)",
    "var(--color-source-4)",
    "var(--color-source-5)",
    "var(--color-source-6)",
  ];
  const sources = $derived(
    dough.portions.filter((p) => p.part !== "flour" && p.brings.water > 0.05).toSorted((a, b) => b.brings.water - a.brings.water),
  );
</script>

<figure
  role="img"
  aria-label="{m.water_bar({ hydration: amount(dough.water.hydration, '%'), target: amount(dough.water.right, '%') })} {feelsName[
    dough.water.feel
  ]()}"
  data-testid="water-bar"
>
  <div class="mb-1 flex items-baseline justify-between gap-2">
    <span>{m.hydration()} <b class="text-big">{amount(dough.water.hydration, "%")}</b></span>
    <b class="text-big whitespace-nowrap" data-testid="feels">{feelsName[dough.water.feel]()}</b>
  </div>
  <div bind:contentRect={box} class="flex h-5 gap-0.5 overflow-hidden rounded-t-md text-fine leading-none">
    {#each zones as zone, i (i)}
      <span class="grid place-items-center overflow-hidden transition-[width] duration-150 {zone.look}" style:width={at(zoneWidth(i))}
        >{fits(zoneWidth(i), zone.label) ? zone.label : ""}</span
      >
    {/each}
  </div>
  <div class="relative h-7.5 overflow-hidden rounded-b-md bg-steel">
    <div class="flex h-full">
      {#each sources as p, i (p.part + p.index)}
        <span
          class="grid place-items-center overflow-hidden border-e border-white px-1 text-fine font-semibold whitespace-nowrap text-ink transition-[width] duration-150"
          style:width={at(p.brings.water)}
          style:background={tints[i % tints.length]}>{fits(p.brings.water, sourceWords(p)) ? sourceWords(p) : ""}</span
        >
      {/each}
    </div>
    <span class="absolute inset-y-0 w-0.75 bg-leaf" style:inset-inline-start={at(dough.water.good.least)}></span>
    <span class="absolute inset-y-0 w-0.75 bg-leaf" style:inset-inline-start={at(dough.water.good.most)}></span>
    <span
      class="absolute inset-y-0 w-1 bg-ink transition-[inset-inline-start] duration-150"
      style:inset-inline-start="calc({at(dough.water.hydration)} - 4px)"
    ></span>
  </div>
</figure>
