<script lang="ts">
  import { larder } from "../../api/larder.svelte";
  import type { CutSheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Dial from "../../parts/Dial.svelte";
  import Figure from "../../parts/Figure.svelte";
  import { amount } from "../../words/format";
  import type { StageProps } from "../props";

  let { spec, sheet, cut }: StageProps & { cut: CutSheet } = $props();
  const balls = $derived(spec.balls);
  const log = $derived(balls.into === "log");
  const usual = $derived(larder.view!.plain.balls.cutting!);
  const cutting = $derived(balls.cutting ?? usual);
  const set = (change: Partial<typeof usual>) => (balls.cutting = { ...cutting, ...change });
  // The whole sheet or one log, to scale, with every cut.
  const along = $derived(cut.each);
  const deep = $derived(log ? cutting.logAcross : cutting.stripLength);
  const pieces = $derived(cut.piecesOfEach);
</script>

<div>
  {#if !log}
    <Dial
      label={m.cut_sheet_thick()}
      field="balls.cutting.sheetThickness"
      value={cutting.sheetThickness}
      step={0.5}
      unit="mm"
      to={20}
      onchange={(v) => set({ sheetThickness: v })}
    />
    <Dial
      label={m.cut_strip_long()}
      field="balls.cutting.stripLength"
      value={cutting.stripLength}
      step={1}
      unit="cm"
      to={600}
      onchange={(v) => set({ stripLength: v })}
    />
  {:else}
    <Dial
      label={m.cut_log_across()}
      field="balls.cutting.logAcross"
      value={cutting.logAcross}
      step={0.5}
      unit="cm"
      to={120}
      onchange={(v) => set({ logAcross: v })}
    />
  {/if}
  <svg
    viewBox="-2 -2 {along + 4} {deep + 4}"
    class="max-h-40 w-full"
    role="img"
    aria-label={m.cut_picture({ count: sheet.balls.count, each: amount(cut.piece, "mm") })}
  >
    <rect
      width={along}
      height={deep}
      rx={log ? Math.min(deep / 6, cut.piece / 2) : 0}
      fill="var(--color-dough)"
      stroke="var(--color-crust)"
      stroke-width="2"
      vector-effect="non-scaling-stroke"
    />
    {#each { length: pieces - 1 }, i (i)}
      <path
        d="M{((i + 1) * along) / pieces} 0v{deep}"
        stroke="var(--color-rim)"
        stroke-width="1.5"
        stroke-dasharray="5 4"
        vector-effect="non-scaling-stroke"
        data-cut
      />
    {/each}
  </svg>
  <dl class="mt-2 grid grid-cols-[auto_auto_auto] gap-3">
    <Figure label={log ? m.cut_slice() : m.cut_strip()} value={amount(cut.piece, "mm")} />
    <Figure
      label={log ? m.cut_log_long() : m.cut_sheet_long()}
      value={cut.logs > 1 ? `${cut.logs} × ${amount(along, "mm")}` : amount(along, "mm")}
    />
    <Figure label={m.cut_off_by({ by: amount(1, "mm") })} value={`± ${amount(cut.millimetre, "g")}`} />
  </dl>
</div>
