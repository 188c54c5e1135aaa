<script lang="ts">
  import Trash2 from "@lucide/svelte/icons/trash-2";
  import type { FillingPart } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Dial from "../../parts/Dial.svelte";
  import Figure from "../../parts/Figure.svelte";
  import Pick from "../../parts/Pick.svelte";
  import { amount } from "../../words/format";
  import { shortName } from "../../words/names/items";

  interface Props {
    part: FillingPart;
    path: string;
    buy: number;
    onremove?: (() => void) | undefined;
  }
  let { part, path, buy, onremove }: Props = $props();
</script>

<div class="rounded-xl bg-steel/60 px-3.5 py-2.5" data-testid="edit-part">
  <div class="grid items-end gap-x-5 sm:grid-cols-2">
    <Pick label={m.part_of_filling()} field="filling.parts[].id" value={part.id} onchange={(id) => (part.id = id)} />
    <dl class="flex items-end justify-between">
      <Figure label={m.trim_of({ share: amount(part.trim, "%") })} value="{amount(buy, 'g')} {m.raw_weight()}" />
      {#if onremove}<button class="button plain px-2.5" onclick={onremove} aria-label={m.move_part_out({ item: shortName(part.id) })}
          ><Trash2 size={18} aria-hidden="true" /></button
        >{/if}
    </dl>
    <Dial
      label={m.mass_in()}
      field="{path}.mass"
      of={part.id}
      value={part.mass}
      step={10}
      unit="g"
      to={3000}
      onchange={(v) => (part.mass = v)}
    />
    <Dial label={m.trim_loss()} field="{path}.trim" value={part.trim} step={1} unit="%" to={60} onchange={(v) => (part.trim = v)} />
  </div>
</div>
