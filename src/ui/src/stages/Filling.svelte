<script lang="ts">
  import Salad from "@lucide/svelte/icons/salad";
  import { larder } from "../api/larder.svelte";
  import { batch } from "../bench/bench.svelte";
  import { m } from "../paraglide/messages";
  import BenchTabs from "./BenchTabs.svelte";
  import Amounts from "./filling/Amounts.svelte";
  import Making from "./filling/Making.svelte";
  import Wall from "./filling/Wall.svelte";
  import Laid from "./Laid.svelte";
  import type { StageProps } from "./props";

  let { spec, sheet }: StageProps = $props();
  // The ball stays as heavy as it is: its round grows thicker, not its dough less.
  const stuff = () =>
    batch.changeBy((sheet) => {
      spec.balls.mass = Number(sheet.dough.start.ball.toFixed(1));
      spec.balls.by = "mass";
      spec.filling = structuredClone(larder.view?.plainFilling);
    });
  const tabs = [
    { value: "making", label: m.tab_making(), part: Making },
    { value: "wall", label: m.tab_wall(), part: Wall },
    { value: "amounts", label: m.tab_amounts(), part: Amounts },
  ];
</script>

<!-- The sheet is a moment older than the spec: both know of a filling, or there is none yet. -->
{#if spec.filling && sheet.filling}
  <BenchTabs label={m.filling_parts()} {tabs} {spec} {sheet} />
{:else if !spec.filling}
  <Laid>
    <p class="max-w-lg">{m.stuff_how()}</p>
    <button class="button strong mt-3" onclick={stuff}>
      <Salad size={18} aria-hidden="true" />{m.stuff_it()}
    </button>
  </Laid>
{/if}
