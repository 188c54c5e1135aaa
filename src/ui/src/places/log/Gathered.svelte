<script lang="ts">
  import type { Outcome } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { amount } from "../../words/format";
  import { handName } from "../../words/names/fold";
  import { nameOf } from "../../words/record";

  /** What scale and stove know of it: what each step left, and how long the hands took. */
  let { outcome }: { outcome: Outcome } = $props();
</script>

{#if outcome.yields?.length || outcome.hands?.length}
  <div class="grid gap-x-8 gap-y-2 xl:col-span-2 xl:grid-cols-2">
    {#if outcome.yields?.length}
      <section aria-label={m.yields_head()}>
        <h3 class="font-head text-body font-bold">{m.yields_head()}</h3>
        {#each outcome.yields as step (step.step)}
          <p class="flex justify-between border-b border-line py-1">
            <span>{nameOf(step.id)}</span><span
              ><span class="text-mute">{amount(step.planned, "%")}</span>&ensp;<b>{amount(step.left, "%")}</b></span
            >
          </p>
        {/each}
      </section>
    {/if}
    {#if outcome.hands?.length}
      <section aria-label={m.hands_head()}>
        <h3 class="font-head text-body font-bold">{m.hands_head()}</h3>
        {#each outcome.hands as work (work.work)}
          <p class="flex justify-between border-b border-line py-1">
            <span>{handName[work.work]()}</span><span
              ><span class="text-mute">{m.hands_times({ times: work.times })}</span>&ensp;<b>{amount(work.each, "s")}</b></span
            >
          </p>
        {/each}
      </section>
    {/if}
  </div>
{/if}
