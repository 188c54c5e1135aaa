<script lang="ts">
  import Minus from "@lucide/svelte/icons/minus";
  import Plus from "@lucide/svelte/icons/plus";
  import type { KitchenMeasure, PanSheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { amount, measured, number } from "../../words/format";
  import { shortName } from "../../words/names/items";
  import { darkName, faceName } from "../../words/names/pan";
  import { tintOf } from "../../section/tint";

  /** What is done at the pan, in order, to be read from the wall. */
  interface Props {
    pan: PanSheet;
    fat: string;
    /** The spoon that measures the fat of one side. */
    spoon?: KitchenMeasure | undefined;
    onnudge: (stay: number, by: number) => void;
  }
  let { pan, fat, spoon, onnudge }: Props = $props();
  const many = $derived(pan.program.turns.length > 5);
</script>

<ol class="flex gap-1.5 overflow-x-auto pb-1" aria-label={m.turns()}>
  {#each pan.program.turns as turn, i (i)}
    <li class="min-w-30 shrink-0 grow basis-0 overflow-hidden rounded-xl border-2 border-crust bg-white" data-testid="stay">
      <span class="block h-2.5" style:background={tintOf(turn.dark)}></span>
      <div class="px-2.5 pt-1 pb-1.5">
        <span class="block truncate text-fine leading-tight font-semibold">{m.stay_of({ number: i + 1, face: faceName[turn.face]() })}</span
        >
        <div class="flex flex-wrap items-center justify-between gap-x-1">
          <b class="leading-none {many ? 'text-huge' : 'text-dial'}" data-testid="turn"
            >{number(turn.time, 0)}<span class="text-lead">&nbsp;s</span></b
          >
          {#if !many}
            <span class="flex">
              <button class="button plain px-2.5" aria-label={m.stay_shorter({ number: i + 1 })} onclick={() => onnudge(i, -1)}
                ><Minus size={18} aria-hidden="true" /></button
              >
              <button class="button plain px-2.5" aria-label={m.stay_longer({ number: i + 1 })} onclick={() => onnudge(i, 1)}
                ><Plus size={18} aria-hidden="true" /></button
              >
            </span>
          {/if}
        </div>
        <span class="block truncate text-fine leading-tight"
          >{turn.fat > 0
            ? `${spoon && !pan.program.own ? `${measured(spoon)}, ` : ""}${m.fat_now({ mass: amount(turn.fat, "g"), fat: shortName(fat) })}`
            : m.dry()}</span
        >
        <span class="block truncate text-fine leading-tight text-mute">{darkName(turn.dark)}, {amount(turn.pan, "°C")}</span>
      </div>
    </li>
  {/each}
</ol>
