<script lang="ts" generics="T extends string">
  import { RadioGroup } from "bits-ui";

  /** One of a few, side by side. */
  interface Props {
    label: string;
    value: T;
    options: { value: T; label: string }[];
    /** In as many rows as it needs, where there is little width. */
    wrap?: boolean;
    onchange: (value: T) => void;
  }
  let { label, value, options, wrap = false, onchange }: Props = $props();
  const id = $props.id();
</script>

<div class="min-w-0">
  <span {id} class="mb-1 block leading-tight">{label}</span>
  <RadioGroup.Root
    {value}
    orientation="horizontal"
    aria-labelledby={id}
    class="{wrap ? 'flex flex-wrap' : 'flex'} rounded-xl border-2 border-rim-soft bg-white p-0.5"
    onValueChange={(v) => onchange(v as T)}
  >
    {#each options as option (option.value)}
      <RadioGroup.Item
        value={option.value}
        class="min-h-11 flex-1 rounded-[9px] px-2 text-[14px] leading-tight font-medium data-[state=checked]:bg-rim data-[state=checked]:font-semibold data-[state=checked]:text-white"
      >
        {option.label}
      </RadioGroup.Item>
    {/each}
  </RadioGroup.Root>
</div>
