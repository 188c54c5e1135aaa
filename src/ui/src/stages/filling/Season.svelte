<script lang="ts">
  import { Switch } from "bits-ui";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Dial from "../../parts/Dial.svelte";
  import Figure from "../../parts/Figure.svelte";
  import { amount } from "../../words/format";
  import type { StageProps } from "../props";

  let { spec, sheet }: StageProps = $props();
  const filling = $derived(spec.filling!);
  const made = $derived(sheet.filling!);
  const id = $props.id();
</script>

<div class="grid gap-x-6 gap-y-2 sm:grid-cols-2">
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
      <span class="flex min-h-11 items-center gap-2.5">
        <Switch.Root
          {id}
          checked={filling.liquorToDough}
          onCheckedChange={(on) => batch.change(() => (filling.liquorToDough = on))}
          class="flex h-8 w-14 shrink-0 items-center rounded-full border-2 border-rim bg-white p-0.5 data-[state=checked]:bg-rim"
        >
          <Switch.Thumb
            class="block size-6 rounded-full bg-rim transition-transform data-[state=checked]:translate-x-5.5 data-[state=checked]:bg-white"
          />
        </Switch.Root>
        <label for={id}>{m.liquor_to_dough()}</label>
      </span>
      <dl class="grid grid-cols-2 gap-3">
        <Figure label={m.liquor()} value={amount(made.liquor.mass, "g")} />
        <Figure label={m.salt_thread()} value={amount(made.liquor.saltShare, "%")} />
      </dl>
      {#if filling.liquorToDough}<p class="text-[14px] text-mute">
          {m.liquor_used({ used: amount(made.liquor.used, "g"), mass: amount(made.liquor.mass, "g") })}
        </p>{/if}
    </div>
  {/if}
</div>
