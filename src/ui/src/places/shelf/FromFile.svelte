<script lang="ts">
  import FileButton from "../../files/FileButton.svelte";
  import TakeFile from "../../files/TakeFile.svelte";
  import { m } from "../../paraglide/messages";
  import RecipeDialog from "./RecipeDialog.svelte";

  /** A bread out of a file: one of Ystrata's own, or a recipe from anywhere. */
  // A kitchen's file says what it is in its first words.
  const HEAD_BYTES = 4096;
  let own = $state.raw<File | null>(null);
  let recipe = $state.raw<File | null>(null);

  async function choose(file: File) {
    const head = await file.slice(0, HEAD_BYTES).text();
    if (/"format"\s*:\s*"ystrata-kitchen"/.test(head)) own = file;
    else recipe = file;
  }
</script>

<FileButton label={m.from_file()} accept=".json,.jsonld,.html,.htm,application/json,application/ld+json,text/html" onfile={choose} />

{#if own}{#key own}<TakeFile file={own} onclose={() => (own = null)} />{/key}{/if}
{#if recipe}{#key recipe}<RecipeDialog file={recipe} onclose={() => (recipe = null)} />{/key}{/if}
