<script lang="ts" generics="T extends string">
  import { RadioGroup } from "bits-ui";

  /** One of a few, side by side. */
  interface Props {
    label: string;
    value: T;
    options: readonly { value: T; label: string }[];
    /** The label is for those who cannot see what stands beside it. */
    bare?: boolean;
    disabled?: boolean;
    onchange: (value: T) => void;
  }
  let { label, value, options, bare = false, disabled = false, onchange }: Props = $props();
  const id = $props.id();
</script>

<div class="min-w-0">
  <span {id} class={bare ? "sr-only" : "mb-1 block leading-tight"}>{label}</span>
  <RadioGroup.Root
    {value}
    {disabled}
    orientation="horizontal"
    aria-labelledby={id}
    class="flex flex-wrap rounded-button border-2 border-rim-soft bg-white p-0.5"
    onValueChange={(v) => onchange(v as T)}
  >
    {#each options as option (option.value)}
      <RadioGroup.Item
        value={option.value}
        class="min-h-target flex-1 rounded-inner px-2 text-small leading-tight font-medium data-[state=checked]:bg-rim data-[state=checked]:font-semibold data-[state=checked]:text-white"
      >
        {option.label}
      </RadioGroup.Item>
    {/each}
  </RadioGroup.Root>
</div>
