<script lang="ts">
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Dial from "../../parts/Dial.svelte";
  import Figure from "../../parts/Figure.svelte";
  import Switch from "../../parts/Switch.svelte";
  import { amount } from "../../words/format";
  import type { StageProps } from "../props";

  let { spec, sheet }: StageProps = $props();
  const filling = $derived(spec.filling!);
  const made = $derived(sheet.filling!);
</script>

<div class="grid gap-x-6 gap-y-2">
  <div>
    <Dial
      label={m.salt_wanted()}
      field="filling.saltWanted"
      value={filling.saltWanted}
      step={0.1}
      unit="%"
      to={3}
      good={made.salt.good}
      onchange={(v) => (filling.saltWanted = v)}
    />
    <dl class="grid grid-cols-2 gap-3">
      <Figure label={m.salt_stayed()} value="{amount(made.salt.stayed, 'g')} · {amount(made.salt.share, '%')}" />
      <Figure label={m.salt_left()} value={amount(made.salt.left, "g")} />
    </dl>
  </div>
  {#if made.liquor.mass > 0.5}
    <div>
      <Switch
        label={m.liquor_to_dough()}
        checked={filling.liquorToDough}
        onchange={(on) => batch.change(() => (filling.liquorToDough = on))}
      />
      <dl class="grid grid-cols-2 gap-3">
        <Figure label={m.liquor({ at: "alone" })} value={amount(made.liquor.mass, "g")} />
        <Figure label={m.salt_thread()} value={amount(made.liquor.saltShare, "%")} />
      </dl>
      {#if filling.liquorToDough}<p class="text-small text-mute">
          {m.liquor_used({ used: amount(made.liquor.used, "g"), mass: amount(made.liquor.mass, "g") })}
        </p>{/if}
    </div>
  {/if}
</div>
