<script lang="ts">
  import { number } from "../../words/format";

  /** The number of a bread or batch of the day: the same in the lanes, the doughs and the table. */
  let { of, name = "" }: { of: number; name?: string } = $props();
</script>

<span
  class="inline-grid h-[1.6em] min-w-[1.6em] place-items-center rounded-full border-2 border-ink bg-white px-1 text-center font-head text-fine leading-none font-bold"
  title={name || undefined}>{number(of + 1, 0)}</span
>
