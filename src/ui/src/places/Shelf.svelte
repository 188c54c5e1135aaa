<script lang="ts">
  import Plus from "@lucide/svelte/icons/plus";
  import Trash2 from "@lucide/svelte/icons/trash-2";
  import { push } from "svelte-spa-router";
  import { changes } from "../api/changes.svelte";
  import { api } from "../api/client";
  import { larder } from "../api/larder.svelte";
  import type { BatchView, BreadView } from "../api/types";
  import { batch } from "../batch.svelte";
  import { m } from "../paraglide/messages";
  import Section from "../section/Section.svelte";
  import { toaster } from "../toast.svelte";
  import { amount, clock, day, leaves } from "../words/format";

  let breads = $state.raw<BreadView[]>([]);
  let batches = $state.raw<BatchView[]>([]);
  let find = $state("");
  let fetched = $state(false);
  const found = $derived(breads.filter((b) => `${b.name} ${b.about}`.toLowerCase().includes(find.trim().toLowerCase())));

  // All breads are drawn to one scale, so that a thin round looks thin.
  const biggest = $derived({
    across: Math.max(...breads.map((b) => b.glance.section.across)),
    thickness: Math.max(...breads.map((b) => b.glance.section.thickness)),
  });

  $effect(() => {
    void changes.shelf;
    void fetchAll();
  });

  async function fetchAll() {
    const [shelf, lately] = await Promise.all([api.GET("/api/breads"), api.GET("/api/batches")]);
    breads = shelf.data ?? [];
    batches = lately.data ?? [];
    fetched = true;
  }

  async function cook(bread: BreadView) {
    batch.begin(bread);
    await push("/batch");
  }

  async function begin() {
    if (!larder.view) return;
    batch.begin({ id: null, name: m.new_bread_name(), spec: larder.view.plain });
    await push("/batch");
  }

  async function remove(path: "/api/breads/{id}" | "/api/batches/{id}", id: string, name: string) {
    const params = { path: { id } };
    await api.DELETE(path, { params });
    await fetchAll();
    toaster.say(m.deleted({ name }), async () => {
      await (path === "/api/breads/{id}"
        ? api.POST("/api/breads/{id}/restore", { params })
        : api.POST("/api/batches/{id}/restore", { params }));
      await fetchAll();
    });
  }
</script>

<div class="grid grid-cols-[minmax(0,1fr)] gap-6 p-3 sm:p-5 lg:h-full lg:grid-cols-[minmax(0,1fr)_272px] lg:overflow-hidden">
  <section class="flex min-h-0 flex-col" aria-labelledby="shelf">
    <div class="mb-3 flex flex-wrap items-center gap-3">
      <h1 id="shelf" class="me-auto text-title leading-none font-bold tracking-tight">{m.shelf_title()}</h1>
      <input class="field w-44" type="search" placeholder={m.find_bread()} aria-label={m.find_bread()} bind:value={find} data-find />
      <button class="button" onclick={() => void begin()}><Plus size={18} aria-hidden="true" />{m.new_bread()}</button>
    </div>
    <ul
      class="grid min-h-0 auto-rows-min grid-cols-[minmax(0,1fr)] gap-3 lg:auto-rows-[minmax(196px,1fr)] overflow-y-auto pb-3 lg:grid-cols-2"
      data-testid="shelf"
    >
      {#each found as bread (bread.id)}
        <li class="tray relative flex flex-col px-4 pt-3 pb-2.5">
          <div class="flex items-start gap-2">
            <h2 class="min-w-0 flex-1 text-[19px] leading-tight font-bold">
              <button class="text-start after:absolute after:inset-0 after:rounded-[14px]" onclick={() => void cook(bread)}
                >{bread.name}</button
              >
            </h2>
            <button
              class="relative -me-2 -mt-2 grid size-11 place-items-center rounded-lg text-mute hover:bg-steel"
              aria-label={m.delete_name({ name: bread.name })}
              onclick={() => void remove("/api/breads/{id}", bread.id, bread.name)}><Trash2 size={18} /></button
            >
          </div>
          <p class="text-[14px] leading-snug text-mute">{bread.about}</p>
          <div class="pointer-events-none mt-auto pt-1"><Section section={bread.glance.section} height={76} small scaleOf={biggest} /></div>
          <p class="mt-0.5 flex flex-wrap gap-x-4 text-[14px]">
            <b>{m.count_times({ count: bread.glance.pieces, mass: amount(bread.glance.ball, "g") })}</b>
            <span>{amount(bread.glance.across, "mm")}</span>
            <span>{leaves(bread.glance.leaves)}</span>
            {#if bread.glance.fused}<span class="font-semibold text-chilli">▲ {m.welded({ count: bread.glance.fused })}</span>{/if}
          </p>
        </li>
      {/each}
      {#if fetched && found.length === 0}
        <li class="p-6 text-mute">{find ? m.none_found({ find }) : m.shelf_empty()}</li>
      {/if}
    </ul>
  </section>

  <section class="flex min-h-0 flex-col" aria-labelledby="lately">
    <h2 id="lately" class="mb-3 flex min-h-11 items-center text-[19px] font-bold">{m.lately()}</h2>
    <ul class="min-h-0 overflow-y-auto">
      {#each batches as b (b.id)}
        <li class="relative flex items-center border-b border-rim-soft last:border-0">
          <a class="min-w-0 flex-1 py-2 after:absolute after:inset-0" href="#/batch/{b.id}">
            <span class="block truncate font-head font-semibold">{b.name}</span>
            <span class="block text-[13px] text-mute"
              >{m.day_at({ day: day(b.madeFor), time: clock(b.madeFor) })} · {m.pieces_count({ count: b.spec.dough.pieces })}</span
            >
          </a>
          <button
            class="relative grid size-11 place-items-center rounded-lg text-mute hover:bg-white"
            aria-label={m.delete_name({ name: `${b.name}, ${day(b.madeFor)}` })}
            onclick={() => void remove("/api/batches/{id}", b.id, b.name)}><Trash2 size={16} /></button
          >
        </li>
      {/each}
      {#if fetched && batches.length === 0}<li class="py-2 text-mute">{m.no_batches()}</li>{/if}
    </ul>
  </section>
</div>
