<script lang="ts">
  import { batch } from "../bench/bench.svelte";
  import { m } from "../paraglide/messages";
  import { placeOf } from "../words/fields";
  import { say } from "../words/refusals";
  import BenchTabs from "./BenchTabs.svelte";
  import Compare from "./pan/Compare.svelte";
  import Fat from "./pan/Fat.svelte";
  import Hold from "./pan/Hold.svelte";
  import OnPan from "./pan/OnPan.svelte";
  import Practice from "./pan/Practice.svelte";
  import Roast from "./pan/Roast.svelte";
  import type { StageProps } from "./props";

  let { spec, sheet }: StageProps = $props();
  // What stands in the way and has no dial to say it.
  const astray = $derived(batch.refusals.filter((r) => /^pan\.(own|frozen|second\.id|fat$)/.test(r.field)));
  const tabs = [
    { value: "roast", label: m.tab_roast(), part: Roast },
    { value: "pan", label: m.tab_pan(), part: OnPan, wide: true },
    { value: "fat", label: m.tab_fat(), part: Fat },
    { value: "hold", label: m.tab_hold(), part: Hold },
    { value: "compare", label: m.tab_compare_pans(), part: Compare, wide: true },
    { value: "practice", label: m.tab_practice(), part: Practice, wide: true },
  ];
</script>

{#each astray as r (r.field + r.code)}<p class="refusal" data-testid="pan-astray">{placeOf(r.field)}: {say(r)}</p>{/each}
<BenchTabs label={m.pan_parts()} {tabs} {spec} {sheet} />
