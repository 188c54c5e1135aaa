<script lang="ts">
  import Trash2 from "@lucide/svelte/icons/trash-2";
  import { call, type Trouble as Why } from "../../api/call";
  import { api, meant } from "../../api/client";
  import { larder } from "../../api/larder.svelte";
  import type { PowderFill, Refusal, Units, Vessel } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Combobox from "../../parts/Combobox.svelte";
  import FigureField from "../../parts/FigureField.svelte";
  import { newId } from "../../ids";
  import Segments from "../../parts/Segments.svelte";
  import Select from "../../parts/Select.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import { toaster, told } from "../../toast.svelte";
  import { number } from "../../words/format";
  import { say } from "../../words/refusals";

  const units = $derived(larder.view?.units);
  const vessels = $derived(larder.view?.vessels ?? []);
  const blank: { name: string; item: string; fill: PowderFill; mass: number | null } = {
    name: "",
    item: larder.view!.firstPicks.water,
    fill: "spooned",
    mass: null,
  };
  let made = $state({ ...blank });
  let unread = $state(false);
  let refusals = $state.raw<Refusal[]>([]);
  let trouble = $state.raw<Why | null>(null);
  let formKey = $state(0);
  // Pressed again after an answer that was lost, it is one vessel.
  let id = newId();
  const refusalOf = (field: string) => refusals.find((r) => r.field === field);

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
        { value: "metric", label: m.cup_metric() },
        { value: "us", label: m.cup_us() },
        { value: "legal", label: m.cup_legal() },
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

  async function add(event: SubmitEvent) {
    event.preventDefault();
    if (unread) return;
    const body = { ...$state.snapshot(made), mass: made.mass ?? 0, id };
    let { data, trouble: why } = await call(() => api.POST("/api/vessels", { body }));
    // It was kept by a request whose answer was lost: from there on it is changed.
    if (why?.kind === "stale" && why.now) {
      const params = { path: { id: (why.now as Vessel).id }, header: meant(why.version) };
      ({ data, trouble: why } = await call(() => api.PUT("/api/vessels/{id}", { params, body })));
    }
    refusals = why?.kind === "refused" ? why.refusals : [];
    trouble = why && why.kind !== "refused" ? why : null;
    if (!data) return;
    made = { ...blank };
    id = newId();
    formKey++;
    await refresh();
  }

  async function remove(id: string, name: string) {
    const path = { id };
    const header = meant(larder.view?.vesselVersions[id] ?? "");
    const { trouble: why } = await call(() => api.DELETE("/api/vessels/{id}", { params: { path, header } }));
    await refresh();
    if (why && why.kind !== "missing") return toaster.trouble(m.delete_name({ name }), why);
    toaster.say(m.deleted({ name }), async () => {
      await told(
        m.undo(),
        call(() => api.POST("/api/vessels/{id}/restore", { params: { path } })),
      );
      await refresh();
    });
  }
  const liquids = $derived((larder.view?.ingredients ?? []).filter((i) => i.origin !== "gone"));
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
    <section class="tray grid content-start gap-3 p-5" aria-labelledby="own-vessels">
      <h2 id="own-vessels" class="text-big font-bold">{m.own_vessels()}</h2>
      <p class="text-mute">{m.own_vessels_how()}</p>
      <ul data-testid="vessels">
        {#each vessels as v (v.id)}
          <li class="flex items-center border-b border-line">
            <b class="min-w-0 flex-1 truncate">{v.name}</b><span class="text-lead">{m.vessel_holds({ volume: number(v.volume, 0) })}</span>
            <button
              class="ms-2 grid size-11 place-items-center rounded-lg text-mute hover:bg-steel"
              aria-label={m.delete_name({ name: v.name })}
              onclick={() => void remove(v.id, v.name)}><Trash2 size={17} /></button
            >
          </li>
        {/each}
        {#if !vessels.length}<li class="text-mute">{m.no_vessels()}</li>{/if}
      </ul>
      {#key formKey}
        <form class="grid gap-3 rounded-xl bg-steel p-3 sm:grid-cols-2" onsubmit={add} novalidate>
          <div class="min-w-0">
            <label class="block text-small leading-tight text-mute" for="vessel-name">{m.vessel_name()}</label>
            <input
              id="vessel-name"
              class="field w-full"
              maxlength="24"
              bind:value={made.name}
              aria-invalid={refusalOf("name") ? "true" : undefined}
              aria-describedby={refusalOf("name") ? "vessel-name-problem" : undefined}
            />
            {#if refusalOf("name")}<p id="vessel-name-problem" class="refusal">
                {refusalOf("name")?.code === "missing" ? m.refuse_name() : say(refusalOf("name")!)}
              </p>{/if}
          </div>
          <FigureField
            label={m.vessel_weighs()}
            limit={{ field: "mass", least: 1, most: 20000, unit: "g" }}
            unit="g"
            bind:value={made.mass}
            bind:unread
            refusal={refusalOf("mass")}
          />
          <Combobox
            label={m.vessel_item()}
            value={made.item}
            options={liquids.map((i) => ({ value: i.id, label: i.name }))}
            onchange={(item) => (made.item = item)}
          />
          <Select label={m.powder_fill()} value={made.fill} options={fills} onchange={(fill) => (made.fill = fill)} />
          <div class="sm:col-span-2"><Trouble {trouble} /></div>
          <button class="button strong sm:col-span-2" type="submit">{m.vessel_add()}</button>
        </form>
      {/key}
    </section>
  </div>
{/if}
