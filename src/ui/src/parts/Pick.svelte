<script lang="ts">
  import { larder } from "../api/larder.svelte";
  import { batch } from "../bench/bench.svelte";
  import { m } from "../paraglide/messages";
  import { shortName } from "../words/names/items";
  import Combobox from "./Combobox.svelte";

  /** Something of the larder that goes in a place of the batch. */
  interface Props {
    label: string;
    /** Path in the spec; what it takes comes from the core. */
    field: string;
    value: string;
    /** How the spec changes with it. */
    onchange?: (id: string) => void;
    /** In the place of `onchange`, where what follows goes by the sheet. */
    onpick?: (id: string) => void;
    bare?: boolean;
    prompt?: string;
    /** Ids that are taken already. */
    except?: string[];
    /** What stands small beside a choice. */
    hint?: ((id: string) => string) | undefined;
  }
  let { label, field, value, onchange, onpick, bare = false, prompt, except = [], hint }: Props = $props();
  // Worked out for the one that is open: a larder can hold thousands.
  let asked = $state(false);
  const options = $derived(
    asked
      ? larder
          .choices(field)
          .filter((i) => i.id === value || !except.includes(i.id))
          .map((i) => ({ value: i.id, label: i.name, hint: hint?.(i.id) ?? "" }))
      : [],
  );
</script>

<Combobox
  {label}
  {value}
  {options}
  shown={shortName(value)}
  {bare}
  {prompt}
  none={(find) => m.none_in_larder({ find })}
  onopen={() => (asked = true)}
  onchange={(id) => (onpick ? onpick(id) : batch.change(() => onchange?.(id)))}
/>
