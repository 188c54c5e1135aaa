<script lang="ts">
  import { batch } from "../../bench/bench.svelte";
  import { placeOf } from "../../words/fields";
  import { say } from "../../words/refusals";

  /** What stands in the way and is said by no field in sight. */
  let { besides }: { besides: string } = $props();
  // A pick has no room for words of its own.
  const picked = /\.(id|salt|fat|sugar|binder|item)$/;
  const inSight = (field: string) =>
    field === besides || (field.startsWith(`${besides}.`) && !field.slice(besides.length).includes("[") && !picked.test(field));
  const astray = $derived(batch.refusals.filter((r) => r.field.startsWith("filling.") && !inSight(r.field)));
</script>

{#each astray as r (r.field + r.code)}<p class="refusal" data-testid="filling-astray">{placeOf(r.field)}: {say(r)}</p>{/each}
