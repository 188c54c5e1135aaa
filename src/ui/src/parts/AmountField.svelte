<script lang="ts">
  import { call, newest } from "../api/call";
  import { api } from "../api/client";
  import { larder } from "../api/larder.svelte";
  import type { AmountRead } from "../api/types";
  import { parseNumber } from "../words/format";
  import { m } from "../paraglide/messages";
  import { troubleWords } from "../words/trouble";
  import { viewOf } from "../words/units";

  /** An amount in any words a cook types: 250 g, 1½ cups scooped, 3 tbsp, a glass. A bare number is in the kitchen's own unit. */
  interface Props {
    label: string;
    /** What it is an amount of: a cup of it weighs by its density. */
    item: string;
    /** What stands there while nobody types. */
    shown: string;
    class?: string;
    onread: (grams: number) => void;
  }
  let { label, item, shown, class: look = "", onread }: Props = $props();
  const id = $props.id();
  let typed = $state<string | null>(null);
  let problem = $state("");
  const only = newest();

  const trouble: Record<AmountRead["trouble"], (word: string) => string> = {
    none: () => "",
    notRead: () => m.read_not(),
    unknownVessel: (word) => m.read_vessel({ word }),
    twoWays: () => m.read_two_ways(),
    outOfRange: () => m.read_range(),
  };

  async function type(text: string) {
    typed = text;
    const bare = parseNumber(text);
    if (bare !== null && bare >= 0) {
      // Nothing has to be asked, and no older answer counts.
      void only(Promise.resolve());
      problem = "";
      onread(viewOf("g").from(bare));
      return;
    }
    const body = { text, item, ounces: larder.view?.units.mass === "ounces" };
    const answer = await only(call(() => api.POST("/api/measure", { body })));
    // Only the newest words count.
    if (!answer) return;
    const { data } = answer;
    if (answer.trouble) problem = troubleWords(answer.trouble);
    if (!data) return;
    problem = trouble[data.trouble](data.word ?? "");
    if (data.mass != null) onread(data.mass);
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
    oninput={(e) => void type(e.currentTarget.value)}
    onfocus={(e) => e.currentTarget.select()}
    onblur={leave}
  />
  {#if problem}<span {id} class="refusal absolute end-0 top-full z-10 w-56 rounded-md bg-enamel px-1 text-start shadow">{problem}</span
    >{/if}
</span>
