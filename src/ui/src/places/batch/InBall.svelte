<script lang="ts">
  import type { BatchSheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { amount } from "../../words/format";
  import { shortName } from "../../words/names/items";

  /** What is in one ball, beside its picture: each thing as wide as it weighs. */
  interface Props {
    portions: BatchSheet["dough"]["portions"];
    mass: number;
    /** The room there is: for a bar alone, for its names, to show it large. */
    size: "bar" | "small" | "tall";
  }
  let { portions, mass, size }: Props = $props();
  const inIt = $derived(portions.filter((p) => p.inBall > 0).toSorted((a, b) => b.inBall - a.inBall));
</script>

<div class="min-w-0 flex-1" data-testid="in-ball">
  <div class="flex {size === 'tall' ? 'h-12' : 'h-5'} overflow-hidden rounded-full border-2 border-crust" aria-hidden="true">
    {#each inIt as p (p.part + p.index)}
      <span style:flex="{p.inBall} 1 0" style:background={p.hue} class="border-e border-shade last:border-0"></span>
    {/each}
  </div>
  <ul
    class="mt-1 flex flex-wrap gap-x-4 leading-snug {size === 'tall' ? 'mt-3 gap-y-1.5 text-lead' : 'text-small'} {size === 'bar'
      ? 'sr-only'
      : ''}"
    aria-label={m.in_a_ball({ mass: amount(mass, "g") })}
  >
    {#each inIt as p (p.part + p.index)}
      <li class="flex items-center gap-1.5">
        <span class="size-3 shrink-0 rounded-full border border-crust" style:background={p.hue} aria-hidden="true"></span>
        {shortName(p.id)} <b>{amount(p.inBall, "g")}</b>
      </li>
    {/each}
  </ul>
</div>
