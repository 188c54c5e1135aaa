<script lang="ts">
  import { m } from "../paraglide/messages";
  import BenchTabs from "./BenchTabs.svelte";
  import Ball from "./balls/Ball.svelte";
  import Divide from "./balls/Divide.svelte";
  import type { StageProps } from "./props";

  let { spec, sheet }: StageProps = $props();
  const tabs = [
    { value: "ball", label: m.tab_ball(), part: Ball },
    { value: "divide", label: m.tab_divide(), part: Divide },
  ];
</script>

<BenchTabs label={m.balls_parts()} {tabs} {spec} {sheet} />
