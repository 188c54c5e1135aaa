<script lang="ts">
  import { Dialog } from "bits-ui";
  import { m } from "../paraglide/messages";

  /** The button that closes the dialog it stands in. */
  let { class: look = "button", words = m.close() }: { class?: string; words?: string } = $props();
</script>

<Dialog.Close class={look}>{words}</Dialog.Close>
