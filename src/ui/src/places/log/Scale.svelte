<script lang="ts">
  import { ToggleGroup } from "bits-ui";

  /** Five words from poor to right; pressing the chosen one again takes the judgement back. */
  let { label, words, value = $bindable() }: { label: string; words: string[]; value: number | null } = $props();
</script>

<div class="grid grid-cols-[64px_minmax(0,1fr)] items-center gap-2">
  <span aria-hidden="true">{label}</span>
  <ToggleGroup.Root
    type="single"
    value={value == null ? "" : String(value)}
    onValueChange={(v) => (value = v === "" ? null : Number(v))}
    aria-label={label}
    class="flex gap-1"
  >
    {#each words as word, i (i)}
      <ToggleGroup.Item
        value={String(i + 1)}
        class="min-h-11 min-w-0 flex-1 rounded-lg border-2 border-rim-soft bg-white px-1 text-fine leading-tight font-medium data-[state=on]:border-rim data-[state=on]:bg-rim data-[state=on]:font-semibold data-[state=on]:text-white"
      >
        {word}
      </ToggleGroup.Item>
    {/each}
  </ToggleGroup.Root>
</div>
