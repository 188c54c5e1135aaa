<script lang="ts">
  import Trouble from "../parts/Trouble.svelte";
  import { onDestroy } from "svelte";
  import { batch } from "../bench/bench.svelte";
  import { m } from "../paraglide/messages";
  import BenchTabs from "./BenchTabs.svelte";
  import Hands from "./fold/Hands.svelte";
  import Kitchen from "./clock/Kitchen.svelte";
  import Timetable from "./clock/Timetable.svelte";
  import type { StageProps } from "./props";

  let { spec, sheet }: StageProps = $props();
  batch.wide = true;
  onDestroy(() => (batch.wide = false));
  const tabs = [
    { value: "timetable", label: m.tab_timetable(), part: Timetable },
    { value: "kitchen", label: m.tab_kitchen(), part: Kitchen },
    { value: "times", label: m.tab_step_times(), part: Hands },
  ];
</script>

<Trouble trouble={batch.clockTrouble} again={() => batch.again()} />
<BenchTabs label={m.clock_parts()} {tabs} {spec} {sheet} onopen={() => (batch.wide = true)} />
