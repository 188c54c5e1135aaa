<script lang="ts">
  import { Meter } from "bits-ui";

  /** A straight scale with named stretches and a pointer: where a figure lies against what is good. */
  interface Zone {
    to: number;
    label: string;
    good?: boolean;
    bad?: boolean;
  }
  interface Props {
    label: string;
    value: number;
    from: number;
    zones: Zone[];
    said: string;
  }
  let { label, value, from, zones, said }: Props = $props();
  const end = $derived(zones.at(-1)?.to ?? 1);
  const share = (v: number) => (100 * Math.min(Math.max(v - from, 0), end - from)) / (end - from);
  const starts = $derived([from, ...zones.map((z) => z.to)]);
</script>

<Meter.Root
  class="block min-w-0"
  value={Math.min(Math.max(value, from), end)}
  min={from}
  max={end}
  aria-label={label}
  aria-valuetext={said}
>
  <div class="mb-1 flex items-baseline justify-between gap-2">
    <span class="leading-tight">{label}</span><b class="text-lead whitespace-nowrap">{said}</b>
  </div>
  <div class="relative pt-3">
    <svg
      class="absolute top-0 -ms-1.75 transition-[inset-inline-start] duration-150"
      style:inset-inline-start="{share(value)}%"
      width="14"
      height="12"
      viewBox="0 0 14 12"><path d="M0 0h14L7 12z" fill="var(--color-ink)" /></svg
    >
    <div class="flex h-4.5 gap-0.5 overflow-hidden rounded-md">
      {#each zones as zone, i (i)}
        <span
          class="grid place-items-center overflow-hidden text-fine leading-none {zone.good
            ? 'bg-leaf-soft'
            : zone.bad
              ? 'bg-chilli-soft'
              : 'bg-line'}"
          style:width="{share(zone.to) - share(starts[i] ?? from)}%">{zone.label}</span
        >
      {/each}
    </div>
  </div>
</Meter.Root>
