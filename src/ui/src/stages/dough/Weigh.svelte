<script lang="ts">
  import type { StageProps } from "../props";
  import Ledger from "./Ledger.svelte";
  import Start from "./Start.svelte";
  import WaterBar from "./WaterBar.svelte";

  let { spec, sheet }: StageProps = $props();
</script>

<div class="grid content-start gap-2">
  <Start {spec} {sheet} />
  <Ledger {spec} {sheet} />
  <WaterBar {sheet} />
</div>
