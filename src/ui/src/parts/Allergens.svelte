<script lang="ts">
  import type { Allergen } from "../api/types";
  import { m } from "../paraglide/messages";
  import { allergenName, shortName } from "../words/names/items";

  /** What a bread contains that must be declared, and what nobody has declared. */
  let { allergens, undeclared }: { allergens: readonly Allergen[]; undeclared: readonly string[] } = $props();
</script>

{#if allergens.length || undeclared.length}
  <p data-testid="allergens">
    {#if allergens.length}<b>{m.allergens()}: {allergens.map((a) => allergenName[a]()).join(", ")}.</b>{/if}
    {#if undeclared.length}<b>{m.not_declared({ items: undeclared.map(shortName).join(", ") })}</b>{/if}
  </p>
{/if}
