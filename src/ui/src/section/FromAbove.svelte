<script lang="ts">
  import type { BatchSheet } from "../api/types";
  import { m } from "../paraglide/messages";
  import { amount } from "../words/format";
  import { outlineName } from "../words/names/fold";
  import type { Cut } from "./cuts";
  import Plan from "./Plan.svelte";
  import { ringsOf } from "./rings";
  import { browned } from "./tint";

  /** What is wound, seen from above as well: its rings do not show in a cut. */
  let { sheet, cut, size }: { sheet: BatchSheet; cut: Cut; size: number } = $props();
  const wound = ["coil", "cone", "upright"];
  const piece = $derived(cut.of === "step" ? sheet.fold.steps[cut.step ?? 0] : sheet.roll);
  const hue = $derived(cut.section.look && (cut.baked ? browned(cut.section.look.dough, cut.baked.first.dark) : cut.section.look.dough));
  const rings = $derived(ringsOf(cut.section));
</script>

{#if piece && wound.includes(piece.outline) && rings > 0}
  <div class="shrink-0" data-testid="from-above">
    <Plan
      facets={[]}
      outline={piece.outline}
      across={piece.across}
      wide={piece.wide}
      {rings}
      {size}
      {hue}
      label={m.plan_of({ what: outlineName[piece.outline](), across: amount(piece.across, "mm") })}
    />
  </div>
{/if}
