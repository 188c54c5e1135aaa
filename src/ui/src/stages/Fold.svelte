<script lang="ts">
  import { m } from "../paraglide/messages";
  import BenchTabs from "./BenchTabs.svelte";
  import Compare from "./fold/Compare.svelte";
  import Find from "./fold/Find.svelte";
  import Hands from "./fold/Hands.svelte";
  import Practice from "./fold/Practice.svelte";
  import Program from "./fold/Program.svelte";
  import type { StageProps } from "./props";

  let { spec, sheet }: StageProps = $props();
  const tabs = [
    { value: "program", label: m.tab_program(), part: Program, own: true },
    { value: "compare", label: m.tab_compare(), part: Compare, wide: true },
    { value: "find", label: m.tab_find(), part: Find, wide: true },
    { value: "hands", label: m.tab_hands(), part: Hands, wide: true },
    { value: "practice", label: m.tab_practice(), part: Practice, wide: true },
  ];
</script>

<BenchTabs label={m.fold_parts()} {tabs} {spec} {sheet} />
