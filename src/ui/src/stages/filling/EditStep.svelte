<script lang="ts">
  import { larder } from "../../api/larder.svelte";
  import type { FillingRow, FillingStep } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Choice from "../../parts/Choice.svelte";
  import Dial from "../../parts/Dial.svelte";
  import FigureField from "../../parts/FigureField.svelte";
  import Pick from "../../parts/Pick.svelte";
  import { beside, amount } from "../../words/format";
  import { fillingStepName } from "../../words/names/filling";
  import { flameName } from "../../words/names/pan";
  import WeighIn from "./WeighIn.svelte";

  import StepHead from "../ladder/StepHead.svelte";

  interface Props {
    step: FillingStep;
    path: string;
    row: FillingRow | undefined;
    at: number;
    count: number;
    onmove: (from: number, to: number) => void;
    onremove: (at: number) => void;
  }
  let { step, path, row, at, count, onmove, onremove }: Props = $props();
  const went = $derived(
    row
      ? [
          row.drained.mass > 0.05 ? m.drained_off({ mass: amount(row.drained.mass, "g") }) : "",
          row.steam > 0.05 ? m.steamed_off({ mass: amount(row.steam, "g") }) : "",
          row.taken > 0.05 ? m.took_up({ mass: amount(row.taken, "g") }) : "",
          row.added > 0.05 ? m.put_in({ mass: amount(row.added, "g") }) : "",
          step.kind === "saute" && step.to != null ? amount(row.time, "min") : "",
          step.after != null ? m.planned_was({ mass: amount(row.planned, "g") }) : "",
        ].filter(Boolean)
      : [],
  );
</script>

{#snippet dial(label: string, name: string, value: number, by: number, unit: string, to: number, set: (v: number) => void)}
  <Dial {label} field="{path}.{name}" {value} step={by} {unit} {to} onchange={set} />
{/snippet}

<div class="rounded-xl bg-steel/60 px-3.5 py-2.5" data-testid="edit-filling-step">
  <StepHead {at} {count} {onmove} {onremove}>
    {fillingStepName[step.kind]()} <span class="font-text text-small font-normal text-mute">{beside(...went)}</span>
  </StepHead>
  <div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
    {#if step.kind === "chop"}
      <Choice
        label={m.cut_by()}
        value={step.by}
        options={[
          { value: "chop", label: m.by_chop() },
          { value: "grate", label: m.by_grate() },
          { value: "mash", label: m.by_mash() },
        ]}
        onchange={(v) => (step.by = v)}
      />
      {@render dial(m.grain(), "grain", step.grain, 0.5, "mm", 12, (v) => (step.grain = v))}
    {:else if step.kind === "salt"}
      {@render dial(m.salt_share(), "share", step.share, 0.1, "%", 4, (v) => (step.share = v))}
      {@render dial(m.wait_time(), "time", step.time, 1, "min", 30, (v) => (step.time = v))}
    {:else if step.kind === "squeeze"}
      <Choice
        label={m.squeeze_by()}
        value={step.by}
        options={[
          { value: "drain", label: m.by_drain() },
          { value: "hand", label: m.by_hands() },
          { value: "cloth", label: m.by_cloth() },
        ]}
        onchange={(v) => (step.by = v)}
      />
    {:else if step.kind === "saute"}
      {@render dial(m.minutes_of(), "time", step.time, 1, "min", 60, (v) => (step.time = v))}
      {@render dial(m.pan_across(), "pan", step.pan, 1, "cm", 500, (v) => (step.pan = v))}
      <Choice
        label={m.flame()}
        value={step.flame ?? "medium"}
        options={(["low", "medium", "high"] as const).map((value) => ({ value, label: flameName[value]() }))}
        onchange={(v) => (step.flame = v)}
      />
      {@render dial(m.fat_in(), "fatMass", step.fatMass, 1, "g", 80, (v) => (step.fatMass = v))}
      <Pick label={m.fat()} field="{path}.fat" value={step.fat} onchange={(id) => (step.fat = id)} />
      <FigureField
        label={m.cook_to()}
        limit={larder.limit(`${path}.to`)}
        unit="g"
        bind:value={() => step.to, (v) => batch.change(() => (step.to = v ?? undefined))}
        refusal={batch.refusalOf(`${path}.to`)}
      />
    {:else if step.kind === "sweeten"}
      {@render dial(m.mass_in(), "mass", step.mass, 5, "g", 600, (v) => (step.mass = v))}
      <Pick label={m.sugar_in()} field="{path}.sugar" value={step.sugar} onchange={(id) => (step.sugar = id)} />
      {@render dial(m.minutes_of(), "time", step.time, 1, "min", 40, (v) => (step.time = v))}
      {@render dial(m.pan_across(), "pan", step.pan, 1, "cm", 500, (v) => (step.pan = v))}
      <Choice
        label={m.flame()}
        value={step.flame ?? "medium"}
        options={(["low", "medium", "high"] as const).map((value) => ({ value, label: flameName[value]() }))}
        onchange={(v) => (step.flame = v)}
      />
    {:else if step.kind === "cool"}
      {@render dial(m.minutes_of(), "time", step.time, 5, "min", 240, (v) => (step.time = v))}
      {@render dial(m.trays(), "trays", step.trays ?? 1, 1, "", 12, (v) => (step.trays = v))}
      <Choice
        label={m.cool_in()}
        value={step.place}
        options={[
          { value: "room", label: m.place_room() },
          { value: "fridge", label: m.place_fridge() },
        ]}
        onchange={(v) => (step.place = v)}
      />
    {:else if step.kind === "bind"}
      {@render dial(m.mass_in(), "mass", step.mass, 1, "g", 150, (v) => (step.mass = v))}
      <Pick label={m.binder()} field="{path}.binder" value={step.binder} onchange={(id) => (step.binder = id)} />
    {:else if step.kind === "season" || step.kind === "moisten"}
      {@render dial(
        m.mass_in(),
        "mass",
        step.mass,
        step.kind === "season" ? 0.5 : 5,
        "g",
        step.kind === "season" ? 60 : 200,
        (v) => (step.mass = v),
      )}
      <Pick
        label={step.kind === "season" ? m.seasoning() : m.wet_thing()}
        field="{path}.item"
        value={step.item}
        onchange={(id) => (step.item = id)}
      />
    {:else}
      {@render dial(
        m.minutes_of(),
        "time",
        step.time,
        step.kind === "soak" ? 30 : 1,
        "min",
        step.kind === "soak" ? 900 : 60,
        (v) => (step.time = v),
      )}
    {/if}
  </div>
  <WeighIn {step} {path} expected={row?.planned ?? 0} />
</div>
