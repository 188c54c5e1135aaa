<script lang="ts" generics="T extends { kind: string }">
  import type { Snippet } from "svelte";
  import { m } from "../../paraglide/messages";
  import { sorted } from "../../parts/sorted";
  import Toggle from "../../parts/Toggle.svelte";
  import type { Ladder } from "./ladder.svelte";

  /** The steps of a ladder as tiles in a row: pressed they open, dragged or by keys they move. */
  interface Props {
    ladder: Ladder<T>;
    steps: T[];
    /** The one that is open. */
    open: number | null;
    onopen: (at: number) => void;
    /** How wide a tile is. */
    wide: string;
    label?: string;
    tile: Snippet<[T, number]>;
    /** What stands before the steps and after them. */
    first?: Snippet;
    last?: Snippet;
  }
  let { ladder, steps, open, onopen, wide, label, tile, first, last }: Props = $props();
  const id = $props.id();
</script>

<ol class="flex flex-wrap gap-x-1.5 gap-y-2" aria-label={label} {@attach sorted((from, to) => ladder.move(from, to))}>
  {@render first?.()}
  {#each steps as step, i (i)}
    <li class={wide} data-sorted>
      <Toggle
        class="tile"
        data-step="{ladder.path}{i}"
        data-kind={step.kind}
        pressed={open === i}
        aria-describedby="{id}-keys"
        onpress={() => onopen(i)}
        onkeydown={(e) => ladder.keys(e, i)}>{@render tile(step, i)}</Toggle
      >
    </li>
  {/each}
  {@render last?.()}
</ol>
<p id="{id}-keys" class="sr-only">{m.fold_keys()}</p>
