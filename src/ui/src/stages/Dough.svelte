<script lang="ts">
  import { m } from "../paraglide/messages";
  import BenchTabs from "./BenchTabs.svelte";
  import Feel from "./dough/Feel.svelte";
  import Cost from "./dough/Cost.svelte";
  import Mix from "./dough/Mix.svelte";
  import Puree from "./dough/Puree.svelte";
  import Weigh from "./dough/Weigh.svelte";
  import type { StageProps } from "./props";

  let { spec, sheet }: StageProps = $props();
  const tabs = $derived([
    { value: "weigh", label: m.tab_weigh(), part: Weigh },
    { value: "mix", label: m.tab_mix(), part: Mix },
    ...(sheet.dough.purees.length ? [{ value: "puree", label: m.tab_puree(), part: Puree }] : []),
    { value: "cost", label: m.tab_cost(), part: Cost },
  ]);
</script>

<BenchTabs label={m.dough_parts()} {tabs} beside={Feel} {spec} {sheet} />
