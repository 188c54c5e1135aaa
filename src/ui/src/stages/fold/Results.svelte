<script lang="ts">
  import type { BatchSheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Figure from "../../parts/Figure.svelte";
  import { amount, number } from "../../words/format";
  import { flakeTerm } from "../../words/names/fold";
  import FatBar from "../FatBar.svelte";

  let { sheet }: { sheet: BatchSheet } = $props();
  const fold = $derived(sheet.fold);
  const upright = $derived(fold.rings?.onEdge ?? false);
  const between = $derived.by(() => {
    const { filmLeast: least, filmMost: most } = sheet.roll;
    if (least == null || most == null) return m.none();
    const [low, high] = [number(least, 0), number(most, 0)];
    return low === high ? `${high} µm` : m.from_to({ least: low, most: `${high} µm` });
  });
</script>

<dl class="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-3">
  {#if fold.rings && upright}
    <Figure
      label={m.rings_apart()}
      value={m.of({ part: number(fold.rings.apart, 0), whole: number(fold.rings.count, 0) })}
      tone={fold.rings.state === "fused" ? "bad" : "good"}
    />
  {:else}
    <Figure
      label={m.come_apart()}
      value={m.of({ part: fold.effective, whole: fold.nominal })}
      tone={fold.fused ? "bad" : fold.nominal > 1 ? "good" : ""}
    />
  {/if}
  <Figure label={m.one_leaf_is()} value={amount(sheet.roll.leaf, "mm")} />
  <Figure label={m.fat_between()} value={between} />
  <Figure label={m.fat_per_100()} value={amount(fold.fatPer100G, "g")} />
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
<div class="mt-2" data-testid="flake">
  <p class="flex items-baseline justify-between gap-2">
    <span>{m.flake()}</span>
    <b class="font-head text-big">{m.flake_of({ points: number(fold.flake.points, 0) })}</b>
  </p>
  <p class="sr-only">{m.flake_guess()}</p>
  <div class="flex h-4 overflow-hidden rounded-full bg-line" aria-hidden="true">
    {#each fold.flake.terms as term, i (term.term)}
      <span
        class="h-full border-e-2 border-white"
        style:width="{term.points}%"
        style:background={["var(--color-flake-1)", "var(--color-flake-2)", "var(--color-flake-3)", "var(--color-flake-4)"][i]}
      ></span>
    {/each}
  </div>
  <ul class="mt-1 flex flex-wrap gap-x-3 text-fine text-mute">
    {#each fold.flake.terms as term, i (term.term)}
      <li class="flex items-center gap-1">
        <span
          class="size-2.5 rounded-sm border border-crust/40"
          style:background={["var(--color-flake-1)", "var(--color-flake-2)", "var(--color-flake-3)", "var(--color-flake-4)"][i]}
        ></span>
        {flakeTerm[term.term]()}
        {m.of({ part: number(term.points, 0), whole: term.most })}
      </li>
    {/each}
  </ul>
</div>
<div class="mt-2"><FatBar fat={sheet.pan.fat} /></div>
