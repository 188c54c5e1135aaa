<script lang="ts">
  import Plus from "@lucide/svelte/icons/plus";
  import { push } from "svelte-spa-router";
  import { changes } from "../api/changes.svelte";
  import { call, callPages } from "../api/call";
  import { api, meant } from "../api/client";
  import { all, Fetched } from "../api/fetched.svelte";
  import type { BatchSpec, BatchView, BreadView } from "../api/types";
  import { batch } from "../bench/bench.svelte";
  import { m } from "../paraglide/messages";
  import Chips from "../parts/Chips.svelte";
  import Trouble from "../parts/Trouble.svelte";
  import { toaster, told } from "../toast.svelte";
  import { folded } from "../words/find";
  import BreadCard from "./shelf/BreadCard.svelte";
  import FromFile from "./shelf/FromFile.svelte";
  import Lately from "./shelf/Lately.svelte";

  // So many pages of what was cooked lately are shown.
  let pages = $state(1);
  const shelf = new Fetched(() =>
    all(
      callPages((after) => call(() => api.GET("/api/breads", { params: { query: { after } } }))),
      callPages((after) => call(() => api.GET("/api/batches", { params: { query: { after } } })), pages),
    ),
  );
  const breads = $derived<BreadView[]>(shelf.data?.[0] ?? []);
  const batches = $derived<BatchView[]>(shelf.data?.[1] ?? []);
  let find = $state("");
  let tag = $state<string | null>(null);
  let choosing = $state(false);
  let menu = $state.raw<{ bread: BreadView; beside: HTMLElement } | null>(null);
  let editing = $state.raw<BreadView | null>(null);
  let scaling = $state.raw<BreadView | null>(null);
  const tags = $derived([...new Set(breads.flatMap((b) => b.tags))].toSorted((a, b) => a.localeCompare(b)));
  const found = $derived(
    breads.filter(
      (b) => (tag === null || b.tags.includes(tag)) && [b.name, b.about, ...b.tags].some((words) => folded(words).includes(folded(find))),
    ),
  );

  // All breads are drawn to one scale, so that a thin round looks thin.
  const sections = $derived(breads.flatMap((b) => b.glance?.section ?? []));
  const biggest = $derived({
    across: Math.max(...sections.map((s) => s.across)),
    thickness: Math.max(...sections.map((s) => s.thickness)),
  });

  $effect(() => {
    void changes.of("breads");
    void changes.of("batches");
    void changes.of("larder");
    void fetchAll();
  });
  // A bread that was the last of its tag takes the choice of it with it.
  $effect(() => {
    if (tag !== null && shelf.data && !tags.includes(tag)) tag = null;
  });
  const fetchAll = () => shelf.fetch();

  async function cook(bread: Pick<BreadView, "name" | "spec"> & { id: string | null }) {
    batch.begin(bread);
    await push("/batch");
  }

  // A bread is called by its school until it has a name of its own.
  const begin = (name: string, spec: BatchSpec) => void cook({ id: null, name, spec });

  // One that is gone already, here or on another screen, is deleted as it was to be.
  async function remove(path: "/api/breads/{id}" | "/api/batches/{id}", { id, name, version }: BreadView | BatchView) {
    const params = { path: { id }, header: meant(version) };
    const { trouble } = await call(() => api.DELETE(path, { params }));
    await fetchAll();
    if (trouble && trouble.kind !== "missing") return toaster.trouble(m.delete_name({ name }), trouble);
    toaster.say(m.deleted({ name }), async () => {
      const back = { params: { path: { id } } };
      await told(
        m.undo(),
        path === "/api/breads/{id}"
          ? call(() => api.POST("/api/breads/{id}/restore", back))
          : call(() => api.POST("/api/batches/{id}/restore", back)),
      );
      await fetchAll();
    });
  }
</script>

