<script lang="ts">
  import ClipboardPaste from "@lucide/svelte/icons/clipboard-paste";
  import FileButton from "../../files/FileButton.svelte";
  import TakeFile from "../../files/TakeFile.svelte";
  import { m } from "../../paraglide/messages";
  import RecipeDialog from "./RecipeDialog.svelte";

  /** A bread out of a file: one of Ystrata's own, or a recipe from anywhere, as a file or pasted from a message. */
  // A kitchen's file says what it is in its first words.
  const HEAD_BYTES = 4096;
  let own = $state.raw<File | null>(null);
  let recipe = $state.raw<File | null>(null);
  let pasting = $state(false);

  async function choose(file: File) {
    const head = await file.slice(0, HEAD_BYTES).text();
    if (/"format"\s*:\s*"ystrata-kitchen"/.test(head)) own = file;
    else recipe = file;
  }
</script>

<FileButton
  label={m.from_file()}
  accept=".json,.jsonld,.html,.htm,.txt,application/json,application/ld+json,text/html,text/plain"
  onfile={choose}
/>
<button class="button" onclick={() => (pasting = true)}><ClipboardPaste size={18} aria-hidden="true" />{m.recipe_paste()}</button>

{#if own}{#key own}<TakeFile file={own} onclose={() => (own = null)} />{/key}{/if}
{#if recipe}{#key recipe}<RecipeDialog file={recipe} onclose={() => (recipe = null)} />{/key}{/if}
{#if pasting}<RecipeDialog onclose={() => (pasting = false)} />{/if}
