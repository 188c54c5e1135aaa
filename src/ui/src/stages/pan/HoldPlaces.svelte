<script lang="ts">
  import { RadioGroup } from "bits-ui";
  import type { BatchSpec, HoldIn, HoldSheet, HoldWant } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import { amount, listed } from "../../words/format";
  import { holdName, holdWantName } from "../../words/names/pan";

  /** Where it can wait, and how long it stays hot, crisp and soft there, against the minutes to the table. */
  interface Props {
    spec: BatchSpec;
    hold: HoldSheet;
    /** False where nothing cooks it: then there is nothing to hold. */
    known: boolean;
  }
  let { spec, hold, known }: Props = $props();
  const id = $props.id();
  const longest = 360;
  const ticks = [10, 60, 240];
  const minutes = $derived(spec.pan.holdFor ?? hold.for);
  // Minutes count for more the fewer they are.
  const at = (time: number) => `${(100 * Math.sqrt(Math.min(time, longest) / longest)).toFixed(2)}%`;
  const looks: [HoldWant, string][] = [
    ["crisp", "bg-crust"],
    ["hot", "bg-chilli"],
    ["soft", "bg-leaf"],
  ];
  const wants = $derived(spec.pan.wants ?? "soft");
  const said = (place: HoldSheet["here"]) => listed(looks.map(([want]) => `${holdWantName[want]()} ${amount(place[want], "min")}`));
</script>

<div class="min-w-0" data-testid="hold-places">
  <span {id} class="mb-1 block leading-tight">{m.hold()}</span>
  <RadioGroup.Root
    value={spec.pan.hold ?? "cloth"}
    aria-labelledby={id}
    class="relative grid gap-1.5"
    onValueChange={(v) => batch.change(() => (spec.pan.hold = v as HoldIn))}
  >
    {#each hold.places as place (place.in)}
      <RadioGroup.Item
        value={place.in}
        aria-label={[holdName[place.in](), known ? said(place) : ""].filter(Boolean).join(": ")}
        class="grid grid-cols-[84px_minmax(0,1fr)] items-center gap-2 rounded-xl border-2 border-line bg-white px-2 py-1 text-start data-[state=checked]:border-rim data-[state=checked]:bg-rim-soft/30"
      >
        <span class="text-body leading-tight font-semibold">{holdName[place.in]()}</span>
        {#if known}
          <span class="relative block py-0.5">
            <span
              class="absolute inset-y-0 w-0 border-s-2 border-dashed border-ink"
              style:inset-inline-start="calc((100% - 96px) * {parseFloat(at(minutes)) / 100})"
            ></span>
            {#each looks as [want, look] (want)}
              <span class="flex items-center gap-1.5 {want === wants ? 'h-5' : 'h-3.75'}">
                <span
                  class="block shrink-0 rounded-e {look} {want === wants ? 'h-3.75' : 'h-1.75 opacity-70'} transition-[width] duration-150"
                  style:width="calc((100% - 96px) * {parseFloat(at(place[want])) / 100})"
                ></span>
                <!-- What runs behind it is not read through it. -->
                <span
                  class="relative rounded-xs bg-white px-0.5 text-fine leading-none whitespace-nowrap {want === wants
                    ? 'font-bold'
                    : 'text-mute'}">{holdWantName[want]()} {amount(place[want], "min")}</span
                >
              </span>
            {/each}
          </span>
        {/if}
      </RadioGroup.Item>
    {/each}
  </RadioGroup.Root>
  {#if known}
    <div class="grid grid-cols-[84px_minmax(0,1fr)] gap-2 px-2.5 text-fine text-mute" aria-hidden="true">
      <span></span>
      <span class="relative block h-5">
        {#each ticks as tick (tick)}
          <span
            class="absolute -translate-x-1/2 whitespace-nowrap rtl:translate-x-1/2"
            style:inset-inline-start="calc((100% - 96px) * {parseFloat(at(tick)) / 100})"
            >{tick < 60 ? amount(tick, "min") : m.lasts_h({ h: tick / 60 })}</span
          >
        {/each}
      </span>
    </div>
  {/if}
</div>
