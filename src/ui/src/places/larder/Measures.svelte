<script lang="ts">
  import { larder } from "../../api/larder.svelte";
  import type { PowderFill, Refusal, Units } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import FigureField from "../../parts/FigureField.svelte";
  import Segments from "../../parts/Segments.svelte";
  import Vessels from "./Vessels.svelte";
  import { amount } from "../../words/format";

  const units = $derived(larder.view?.units);
  const fills: { value: PowderFill; label: string }[] = [
    { value: "sifted", label: m.fill_sifted() },
    { value: "spooned", label: m.fill_spooned() },
    { value: "scooped", label: m.fill_scooped() },
  ];
  const choices = $derived<
    { key: "mass" | "cup" | "fill" | "heat" | "length"; label: string; options: { value: string; label: string }[] }[]
  >([
    {
      key: "mass",
      label: m.mass_unit(),
      options: [
        { value: "grams", label: m.unit_grams() },
        { value: "ounces", label: m.unit_ounces() },
        { value: "cups", label: m.unit_cups() },
      ],
    },
    {
      key: "cup",
      label: m.cup_kind(),
      options: [
        { value: "metric", label: m.cup_metric({ volume: amount(250, "ml") }) },
        { value: "us", label: m.cup_us({ volume: amount(236.6, "ml") }) },
        { value: "legal", label: m.cup_legal({ volume: amount(240, "ml") }) },
      ],
    },
    {
      key: "fill",
      label: m.powder_fill(),
      options: fills,
    },
    {
      key: "heat",
      label: m.heat_unit(),
      options: [
        { value: "celsius", label: m.unit_celsius() },
        { value: "fahrenheit", label: m.unit_fahrenheit() },
      ],
    },
    {
      key: "length",
      label: m.length_unit(),
      options: [
        { value: "centimetres", label: m.unit_centimetres() },
        { value: "inches", label: m.unit_inches() },
      ],
    },
  ]);

  async function set(change: { [K in keyof Units]?: Units[K] | undefined }) {
    await larder.setUnits(change);
    batch.again();
  }

  // What is out of range stays as it was typed and is not sent.
  const boardLimit = $derived(larder.itemLimit("board"));
  let board = $state<number | null>(null);
  let boardUnread = $state(false);
  const boardFits = $derived(board === null || (board >= boardLimit.least && board <= boardLimit.most));
  const boardRefusal = $derived<Refusal | undefined>(boardFits ? undefined : { ...boardLimit, code: "outOfRange", given: board });
  function setBoard(across: number | null) {
    board = across;
    if (across !== null && boardFits) void set({ board: across });
  }

  // One cup of flour, weighed as it is filled; left empty the way of filling counts.
  const cupLimit = $derived(larder.itemLimit("flourCup"));
  let cup = $state<number | null>(null);
  let cupUnread = $state(false);
  const cupFits = $derived(cup === null || (cup >= cupLimit.least && cup <= cupLimit.most));
  const cupRefusal = $derived<Refusal | undefined>(cupFits ? undefined : { ...cupLimit, code: "outOfRange", given: cup });
  function setCup(mass: number | null) {
    cup = mass;
    if (cupFits) void set({ flourCup: mass ?? undefined, ...(mass !== null && { cupSaid: true }) });
  }

  async function refresh() {
    await larder.fetch();
    batch.again();
  }
</script>

{#if units}
  <div class="grid gap-4 lg:grid-cols-2">
    <section class="tray grid content-start gap-3 p-5" aria-label={m.larder_cups()}>
      {#each choices as { key, label, options } (key)}
        <div>
          <Segments
            {label}
            value={units[key] as string}
            {options}
            onchange={(v) => void set(key === "fill" ? { fill: v as PowderFill, cupSaid: true, flourCup: undefined } : { [key]: v })}
          />
          {#if key === "fill"}
            <div class="max-w-52">
              <FigureField
                label={m.cup_weighs()}
                limit={cupLimit}
                unit="g"
                bind:value={() => cup ?? units.flourCup ?? null, (v) => setCup(v ?? null)}
                bind:unread={cupUnread}
                refusal={cupRefusal}
              />
            </div>
            <p class="text-small text-mute">{m.cup_why()}</p>
          {/if}
        </div>
      {/each}
      <label class="flex items-center gap-3"
        >{m.coin()}<input
          class="field w-20"
          maxlength="4"
          value={units.coin}
          onchange={(e) => void set({ coin: e.currentTarget.value })}
        /></label
      >
      <div class="max-w-52">
        <FigureField
          label={m.board()}
          limit={boardLimit}
          unit="cm"
          bind:value={() => board ?? units.board, (v) => setBoard(v ?? null)}
          bind:unread={boardUnread}
          refusal={boardRefusal}
        />
      </div>
      <p class="text-small text-mute">{m.board_why()}</p>
    </section>
    <Vessels {fills} {refresh} />
  </div>
{/if}
