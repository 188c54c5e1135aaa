<script lang="ts">
  import { larder } from "../../api/larder.svelte";
  import type { Cookware, Flame, PanKind } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Check from "../../parts/Check.svelte";
  import Choice from "../../parts/Choice.svelte";
  import Dial from "../../parts/Dial.svelte";
  import Select from "../../parts/Select.svelte";
  import { amount, number } from "../../words/format";
  import { darkName, flameName, panName } from "../../words/names/pan";
  import type { StageProps } from "../props";
  import Probe from "./Probe.svelte";

  let { spec, sheet }: StageProps = $props();
  const pan = $derived(sheet.pan);
  const on = $derived(spec.pan.on ?? pan.heat.on);
  const put = (change: Partial<Cookware>) => (spec.pan.on = { ...on, ...change });
  const flames = (Object.keys(flameName) as Flame[]).map((value) => ({ value, label: flameName[value]() }));
  const kinds = (Object.keys(panName) as PanKind[]).map((value) => ({ value, label: panName[value]() }));
  const usual = (kind: PanKind) => larder.view?.pans.find((p) => p.kind === kind);
</script>

<div class="grid gap-x-7 gap-y-3 lg:grid-cols-[minmax(0,1fr)_minmax(0,300px)]">
  <div class="grid min-w-0 content-start gap-3">
    <div class="grid gap-x-5 gap-y-2 sm:grid-cols-2 xl:grid-cols-[1fr_1.3fr_1fr]">
      <Select
        label={m.pan_kind()}
        value={on.kind}
        options={kinds}
        onchange={(kind) => batch.change(() => put({ ...usual(kind), flame: on.flame }))}
      />
      <div class="grid content-start gap-2">
        <Choice label={m.flame()} value={on.flame} options={flames} onchange={(flame) => put({ flame })} />
        {#each [["frozen", m.from_frozen()], ["chilled", m.from_fridge()]] as const as [cold, label] (cold)}
          <Check
            {label}
            checked={spec.pan[cold]}
            onchange={(on) =>
              batch.change(() => {
                spec.pan.frozen = on && cold === "frozen";
                spec.pan.chilled = on && cold === "chilled";
              })}
          />
        {/each}
      </div>
      <Dial
        label={m.pan_thick()}
        field="pan.on.thickness"
        value={on.thickness}
        step={0.5}
        unit="mm"
        to={15}
        onchange={(thickness) => put({ thickness })}
      />
      <Dial
        label={m.floor_across()}
        field="pan.on.across"
        value={on.across}
        step={1}
        unit="cm"
        places={0}
        from={160}
        to={700}
        onchange={(across) => put({ across })}
      />
      <div>
        <Dial
          label={m.together()}
          field="pan.together"
          value={spec.pan.together}
          step={1}
          places={0}
          to={6}
          good={{ least: 1, most: pan.room }}
          onchange={(v) => (spec.pan.together = v)}
        />
        <p class="text-small text-mute" data-testid="room">{m.room_on_pan({ room: number(pan.room, 0) })}</p>
      </div>
      {#if spec.pan.roasting === "dryThenFry"}
        <Dial label={m.stack_high()} field="pan.stack" value={spec.pan.stack} step={1} places={0} onchange={(v) => (spec.pan.stack = v)} />
      {/if}
    </div>
    {#if pan.row.pieces.length > 0}
      <section aria-labelledby="row-head">
        <h2 id="row-head" class="text-body font-bold">{m.row_head()}</h2>
        <table class="w-full text-body" data-testid="row">
          <thead
            ><tr class="text-start text-fine text-mute"
              ><th class="text-start font-normal">{m.row_piece()}</th>{#each pan.row.pieces as piece (piece.number)}<th class="font-normal"
                  >{number(piece.number, 0)}</th
                >{/each}</tr
            ></thead
          >
          <tbody>
            <tr
              ><th class="text-start font-normal">{m.row_pan()}</th>{#each pan.row.pieces as piece (piece.number)}<td
                  class="text-center font-head text-figure font-bold">{amount(piece.pan, "°C")}</td
                >{/each}</tr
            >
            <tr
              ><th class="text-start font-normal">{m.row_faces()}</th>{#each pan.row.pieces as piece (piece.number)}<td class="text-center"
                  >{piece.cooked ? darkName((piece.first + piece.second) / 2) : m.row_raw()}</td
                >{/each}</tr
            >
          </tbody>
        </table>
        <p class="mt-1 text-body">
          {pan.row.back != null
            ? m.row_back({ time: amount(pan.row.back, "s") })
            : (pan.row.climbs ? m.row_climbs : m.row_stays_under)({
                pan: amount(pan.row.pieces[0]!.pan, "°C"),
                end: amount(pan.row.ends, "°C"),
              })}
          {m.row_holds({ flame: flameName[pan.row.holds].within() })}
          {m.wipe_every({ count: pan.film.wipeEvery })}
        </p>
      </section>
    {/if}
  </div>
  <Probe {spec} {sheet} />
</div>
