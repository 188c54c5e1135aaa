<script lang="ts">
  import { Checkbox } from "bits-ui";
  import Tick from "@lucide/svelte/icons/check";

  /** Yes or no, with its words; `bare`: the words are for those who cannot see what stands beside it. */
  interface Props {
    label: string;
    checked: boolean;
    bare?: boolean;
    disabled?: boolean;
    onchange?: (checked: boolean) => void;
  }
  let { label, checked = $bindable(), bare = false, disabled = false, onchange }: Props = $props();
  const id = $props.id();
</script>

<span class="inline-flex min-h-target min-w-target items-center gap-2.5 {bare ? 'justify-center' : ''}">
  <Checkbox.Root
    {id}
    bind:checked
    {disabled}
    aria-label={bare ? label : undefined}
    onCheckedChange={(now) => onchange?.(now)}
    class="relative grid size-6 shrink-0 place-items-center rounded-md border-2 border-rim bg-white text-white before:absolute before:-inset-3 before:content-[''] disabled:opacity-45 data-[state=checked]:bg-rim"
  >
    {#snippet children({ checked })}{#if checked}<Tick size={18} strokeWidth={3} aria-hidden="true" />{/if}{/snippet}
  </Checkbox.Root>
  {#if !bare}<label for={id} class="cursor-pointer content-center self-stretch">{label}</label>{/if}
</span>
