<script lang="ts">
  import Trash2 from "@lucide/svelte/icons/trash-2";
  import { call, type Trouble as Why } from "../../api/call";
  import { api, meant } from "../../api/client";
  import { larder } from "../../api/larder.svelte";
  import type { PowderFill, Refusal, Vessel } from "../../api/types";
  import { newId } from "../../ids";
  import { m } from "../../paraglide/messages";
  import Combobox from "../../parts/Combobox.svelte";
  import FigureField from "../../parts/FigureField.svelte";
  import Select from "../../parts/Select.svelte";
  import TextField from "../../parts/TextField.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import { toaster, told } from "../../toast.svelte";
  import { amount } from "../../words/format";

  /** The kitchen's own cups, glasses, ladles and handfuls, each by one weighing. */
  let { fills, refresh }: { fills: { value: PowderFill; label: string }[]; refresh: () => Promise<void> } = $props();
  const vessels = $derived(larder.view?.vessels ?? []);
  const blank: { name: string; item: string; fill: PowderFill; mass: number | null } = {
    name: "",
    item: larder.view!.water,
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

  const liquids = $derived((larder.view?.ingredients ?? []).filter((i) => i.origin !== "gone"));

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
</script>

<section class="tray grid content-start gap-3 p-5" aria-labelledby="own-vessels">
  <h2 id="own-vessels" class="text-big font-bold">{m.own_vessels()}</h2>
  <p class="text-mute">{m.own_vessels_how()}</p>
  <ul data-testid="vessels">
    {#each vessels as v (v.id)}
      <li class="flex items-center border-b border-line">
        <b class="min-w-0 flex-1 truncate">{v.name}</b><span class="text-lead">{m.vessel_holds({ volume: amount(v.volume, "ml") })}</span>
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
      <TextField label={m.vessel_name()} most={24} bind:value={made.name} refusal={refusalOf("name")} />
      <FigureField
        label={m.vessel_weighs()}
        limit={{ field: "mass", least: 1, most: 20000, unit: "g" }}
        unit="g"
        bind:value={made.mass}
        bind:unread
        refusal={refusalOf("mass")}
      />
      <Combobox
        quiet
        label={m.vessel_item()}
        value={made.item}
        options={liquids.map((i) => ({ value: i.id, label: i.name }))}
        onchange={(item) => (made.item = item)}
      />
      <Select quiet label={m.powder_fill()} value={made.fill} options={fills} onchange={(fill) => (made.fill = fill)} />
      <div class="sm:col-span-2"><Trouble {trouble} /></div>
      <button class="button strong sm:col-span-2" type="submit">{m.vessel_add()}</button>
    </form>
  {/key}
</section>
