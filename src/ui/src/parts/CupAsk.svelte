<script lang="ts">
  import { larder } from "../api/larder.svelte";
  import type { PowderFill } from "../api/types";
  import { batch } from "../bench/bench.svelte";
  import { m } from "../paraglide/messages";
  import FigureField from "./FigureField.svelte";
  import { takeMend } from "./mends.svelte";

  /** How a cup of flour is filled here: asked once, where it first matters; or one is weighed as it is filled. */
  const fills: [PowderFill, () => string][] = [
    ["sifted", m.fill_sifted],
    ["spooned", m.fill_spooned],
    ["scooped", m.fill_scooped],
  ];
  const limit = $derived(larder.itemLimit("flourCup"));
  let cup = $state<number | null>(null);
  let unread = $state(false);
  const fits = $derived(cup !== null && cup >= limit.least && cup <= limit.most);

  async function say(change: { fill?: PowderFill; flourCup?: number }) {
    await larder.setUnits({ ...change, cupSaid: true });
    // The flour that was measured before it was said is put right with it; what it was can be had back.
    batch.again();
    takeMend({ code: "cupsSaid", stage: "dough" }, { code: "cupsTo" });
  }
</script>

<div class="mt-1 grid gap-1.5" data-testid="cup-ask">
  <p class="text-body font-semibold">{m.cup_ask()}</p>
  <div class="flex flex-wrap gap-2">
    {#each fills as [fill, label] (fill)}<button class="button" onclick={() => void say({ fill })}>{label()}</button>{/each}
  </div>
  <div class="flex flex-wrap items-end gap-2">
    <div class="w-44">
      <FigureField
        label={m.cup_weigh()}
        {limit}
        unit="g"
        bind:value={cup}
        bind:unread
        refusal={cup === null || fits ? undefined : { ...limit, code: "outOfRange", given: cup }}
      />
    </div>
    <button class="button" disabled={!fits || unread} onclick={() => cup !== null && void say({ flourCup: cup })}>{m.cup_weighed()}</button>
  </div>
</div>
