<script lang="ts">
  import ClipboardPaste from "@lucide/svelte/icons/clipboard-paste";
  import FileButton from "../../files/FileButton.svelte";
  import { m } from "../../paraglide/messages";

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

{#if own}
  {@const file = own}
  {#await import("../../files/TakeFile.svelte") then { default: TakeFile }}
    {#key file}<TakeFile {file} onclose={() => (own = null)} />{/key}
  {/await}
{/if}
{#if recipe || pasting}
  {@const file = recipe}
  {#await import("./RecipeDialog.svelte") then { default: RecipeDialog }}
    {#key file}<RecipeDialog {...file && { file }} onclose={() => ((recipe = null), (pasting = false))} />{/key}
  {/await}
{/if}
