<script lang="ts">
  import { Select } from "bits-ui";
  import ChevronDown from "@lucide/svelte/icons/chevron-down";
  import { larder } from "../api/larder.svelte";
  import { batch } from "../batch.svelte";
  import { shortName } from "../words/names";

  interface Props {
    label: string;
    /** Path in the spec; what it takes comes from the core. */
    field: string;
    value: string;
    onchange: (id: string) => void;
    /** Shown in the label's place when the pick stands in a line of its own. */
    bare?: boolean;
    /** Words instead of the picked name, for a pick that adds. */
    prompt?: string;
    /** Ids that are taken already. */
    except?: string[];
  }
  let { label, field, value, onchange, bare = false, prompt, except = [] }: Props = $props();
  const items = $derived(
    larder
      .choices(field)
      .filter((i) => i.id === value || !except.includes(i.id))
      .map((i) => ({ value: i.id, label: i.name })),
  );
</script>

<div class="min-w-0">
  {#if !bare}<span class="mb-1 block leading-tight" aria-hidden="true">{label}</span>{/if}
  <Select.Root type="single" {value} {items} onValueChange={(v) => v && batch.change(() => onchange(v))}>
    <Select.Trigger
      aria-label={prompt ?? `${label}: ${shortName(value)}`}
      class="field flex w-full min-w-0 items-center justify-between gap-2 text-start {bare
        ? '!border-transparent !bg-transparent !px-0'
        : ''}"
    >
      <span class={prompt ? "font-semibold text-rim" : "line-clamp-2 min-w-0 leading-tight"}>{prompt ?? shortName(value)}</span>
      <ChevronDown size={16} class="shrink-0 text-mute" aria-hidden="true" />
    </Select.Trigger>
    <Select.Portal to="main">
      <Select.Content class="tray z-50 max-h-80 w-72 overflow-y-auto !rounded-xl p-1 shadow-lg" sideOffset={4}>
        {#each items as item (item.value)}
          <Select.Item
            value={item.value}
            label={item.label}
            class="flex min-h-11 items-center rounded-lg px-3 py-1 leading-tight data-[highlighted]:bg-steel data-[selected]:font-bold data-[selected]:text-rim"
          >
            {item.label}
          </Select.Item>
        {/each}
      </Select.Content>
    </Select.Portal>
  </Select.Root>
</div>
