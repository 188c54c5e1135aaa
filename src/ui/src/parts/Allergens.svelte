<script lang="ts">
  import type { Allergen } from "../api/types";
  import { m } from "../paraglide/messages";
  import { allergenName, shortName } from "../words/names/items";
  import { listed } from "../words/format";

  /** What a bread contains that must be declared, and what nobody has declared. */
  let { allergens, undeclared }: { allergens: readonly Allergen[]; undeclared: readonly string[] } = $props();
</script>

{#if allergens.length || undeclared.length}
  <p data-testid="allergens">
    {#if allergens.length}<b>{m.allergens()}: {listed(allergens.map((a) => allergenName[a]()))}.</b>{/if}
    {#if undeclared.length}<b>{m.not_declared({ items: listed(undeclared.map(shortName)) })}</b>{/if}
  </p>
{/if}
