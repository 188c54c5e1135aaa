<script lang="ts">
  import type { BatchSheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Figure from "../../parts/Figure.svelte";
  import { amount, number } from "../../words/format";
  import { viewOf } from "../../words/units";

  /** What comes of the program: how many leaves come apart, leaf by leaf, and what they are like. */
  let { sheet }: { sheet: BatchSheet } = $props();
  const fold = $derived(sheet.fold);
  const upright = $derived(fold.rings?.onEdge ?? false);
  const [part, count] = $derived(fold.rings && upright ? [fold.rings.apart, Math.round(fold.rings.count)] : [fold.effective, fold.nominal]);
  // More blocks than this are a bar.
  const MOST_BLOCKS = 36;
  const contacts = $derived(sheet.section.rings && upright ? sheet.section.rings.contacts : sheet.section.contacts);
  // A leaf that is welded to the one below it is none of its own.
  const blocks = $derived(sheet.filling || contacts.length + 1 > MOST_BLOCKS ? [] : ["open", ...contacts.map((c) => c.state)]);
  const bad = $derived(upright ? fold.rings?.state === "fused" : fold.fused > 0);
  const between = $derived.by(() => {
    const { filmLeast: least, filmMost: most } = sheet.roll;
    if (least == null || most == null) return m.none();
    const [view, high] = [viewOf("µm"), amount(most, "µm")];
    return amount(least, "µm") === high ? high : m.from_to({ least: number(view.to(least), view.finer), most: high });
  });
</script>

<div data-testid="apart">
  <p class="flex flex-wrap items-baseline gap-x-2 font-head font-bold">
    <b class="text-huge leading-none {bad ? 'text-chilli' : fold.nominal > 1 ? 'text-leaf' : ''}">{number(part, 0)}</b>
    <span class="text-big">{upright ? m.of_rings_apart({ count }) : m.of_leaves_apart({ count })}</span>
  </p>
  {#if blocks.length > 1}
    <div class="mt-1.5 flex gap-0.75" aria-hidden="true">
      {#each blocks as state, i (i)}
        <span
          class="h-3 flex-1 rounded-[3px] {state === 'open'
            ? 'bg-ghee'
            : state === 'patchy'
              ? 'border-2 border-ghee-deep bg-white'
              : 'bg-chilli'}"
        ></span>
      {/each}
    </div>
  {/if}
  <dl class="mt-2 grid grid-cols-2 gap-x-3 gap-y-1.5">
    <Figure label={m.one_leaf_is()} value={amount(sheet.roll.leaf, "mm")} />
    <Figure label={m.fat_between()} value={between} />
    <Figure label={m.fat_per_100({ mass: amount(100, "g") })} value={amount(fold.fatPer100G, "g")} />
    <Figure label={m.hand_time()} value={amount(fold.hands, "s")} />
    {#if fold.pieces > 1}
      <Figure label={m.pieces_of_ball()} value={number(fold.pieces, 0)} />
    {:else if fold.threads}
      <Figure label={m.threads()} value={number(fold.threads, 0)} />
    {:else if fold.rings && !upright}
      <Figure label={m.windings()} value={`${amount(fold.rings.count, "")}${fold.rings.state === "fused" ? ` ${m.welded_short()}` : ""}`} />
    {:else if fold.covers < 99.5}
      <Figure label={m.mean_leaves()} value={number(fold.meanEffective, 1)} />
    {/if}
  </dl>
</div>
