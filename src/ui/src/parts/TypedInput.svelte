<script lang="ts">
  import type { HTMLInputAttributes } from "svelte/elements";
  import type { Typed } from "./typed.svelte";

  /** The field of a typed number. Its refusal stands beside it, by the id `{id}-problem`. */
  interface Props extends HTMLInputAttributes {
    typed: Typed;
    id: string;
  }
  let { typed, id, class: look, "aria-describedby": said, ...rest }: Props = $props();
</script>

<input
  {...rest}
  {id}
  class={[look, typed.problem && "text-chilli"]}
  inputmode="decimal"
  autocomplete="off"
  maxlength="60"
  value={typed.shown}
  aria-invalid={typed.problem ? "true" : undefined}
  aria-describedby={typed.problem ? `${id}-problem` : said}
  oninput={(e) => typed.type(e.currentTarget.value)}
  onkeydown={(e) => typed.keys(e)}
  onfocus={(e) => e.currentTarget.select()}
  onblur={() => typed.leave()}
/>
