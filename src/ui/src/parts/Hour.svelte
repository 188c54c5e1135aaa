<script lang="ts">
  import type { Time } from "@internationalized/date";
  import { TimeField } from "bits-ui";
  import { locale } from "../words/locale";
  import { partName } from "../words/names/moments";

  /** An hour of the day, in the hours of the locale: 18:30, or 6:30 pm. */
  interface Props {
    label: string;
    value: Time;
    onchange: (hour: Time) => void;
  }
  let { label, value, onchange }: Props = $props();
</script>

<TimeField.Root
  {locale}
  bind:value={
    () => value,
    (hour) => {
      // While a part of it is being typed there is no hour.
      if (hour && hour.compare(value) !== 0) onchange(hour as Time);
    }
  }
>
  <TimeField.Label class="sr-only">{label}</TimeField.Label>
  <TimeField.Input dir="ltr" class="field flex w-fit items-center" aria-label={label}>
    {#snippet children({ segments })}
      {#each segments as { part, value }, i (part + i)}
        {#if part === "literal"}<span class="text-mute" aria-hidden="true">{value}</span>
        {:else}<TimeField.Segment {part}
            >{#snippet child({ props })}<!-- The library says its parts in English. --><span
                {...props}
                aria-label={partName[part]?.()}
                aria-describedby={undefined}
                class="rounded px-0.5 py-1 focus:bg-rim focus:text-white focus:outline-none">{value}</span
              >{/snippet}</TimeField.Segment
          >{/if}
      {/each}
    {/snippet}
  </TimeField.Input>
</TimeField.Root>
