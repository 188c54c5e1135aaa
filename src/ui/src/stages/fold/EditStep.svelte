<script lang="ts">
  import type { FoldStep } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Choice from "../../parts/Choice.svelte";
  import Dial from "../../parts/Dial.svelte";
  import Pick from "../../parts/Pick.svelte";
  import { titleOf } from "./words";

  import StepHead from "../ladder/StepHead.svelte";

  interface Props {
    step: FoldStep;
    at: number;
    count: number;
    onmove: (from: number, to: number) => void;
    onremove: (at: number) => void;
  }
  let { step, at, count, onmove, onremove }: Props = $props();
  const path = $derived(`fold.steps[${at}]`);
  const faces = [
    { value: "top" as const, label: m.laid_top() },
    { value: "board" as const, label: m.laid_board() },
  ];
</script>

{#snippet dial(label: string, name: string, value: number, step_: number, unit: string, to: number, set: (v: number) => void, from = 0)}
  <Dial {label} field="{path}.{name}" {value} step={step_} {unit} {to} {from} onchange={set} />
{/snippet}

<div class="rounded-xl bg-steel/60 px-3.5 py-2.5" data-testid="edit-step">
  <StepHead {at} {count} {onmove} {onremove}>{m.step_number({ number: at + 1, step: titleOf(step) })}</StepHead>
  <div class="grid gap-x-5">
    {#if step.kind === "half" || step.kind === "letter" || step.kind === "gate" || step.kind === "accordion"}
      <Choice
        label={m.fold_way()}
        value={step.way ?? "across"}
        options={[
          { value: "across", label: m.way_across() },
          { value: "along", label: m.way_along() },
        ]}
        onchange={(v) => (step.way = v)}
      />
    {/if}
    {#if step.kind === "brush"}
      {@render dial(m.fat_brushed(), "mass", step.mass, 0.5, "g", 15, (v) => (step.mass = v))}
      {@render dial(m.rim_bare(), "rim", step.rim ?? 0, 0.5, "cm", 40, (v) => (step.rim = v > 0 ? v : undefined))}
      <div class="grid gap-3 sm:grid-cols-2">
        <Pick label={m.fat()} field="{path}.fat" value={step.fat} onchange={(id) => (step.fat = id)} />
        <Choice label={m.laid_on()} value={step.on ?? "top"} options={faces} onchange={(v) => (step.on = v)} />
      </div>
    {:else if step.kind === "paste" || step.kind === "enclose"}
      {@render dial(m.fat_in_paste(), "mass", step.mass, 0.5, "g", 30, (v) => (step.mass = v))}
      {@render dial(m.flour_in_paste(), "flourMass", step.flourMass, 0.5, "g", 40, (v) => (step.flourMass = v))}
      <div class="grid gap-3 sm:grid-cols-2">
        <Pick label={m.fat()} field="{path}.fat" value={step.fat} onchange={(id) => (step.fat = id)} />
        <Pick label={m.flour_or_starch()} field="{path}.flour" value={step.flour} onchange={(id) => (step.flour = id)} />
      </div>
    {:else if step.kind === "dust"}
      {@render dial(m.flour_dusted(), "mass", step.mass, 0.5, "g", 6, (v) => (step.mass = v))}
      <Pick label={m.flour_or_starch()} field="{path}.flour" value={step.flour} onchange={(id) => (step.flour = id)} />
    {:else if step.kind === "scatter"}
      {@render dial(m.mass_scattered(), "mass", step.mass, 0.5, "g", 10, (v) => (step.mass = v))}
      {@render dial(m.grain(), "grain", step.grain, 0.1, "mm", 5, (v) => (step.grain = v))}
      <Pick label={m.scattered()} field="{path}.item" value={step.item} onchange={(id) => (step.item = id)} />
    {:else if step.kind === "seeds"}
      {@render dial(m.mass_scattered(), "mass", step.mass, 0.5, "g", 10, (v) => (step.mass = v))}
      <div class="grid gap-3 sm:grid-cols-2">
        <Pick label={m.scattered()} field="{path}.item" value={step.item} onchange={(id) => (step.item = id)} />
        <Choice label={m.laid_on()} value={step.on ?? "top"} options={faces} onchange={(v) => (step.on = v)} />
      </div>
    {:else if step.kind === "roll" || step.kind === "press"}
      {@render dial(
        step.kind === "roll" ? m.roll_to_round() : m.press_to_round(),
        "diameter",
        step.diameter,
        1,
        "cm",
        600,
        (v) => (step.diameter = v),
        80,
      )}
    {:else if step.kind === "rollLong"}
      {@render dial(m.side_long(), "length", step.length, 1, "cm", 600, (v) => (step.length = v), 80)}
      {@render dial(m.side_short(), "width", step.width, 1, "cm", 400, (v) => (step.width = v), 40)}
    {:else if step.kind === "stretch"}
      {@render dial(m.times_longer(), "times", step.times, 0.1, "", 4, (v) => (step.times = v), 1)}
    {:else if step.kind === "accordion"}
      {@render dial(m.pleats(), "pleats", step.pleats, 1, "", 24, (v) => (step.pleats = v), 2)}
    {:else if step.kind === "envelope"}
      <Choice
        label={m.sides()}
        value={step.overlap ? "overlap" : "meet"}
        options={[
          { value: "meet", label: m.sides_meet() },
          { value: "overlap", label: m.sides_overlap() },
        ]}
        onchange={(v) => (step.overlap = v === "overlap")}
      />
    {:else if step.kind === "strips"}
      {@render dial(m.strips_count(), "count", step.count, 1, "", 24, (v) => (step.count = v), 2)}
      <Choice
        label={m.strips_as()}
        value={step.gathered ? "gathered" : "apart"}
        options={[
          { value: "apart", label: m.strips_apart() },
          { value: "gathered", label: m.strips_gathered() },
        ]}
        onchange={(v) => (step.gathered = v === "gathered")}
      />
    {:else if step.kind === "slit"}
      {@render dial(m.ribbons(), "ribbons", step.ribbons, 1, "", 40, (v) => (step.ribbons = v), 2)}
    {:else if step.kind === "cutLog"}
      {@render dial(m.slices(), "slices", step.slices, 1, "", 12, (v) => (step.slices = v), 2)}
    {:else if step.kind === "cone"}
      {@render dial(m.cone_turns(), "turns", step.turns, 1, "", 8, (v) => (step.turns = v), 2)}
    {:else if step.kind === "rest"}
      {@render dial(m.step_rest_time(), "time", step.time, 5, "min", 60, (v) => (step.time = v))}
    {/if}
  </div>
</div>
