<script lang="ts" generics="T extends string">
  import { Select } from "bits-ui";
  import Check from "@lucide/svelte/icons/check";
  import ChevronDown from "@lucide/svelte/icons/chevron-down";

  /** One of a list that opens. */
  interface Props {
    label: string;
    value: T;
    options: readonly { value: T; label: string }[];
    /** The label is for those who cannot see what stands beside it. */
    bare?: boolean;
    /** Its label is as small as a figure's in a form. */
    quiet?: boolean;
    class?: string;
    onchange: (value: T) => void;
  }
  let { label, value, options, bare = false, quiet = false, class: look = "w-full", onchange }: Props = $props();
  const id = $props.id();
  let open = $state(false);
  // The library takes an empty value for none.
  const key = (value: T) => `=${value}`;
  const shown = $derived(options.find((o) => o.value === value)?.label ?? "");
</script>

<div class="min-w-0 {look}">
  {#if !bare}<span class={quiet ? "block text-small leading-tight text-mute" : "mb-1 block leading-tight"} aria-hidden="true">{label}</span
    >{/if}
  <Select.Root
    type="single"
    bind:open
    value={key(value)}
    items={options.map((o) => ({ value: key(o.value), label: o.label }))}
    onValueChange={(v) => onchange(v.slice(1) as T)}
  >
    <Select.Trigger
      role="combobox"
      aria-label={label}
      aria-expanded={open}
      aria-controls={open ? `${id}-list` : undefined}
      class="field flex w-full min-w-0 items-center justify-between gap-2 text-start"
    >
      <span class="min-w-0 truncate">{shown}</span>
      <ChevronDown size={16} class="shrink-0 text-mute" aria-hidden="true" />
    </Select.Trigger>
    <Select.Portal>
      <Select.Content
        id="{id}-list"
        class="sheet max-h-(--bits-select-content-available-height) min-w-(--bits-select-anchor-width) overflow-y-auto"
        sideOffset={4}
        aria-label={label}
      >
        {#each options as option (option.value)}
          <Select.Item
            value={key(option.value)}
            label={option.label}
            class="flex min-h-target items-center justify-between gap-3 rounded-inner px-3 leading-tight data-highlighted:bg-steel data-selected:font-bold data-selected:text-rim"
          >
            {option.label}
            {#if option.value === value}<Check size={17} class="shrink-0 text-rim" aria-hidden="true" />{/if}
          </Select.Item>
        {/each}
      </Select.Content>
    </Select.Portal>
  </Select.Root>
</div>
