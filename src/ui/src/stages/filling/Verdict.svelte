<script lang="ts">
  import type { FillingSheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { amount } from "../../words/format";
  import { fillingFeelName, fillingTest } from "../../words/names/filling";

  /** Whether the filling holds, in a word, with the hand's own test of it. */
  let { made }: { made: FillingSheet } = $props();
  const tone = $derived({ loose: "text-ghee-deep", holds: "text-leaf", rollInFlour: "text-ghee-deep", weeps: "text-chilli" }[made.feel]);
  const sign = $derived({ loose: "◇", holds: "✓", rollInFlour: "~", weeps: "▲" }[made.feel]);
</script>

<p class="mb-2 leading-tight" data-testid="verdict" data-feel={made.feel}>
  <b class="font-head text-title {tone}"><span aria-hidden="true">{sign}</span> {fillingFeelName[made.feel]()}</b>
  <span class="ms-1 font-head font-semibold"
    >{made.end.free >= 0 ? `${amount(made.end.runs, "%")} ${m.free_water()}` : m.room_for({ mass: amount(-made.end.free, "g") })}</span
  >
  {#if made.holdsFor != null}<span class="ms-1 font-head font-semibold text-ghee-deep" data-testid="holds-for"
      >{m.holds_for({ time: amount(Math.floor(made.holdsFor), "min") })}</span
    >{/if}
  <span class="block text-small text-mute sm:inline">{fillingTest[made.feel]()}</span>
</p>
