<script lang="ts">
  import FileUp from "@lucide/svelte/icons/file-up";
  import TakeFile from "../../files/TakeFile.svelte";
  import { m } from "../../paraglide/messages";
  import RecipeDialog from "./RecipeDialog.svelte";

  /** A bread out of a file: one of Ystrata's own, or a recipe from anywhere. */
  let { ontaken }: { ontaken: () => Promise<void> } = $props();
  // A kitchen's file says what it is in its first words.
  const HEAD_BYTES = 4096;
  let own = $state.raw<File | null>(null);
  let recipe = $state.raw<File | null>(null);

  async function choose(event: Event & { currentTarget: HTMLInputElement }) {
    const input = event.currentTarget;
    const file = input.files?.[0];
    input.value = "";
    if (!file) return;
    const head = await file.slice(0, HEAD_BYTES).text();
    if (/"format"\s*:\s*"ystrata-kitchen"/.test(head)) own = file;
    else recipe = file;
  }
</script>

<label class="button focus-within:outline-3 focus-within:outline-offset-2 focus-within:outline-rim"
  ><FileUp size={18} aria-hidden="true" />{m.from_file()}<input
    class="sr-only"
    type="file"
    accept=".json,.jsonld,.html,.htm,application/json,application/ld+json,text/html"
    onchange={choose}
  /></label
>

{#if own}{#key own}<TakeFile file={own} onclose={() => (own = null)} {ontaken} />{/key}{/if}
{#if recipe}{#key recipe}<RecipeDialog file={recipe} onclose={() => (recipe = null)} {ontaken} />{/key}{/if}
