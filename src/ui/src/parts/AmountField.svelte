<script lang="ts">
  import { Typed } from "./typed.svelte";
  import TypedInput from "./TypedInput.svelte";

  /** A mass in a table, in any words a cook types: 250 g, 1½ cups scooped, 3 tbsp, a glass. A bare number is in the kitchen's own unit. */
  interface Props {
    label: string;
    /** What it is a mass of: a cup of it weighs by its density. */
    item: string;
    /** In grams. */
    value?: number;
    /** What stands there while nobody types. */
    shown: string;
    class?: string;
    /** @param packing how tight a powder was taken to lie in a vessel nobody has said the filling of; nothing else */
    onread: (grams: number, packing?: number) => void;
  }
  let { label, item, value, shown, class: look = "", onread }: Props = $props();
  const id = $props.id();
  const limit = { field: "", least: 0, most: 500_000, unit: "g" };
  const typed = new Typed(() => ({
    value,
    limit,
    unit: "g",
    of: item,
    shown,
    passes: true,
    set: (grams, packing) => grams !== null && onread(grams, packing),
  }));
</script>

<span class="relative block">
  <TypedInput
    {typed}
    {id}
    class="w-full min-w-0 rounded-md bg-transparent min-h-11 px-1 text-end hover:bg-white focus:bg-white {look}"
    aria-label={label}
  />
  {#if typed.problem}<span id="{id}-problem" class="refusal absolute end-0 top-full z-10 w-56 rounded-md bg-enamel px-1 text-start shadow"
      >{typed.problem}</span
    >{/if}
</span>
