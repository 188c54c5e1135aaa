<script lang="ts">
  import type { SchoolView } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Dialog from "../../parts/Dialog.svelte";
  import DialogClose from "../../parts/DialogClose.svelte";
  import Schools from "./Schools.svelte";

  let { onpick, onclose }: { onpick: (school: SchoolView) => void; onclose: () => void } = $props();
</script>

<Dialog open title={m.new_from()} wide="whole" {onclose}>
  <Schools
    onpick={(school) => {
      onclose();
      onpick(school);
    }}
  />
  <DialogClose class="button mt-1 w-full" />
</Dialog>
