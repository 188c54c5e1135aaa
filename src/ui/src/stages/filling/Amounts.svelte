<script lang="ts">
  import type { BatchSheet } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import Toggle from "../../parts/Toggle.svelte";
  import { m } from "../../paraglide/messages";
  import Figure from "../../parts/Figure.svelte";
  import { amount, number } from "../../words/format";
  import { shortName } from "../../words/names/items";
  import type { StageProps } from "../props";
  import Astray from "./Astray.svelte";

  let { spec, sheet }: StageProps = $props();
  const balance = $derived(sheet.filling!.balance);
  const sets = $derived(spec.start.by === "filling");
  const fitOf = (sheet: BatchSheet) => sheet.notes.flatMap((n) => n.mends ?? []).find((mend) => mend.code === "fillingTimes");
  const fit = $derived(fitOf(sheet));
  const makeIt = () =>
    batch.changeBy((sheet) => {
      const fit = fitOf(sheet);
      if (fit?.filling) spec.filling = fit.filling;
    }, "fit");
  const heaviest = $derived(Math.max(balance.made, balance.needed));
</script>

<Astray besides="filling.amounts" />
<div class="grid gap-x-7 gap-y-4 xl:grid-cols-2">
  <div>
    <div
      class="grid gap-1.5"
      role="img"
      aria-label="{m.filling_made()} {amount(balance.made, 'g')}, {m.filling_needed()} {amount(balance.needed, 'g')}"
    >
      {#each [{ label: m.filling_made(), mass: balance.made, tint: "var(--color-filling)" }, { label: m.filling_needed(), mass: balance.needed, tint: "var(--color-dough-deep)" }] as bar (bar.label)}
        <span class="grid grid-cols-[5.5rem_minmax(0,1fr)] items-center gap-2">
          <span class="text-small text-mute">{bar.label}</span>
          <span
            class="h-9 rounded-md px-2 font-head text-lead leading-9 font-bold whitespace-nowrap transition-[width] duration-150"
            style:width="{Math.max((100 * bar.mass) / heaviest, 1)}%"
            style:background={bar.tint}>{amount(bar.mass, "g")}</span
          >
        </span>
      {/each}
    </div>
    <dl class="mt-3 grid grid-cols-3 gap-3">
      <Figure
        label={balance.over < -0.5 ? m.filling_lacks() : m.filling_over()}
        value={amount(Math.abs(balance.over), "g")}
        tone={sheet.notes.some((n) => n.code === "fillingShort") ? "bad" : ""}
      />
      <Figure label={m.fills_pieces()} value={m.of({ part: balance.pieces, whole: sheet.balls.count })} />
      <Figure label={m.dough_for_it()} value={amount(balance.dough, "g")} />
    </dl>
    <div class="mt-3 flex flex-wrap gap-2">
      {#if fit?.filling}<button class="button" onclick={makeIt}>{m.fit_filling()}</button>{/if}
      <Toggle class="button" pressed={sets} onpress={() => batch.move({ kind: "ask", question: sets ? "pieces" : "filling" }, "question")}
        >{sets ? m.filling_sets() : m.fit_start()}</Toggle
      >
    </div>
  </div>
  <section aria-labelledby="buy-head">
    <h2 id="buy-head" class="mb-1 text-body font-bold">{m.buy_for({ count: sheet.balls.count })}</h2>
    <ul>
      {#each balance.buy as item, i (i)}
        <li class="flex min-h-11 items-center justify-between gap-3 border-b border-line" data-buy={item.id}>
          <span>{shortName(item.id)}</span><b class="font-head text-big">{amount(item.each, "g")}</b>
        </li>
      {/each}
    </ul>
    {#if balance.times != null && number(balance.times, 2) !== number(1, 2)}<p class="mt-1 text-small text-mute">
        {m.times_as_much({ times: number(balance.times, 2) })}
      </p>{/if}
  </section>
</div>
