<script lang="ts">
  import { larder } from "../../api/larder.svelte";
  import type { ParcelShape } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import Toggle from "../../parts/Toggle.svelte";
  import { m } from "../../paraglide/messages";
  import Choice from "../../parts/Choice.svelte";
  import Dial from "../../parts/Dial.svelte";
  import Pick from "../../parts/Pick.svelte";
  import Figure from "../../parts/Figure.svelte";
  import { amount, number } from "../../words/format";
  import { parcelName, tearName } from "../../words/names/filling";
  import type { StageProps } from "../props";
  import Astray from "./Astray.svelte";
  import ParcelPicture from "./ParcelPicture.svelte";

  let { spec, sheet }: StageProps = $props();
  const wall = $derived(spec.filling!.wall);
  const parcel = $derived(sheet.filling!.parcel);
  const shapes = Object.entries(parcelName).map(([value, label]) => ({ value: value as ParcelShape, label: label() }));
  // The main schools, filling to dough.
  const schools = $derived(
    [m.school_spoonful, m.school_even, m.school_plenty].map((label, i) => ({ label, share: larder.view?.wallSchools[i] ?? 0 })),
  );
  const riskName = { low: m.tear_low, some: m.tear_some, likely: m.tear_high };
  const likely = $derived(parcel.tear.risk === "likely");
</script>

<Astray besides="filling.wall" />
<div class="grid gap-x-7 gap-y-3 xl:grid-cols-2">
  <div class="grid content-start gap-2">
    <Choice label={m.parcel_shape()} value={wall.shape} options={shapes} onchange={(v) => (wall.shape = v)} />
    <div>
      <Dial
        label={m.share_of_filling()}
        field="filling.wall.share"
        value={wall.share}
        step={1}
        unit="%"
        to={200}
        good={{ least: 25, most: Math.min(parcel.mostShare, 200) }}
        onchange={(v) => (wall.share = v)}
      />
      <div class="flex flex-wrap gap-1.5">
        {#each schools as { share, label } (share)}
          <Toggle
            class="button border-rim-soft px-2.5"
            pressed={Math.abs(wall.share - share) < 0.5}
            onpress={() => batch.change(() => (wall.share = share))}>{label()} · {amount(share, "%")}</Toggle
          >
        {/each}
      </div>
    </div>
    <Dial
      label={m.round_across()}
      field="roll.diameter"
      value={spec.roll.diameter}
      step={1}
      unit="cm"
      from={80}
      to={400}
      onchange={(v) => (spec.roll.diameter = v)}
    />
    <Dial
      label={m.drops_inside()}
      field="filling.wall.drops.mass"
      of={wall.drops?.fat ?? spec.sheet.fat}
      value={wall.drops?.mass ?? 0}
      step={0.5}
      unit="g"
      to={6}
      onchange={(mass) => {
        if (mass > 0) wall.drops = { fat: wall.drops?.fat ?? spec.sheet.fat, mass };
        else delete wall.drops;
      }}
    />
    {#if wall.drops}
      {@const drops = wall.drops}
      <Pick label={m.fat()} field="filling.wall.drops.fat" value={drops.fat} onchange={(id) => (drops.fat = id)} />
    {/if}
  </div>
  <div>
    <ParcelPicture filling={sheet.filling!} look={sheet.section.look} />
    <dl class="mt-2 grid grid-cols-3 gap-x-3 gap-y-2">
      <Figure label={m.dough_each()} value={amount(parcel.dough, "g")} />
      <Figure label={m.filling_each()} value={amount(parcel.filling, "g")} />
      <Figure label={m.piece_thick()} value={amount(parcel.thickness, "mm")} />
      <Figure label={m.wall_is()} value={amount(parcel.wall, "mm")} tone={parcel.wall < parcel.wallLeast ? "bad" : ""} />
      <Figure label={m.wall_least()} value={amount(parcel.wallLeast, "mm")} />
      <Figure label={m.widest_round()} value={amount(parcel.widestRound, "mm")} />
      <Figure label={m.most_filling()} value={amount(parcel.mostShare, "%")} />
      {#if parcel.gathered != null && parcel.disc != null}
        <Figure label={m.disc_to_gather()} value={amount(parcel.disc, "mm")} />
        <Figure label={m.wall_pinched()} value={amount(parcel.gathered, "mm")} />
      {/if}
    </dl>
    <p class="mt-2" data-testid="tear" data-risk={parcel.tear.risk}>
      {m.tear_risk()}:
      <b class="font-head {likely ? 'text-chilli' : ''}"
        >{likely ? "▲ " : ""}{riskName[parcel.tear.risk]()} · {number(parcel.tear.points, 0)}</b
      >
      <span class="text-small text-mute">
        {parcel.tear.terms.length ? parcel.tear.terms.map((t) => `${tearName[t.cause]()} ${number(t.points, 0)}`).join(" + ") : m.no_tear()}
      </span>
    </p>
  </div>
</div>
