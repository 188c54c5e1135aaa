<script lang="ts">
  import { onDestroy } from "svelte";
  import { batch } from "../bench/bench.svelte";
  import { m } from "../paraglide/messages";
  import BenchTabs from "./BenchTabs.svelte";
  import Compare from "./fold/Compare.svelte";
  import Find from "./fold/Find.svelte";
  import Hands from "./fold/Hands.svelte";
  import Practice from "./fold/Practice.svelte";
  import Program from "./fold/Program.svelte";
  import type { StageProps } from "./props";

  let { spec, sheet }: StageProps = $props();
  onDestroy(() => (batch.wide = false));
  const tabs = [
    { value: "program", label: m.tab_program(), part: Program },
    { value: "compare", label: m.tab_compare(), part: Compare },
    { value: "find", label: m.tab_find(), part: Find },
    { value: "hands", label: m.tab_hands(), part: Hands },
    { value: "practice", label: m.tab_practice(), part: Practice },
  ];
</script>

<BenchTabs label={m.fold_parts()} {tabs} {spec} {sheet} onopen={(tab) => (batch.wide = tab !== "program")} />
