<script lang="ts">
  import Trouble from "../parts/Trouble.svelte";
  import { batch } from "../bench/bench.svelte";
  import { m } from "../paraglide/messages";
  import BenchTabs from "./BenchTabs.svelte";
  import Hands from "./fold/Hands.svelte";
  import Kitchen from "./clock/Kitchen.svelte";
  import Timetable from "./clock/Timetable.svelte";
  import type { StageProps } from "./props";

  let { spec, sheet }: StageProps = $props();
  const tabs = [
    { value: "timetable", label: m.tab_timetable(), part: Timetable, wide: true },
    { value: "kitchen", label: m.tab_kitchen(), part: Kitchen, wide: true },
    { value: "times", label: m.tab_step_times(), part: Hands, wide: true },
  ];
</script>

<Trouble trouble={batch.clockTrouble} again={() => batch.again()} />
<BenchTabs label={m.clock_parts()} {tabs} {spec} {sheet} />
