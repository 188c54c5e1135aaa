<script lang="ts">
  import type { BatchSpec } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Dialog from "../../parts/Dialog.svelte";
  import DialogClose from "../../parts/DialogClose.svelte";
  import Beginning from "./Beginning.svelte";

  let { onbegin, onclose }: { onbegin: (name: string, spec: BatchSpec) => void; onclose: () => void } = $props();
</script>

<Dialog open title={m.what_to_make()} wide="whole" {onclose}>
  <Beginning
    onbegin={(name, spec) => {
      onclose();
      onbegin(name, spec);
    }}
  />
  <DialogClose class="button mt-1 w-full" />
</Dialog>
