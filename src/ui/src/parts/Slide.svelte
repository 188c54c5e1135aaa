<script lang="ts">
  import { Slider } from "bits-ui";

  /** A figure on a groove, with the stretch of it that is good; in the direction of the page. */
  interface Props {
    label: string;
    value: number;
    least: number;
    most: number;
    step: number;
    good?: { least: number; most: number } | undefined;
    /** How the figure is said. */
    said?: string;
    class?: string;
    onchange: (value: number) => void;
  }
  let { label, value, least, most, step, good, said, class: look = "w-full", onchange }: Props = $props();
  const at = (v: number) => `${(100 * Math.min(Math.max((v - least) / (most - least), 0), 1)).toFixed(2)}%`;
</script>

<Slider.Root
  type="single"
  class="relative flex h-target touch-pan-y items-center {look}"
  {value}
  min={least}
  max={most}
  {step}
  dir={document.dir === "rtl" ? "rtl" : "ltr"}
  onValueChange={(v) => {
    if (Math.abs(v - value) > step / 100) onchange(v);
  }}
>
  {#snippet children({ thumbItems })}
    <span class="relative h-3 w-full overflow-hidden rounded-full bg-line">
      {#if good}<span
          class="absolute inset-y-0 bg-leaf-soft"
          style:inset-inline-start={at(good.least)}
          style:inset-inline-end={`calc(100% - ${at(good.most)})`}
        ></span>{/if}
    </span>
    {#each thumbItems as { index } (index)}
      <Slider.Thumb {index} class="block size-6 rounded-full border-3 border-rim bg-white" aria-label={label} aria-valuetext={said} />
    {/each}
  {/snippet}
</Slider.Root>
