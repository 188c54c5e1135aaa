<script lang="ts" generics="T extends string">
  import { ToggleGroup } from "bits-ui";
  import Tick from "@lucide/svelte/icons/check";

  /** Any of several, each on or off by itself. What is on carries a tick: colour alone says nothing. */
  interface Props {
    label: string;
    value: T[];
    options: readonly { value: T; label: string; disabled?: boolean }[];
    /** In one line that scrolls, where there is little width. */
    oneLine?: boolean;
    onchange: (value: T[]) => void;
  }
  let { label, value, options, oneLine = false, onchange }: Props = $props();
</script>

<ToggleGroup.Root
  type="multiple"
  {value}
  aria-label={label}
  class="flex gap-1.5 {oneLine ? 'max-lg:overflow-x-auto max-lg:pb-1 lg:flex-wrap' : 'flex-wrap'}"
  onValueChange={(v) => onchange(v as T[])}
>
  {#each options as option (option.value)}
    <ToggleGroup.Item
      value={option.value}
      disabled={option.disabled}
      class="inline-flex min-h-target shrink-0 items-center gap-1 rounded-field border-2 border-rim-soft bg-white px-2.5 text-small font-medium disabled:opacity-45 data-[state=on]:border-rim data-[state=on]:font-semibold data-[state=on]:text-rim"
    >
      {#if value.includes(option.value)}<Tick size={15} strokeWidth={3} aria-hidden="true" />{/if}
      {option.label}
    </ToggleGroup.Item>
  {/each}
</ToggleGroup.Root>
