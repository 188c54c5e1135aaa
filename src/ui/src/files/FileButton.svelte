<script lang="ts">
  import FileUp from "@lucide/svelte/icons/file-up";

  /** A button that takes a file; the same one can be taken again. */
  interface Props {
    label: string;
    accept: string;
    plain?: boolean;
    disabled?: boolean;
    onfile: (file: File) => void | Promise<void>;
  }
  let { label, accept, plain = false, disabled = false, onfile }: Props = $props();

  function choose(event: Event & { currentTarget: HTMLInputElement }) {
    const file = event.currentTarget.files?.[0];
    if (file) void onfile(file);
    event.currentTarget.value = "";
  }
</script>

<label class="button focus-within:outline-3 focus-within:outline-offset-2 focus-within:outline-rim {plain ? 'plain' : ''}"
  >{#if !plain}<FileUp size={18} aria-hidden="true" />{/if}{label}<input
    class="sr-only"
    type="file"
    {accept}
    {disabled}
    onchange={choose}
  /></label
>
