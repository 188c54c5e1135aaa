<script lang="ts">
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Pick from "../../parts/Pick.svelte";
  import { amount, number } from "../../words/format";
  import { say } from "../../words/refusals";
  import type { StageProps } from "../props";
  import { lineOf } from "./ledger";
  import Line from "./Line.svelte";

  let { spec, sheet }: StageProps = $props();
  const dough = $derived(spec.dough);
  // The sheet is a moment older than the spec: a line that was just taken out is not drawn.
  const portions = $derived(sheet.dough.portions.filter((p) => lineOf(spec, p)));
  const liquor = $derived(sheet.dough.portions.find((p) => p.id === "liquor"));
  // A bar's length against the heaviest thing in the bowl, so that salt is still seen beside flour.
  const heaviest = $derived(Math.max(...portions.map((p) => p.mass)));
  const astray = $derived(
    batch.refusals.filter((r) => ["dough.liquids", "dough.additions", "dough.flours", "dough.hydration"].includes(r.field)),
  );
</script>

<div>
  <div class="ledger items-baseline text-fine text-mute">
    <h2 class="flex items-baseline gap-2 text-body font-bold text-ink">
      {m.weigh()}
      <span class="font-text text-fine font-normal whitespace-nowrap text-mute">
        {m.in_all()} <b class="text-body text-ink" data-testid="dough-mass">{amount(sheet.dough.mass, "g")}</b>
      </span>
    </h2>
    <span class="text-end">%</span>
    <span class="text-end">{sheet.dough.lots.count > 1 ? m.card_lot() : ""}</span>
    <span class="text-end max-sm:hidden">{m.measure()}</span>
  </div>
  <ul>
    {#each portions as portion (portion.part + portion.index)}
      <Line {spec} {sheet} {portion} bar="{Math.max(100 * Math.sqrt(portion.mass / heaviest), 1.5)}%" />
    {/each}
    {#if liquor}
      <li class="ledger relative min-h-11 items-center border-t border-line ps-2" data-portion="liquor">
        <span class="font-semibold">{m.liquor({ at: "alone" })} <span class="font-normal text-mute">· {m.stage_filling()}</span></span>
        <span class="px-1 text-end text-mute">{number(liquor.share, liquor.share >= 10 ? 1 : 2)}</span>
        <span class="px-2 text-end font-head text-lead font-bold">{amount(liquor.eachLot, "g")}</span>
      </li>
    {/if}
  </ul>
  {#each astray as r (r.field + r.code)}<p class="refusal" role="alert" data-testid="pins">{say(r)}</p>{/each}
  <div class="flex flex-wrap gap-x-4">
    <Pick
      bare
      label={m.addition()}
      prompt={m.add_addition()}
      field="dough.additions[].id"
      value=""
      except={dough.additions.map((a) => a.id)}
      onpick={(id) => batch.move({ kind: "add", part: "addition", id })}
    />
    <Pick
      bare
      label={m.liquid()}
      prompt={m.add_liquid()}
      field="dough.liquids[].id"
      value=""
      except={dough.liquids.map((l) => l.id)}
      onpick={(id) => batch.move({ kind: "add", part: "liquid", id })}
    />
    <Pick
      bare
      label={m.flour()}
      prompt={m.add_flour()}
      field="dough.flours[].id"
      value=""
      except={dough.flours.map((f) => f.id)}
      onpick={(id) => batch.move({ kind: "add", part: "flour", id })}
    />
  </div>
</div>
