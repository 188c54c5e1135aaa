<script lang="ts">
  import type { Refusal } from "../api/types";
  import { m } from "../paraglide/messages";
  import { say } from "../words/refusals";

  /** A name in a form, with what is wrong with it under it. */
  interface Props {
    label: string;
    value: string;
    /** Letters it takes. */
    most: number;
    refusal?: Refusal | undefined;
    class?: string;
  }
  let { label, value = $bindable(), most, refusal, class: look = "" }: Props = $props();
  const id = $props.id();
</script>

<div class="min-w-0">
  <label class="block text-small leading-tight text-mute" for={id}>{label}</label>
  <input
    {id}
    class="field w-full {look}"
    maxlength={most}
    bind:value
    aria-invalid={refusal ? "true" : undefined}
    aria-describedby={refusal ? `${id}-problem` : undefined}
  />
  {#if refusal}<p id="{id}-problem" class="refusal">{refusal.code === "missing" ? m.refuse_name() : say(refusal)}</p>{/if}
</div>
