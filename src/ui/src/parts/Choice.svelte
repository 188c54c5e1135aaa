<script lang="ts" generics="T extends string">
  import { batch } from "../bench/bench.svelte";
  import Segments from "./Segments.svelte";

  /** One of a few that changes the batch. */
  interface Props {
    label: string;
    value: T;
    options: { value: T; label: string }[];
    onchange: (value: T) => void;
  }
  let { label, value, options, onchange }: Props = $props();
</script>

<Segments {label} {value} {options} onchange={(v) => batch.change(() => onchange(v))} />
