<script lang="ts">
  import { parseNumber } from "../words/format";
  import { viewOf } from "../words/units";
  import { Wording } from "./amounts.svelte";

  /** An amount in any words a cook types: 250 g, 1½ cups scooped, 3 tbsp, a glass. A bare number is in the kitchen's own unit. */
  interface Props {
    label: string;
    /** What it is an amount of: a cup of it weighs by its density. */
    item: string;
    /** What stands there while nobody types. */
    shown: string;
    class?: string;
    /** How tight a powder was taken to lie in a vessel nobody has said the filling of; nothing else. */
    onread: (grams: number, packing?: number) => void;
  }
  let { label, item, shown, class: look = "", onread }: Props = $props();
  const id = $props.id();
  let typed = $state<string | null>(null);
  const wording = new Wording();
  const problem = $derived(wording.problem);

  function type(text: string) {
    typed = text;
    const bare = parseNumber(text);
    if (bare === null || bare < 0) return void wording.read(text, item, onread);
    wording.forget();
    onread(viewOf("g").from(bare));
  }

  function leave() {
    // What could not be read stays, with the reason; what was read now stands as everything else does.
    if (!problem) typed = null;
  }
</script>

<span class="relative block">
  <input
    class="w-full min-w-0 rounded-md bg-transparent px-1 py-1.5 text-end hover:bg-white focus:bg-white {look}"
    class:text-chilli={problem}
    autocomplete="off"
    maxlength="60"
    aria-label={label}
    value={typed ?? shown}
    aria-invalid={problem ? "true" : undefined}
    aria-describedby={problem ? id : undefined}
    oninput={(e) => type(e.currentTarget.value)}
    onfocus={(e) => e.currentTarget.select()}
    onblur={leave}
  />
  {#if problem}<span {id} class="refusal absolute end-0 top-full z-10 w-56 rounded-md bg-enamel px-1 text-start shadow">{problem}</span
    >{/if}
</span>