<div class="grid grid-cols-[minmax(0,1fr)] gap-6 p-3 sm:p-5 lg:h-full lg:grid-cols-[minmax(0,1fr)_264px] lg:overflow-hidden">
  <section class="flex min-h-0 flex-col" aria-labelledby="shelf">
    <div class="mb-2 flex flex-wrap items-center gap-3">
      <h1 id="shelf" class="me-auto text-title leading-none font-bold tracking-tight">{m.shelf_title()}</h1>
      <input class="field w-44" type="search" placeholder={m.find_bread()} aria-label={m.find_bread()} bind:value={find} data-find />
      <FromFile />
      <button class="button" onclick={() => (choosing = true)}><Plus size={18} aria-hidden="true" />{m.new_bread()}</button>
    </div>
    {#if tags.length}
      <div class="mb-2">
        <Chips
          oneLine
          label={m.tag_group()}
          value={[tag ?? ""]}
          options={[{ value: "", label: m.tag_all() }, ...tags.map((value) => ({ value, label: value }))]}
          onchange={(on) => (tag = on.find((t) => t !== (tag ?? "")) || null)}
        />
      </div>
    {/if}
    <Trouble trouble={shelf.trouble} again={fetchAll} />
    <ul
      class="grid min-h-0 auto-rows-min grid-cols-[minmax(0,1fr)] gap-3 overflow-y-auto pb-3 lg:auto-rows-[minmax(140px,1fr)] lg:grid-cols-2"
      data-testid="shelf"
    >
      {#each found as bread (bread.id)}
        <BreadCard {bread} scaleOf={biggest} onpick={() => void cook(bread)} onmore={(beside) => (menu = { bread, beside })} />
      {/each}
      {#if shelf.data && found.length === 0 && (find || tag)}
        <li class="p-6 text-mute">{find ? m.none_found({ find }) : m.nothing_tagged()}</li>
      {/if}
    </ul>
    {#if shelf.data?.[0].length === 0}
      <div class="min-h-0 overflow-y-auto" data-testid="beginning">
        <h2 class="text-big font-bold">{m.what_to_make()}</h2>
        <p class="mb-2 text-mute">{m.shelf_empty()}</p>
        {#await import("./shelf/Beginning.svelte") then { default: Beginning }}<Beginning onbegin={begin} />{/await}
        {#await import("./shelf/Demo.svelte") then { default: Demo }}<div class="mt-4"><Demo /></div>{/await}
      </div>
    {/if}
  </section>

  <Lately
    {batches}
    known={shelf.data !== null}
    more={shelf.more}
    onmore={() => pages++}
    onremove={(b) => void remove("/api/batches/{id}", b)}
  />
</div>

<!-- What is opened by a press comes with the press. -->
{#if choosing}
  {#await import("./shelf/NewBread.svelte") then { default: NewBread }}
    <NewBread onclose={() => (choosing = false)} onbegin={begin} />
  {/await}
{/if}
{#if menu}
  {@const { bread, beside } = menu}
  {#await import("./shelf/BreadMenu.svelte") then { default: BreadMenu }}
    <BreadMenu
      {bread}
      {beside}
      onclose={() => (menu = null)}
      onscale={() => (scaling = bread)}
      onedit={() => (editing = bread)}
      onremove={() => void remove("/api/breads/{id}", bread)}
      onchanged={fetchAll}
    />
  {/await}
{/if}
{#if editing}
  {@const bread = editing}
  {#await import("./shelf/EditBread.svelte") then { default: EditBread }}
    {#key bread.id}<EditBread {bread} onclose={() => (editing = null)} onkept={fetchAll} />{/key}
  {/await}
{/if}
{#if scaling}
  {@const bread = scaling}
  {#await import("./shelf/ScaleBread.svelte") then { default: ScaleBread }}
    {#key bread.id}<ScaleBread {bread} onclose={() => (scaling = null)} onopen={(spec) => void cook({ ...bread, spec })} />{/key}
  {/await}
{/if}
