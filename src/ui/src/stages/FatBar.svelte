<script lang="ts">
  import type { BatchSheet } from "../api/types";
  import { m } from "../paraglide/messages";
  import { amount } from "../words/format";

  /** Where the fat of one piece is: between the leaves, on the pan, in the dough. */
  let { fat }: { fat: BatchSheet["pan"]["fat"] } = $props();
  const parts = $derived([
    { name: m.fat_inside(), mass: fat.inside, tint: "var(--color-ghee)" },
    { name: m.fat_pan(), mass: fat.pan, tint: "var(--color-crust)" },
    { name: m.fat_dough(), mass: fat.dough, tint: "var(--color-dough-deep)" },
  ]);
</script>

<section aria-label={m.fat_in_a_piece()}>
  <div class="mb-1.5 flex flex-wrap items-baseline gap-x-4 text-small">
    <h2 class="text-body font-bold">{m.fat_in_a_piece()}</h2>
    {#each parts as part (part.name)}
      <span class="flex items-center gap-1.5"
        ><i class="size-3 rounded-sm" style:background={part.tint}></i>{part.name} <b>{amount(part.mass, "g")}</b></span
      >
    {/each}
  </div>
  <div class="flex h-4 overflow-hidden rounded-full bg-line">
    {#each parts as part (part.name)}<span
        class="transition-[flex-grow] duration-150"
        style:flex-grow={part.mass}
        style:background={part.tint}
      ></span>{/each}
  </div>
</section>
