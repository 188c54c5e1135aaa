<script lang="ts">
  import { DropdownMenu } from "bits-ui";
  import Copy from "@lucide/svelte/icons/copy";
  import Ellipsis from "@lucide/svelte/icons/ellipsis";
  import FileDown from "@lucide/svelte/icons/file-down";
  import FileText from "@lucide/svelte/icons/file-text";
  import Pencil from "@lucide/svelte/icons/pencil";
  import Scale from "@lucide/svelte/icons/scale";
  import Trash2 from "@lucide/svelte/icons/trash-2";
  import { push } from "svelte-spa-router";
  import { changes } from "../api/changes.svelte";
  import { call, callPages } from "../api/call";
  import { api, meant } from "../api/client";
  import { all, Fetched } from "../api/fetched.svelte";
  import type { BatchView, BreadView } from "../api/types";
  import { batch } from "../bench/bench.svelte";
  import { type Keeper, keepers } from "../bench/keeper.svelte";
  import { newId } from "../ids";
  import { m } from "../paraglide/messages";
  import { madeOf } from "../words/figures";
  import { keepingWords } from "../words/trouble";
  import Section from "../section/Section.svelte";
  import Chips from "../parts/Chips.svelte";
  import Trouble from "../parts/Trouble.svelte";
  import { toaster, told } from "../toast.svelte";
  import { amount, clock, day } from "../words/format";
  import { fetchFile } from "../files/files";
  import EditBread from "./shelf/EditBread.svelte";
  import FromFile from "./shelf/FromFile.svelte";
  import NewBread from "./shelf/NewBread.svelte";
  import { saveRecipe } from "./shelf/recipe";
  import ScaleBread from "./shelf/ScaleBread.svelte";

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
  let editing = $state.raw<BreadView | null>(null);
  let scaling = $state.raw<BreadView | null>(null);
  const tags = $derived([...new Set(breads.flatMap((b) => b.tags))].toSorted((a, b) => a.localeCompare(b)));
  const found = $derived(
    breads.filter(
      (b) =>
        (tag === null || b.tags.includes(tag)) &&
        `${b.name} ${b.about} ${b.tags.join(" ")}`.toLowerCase().includes(find.trim().toLowerCase()),
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

  async function recipe(bread: BreadView) {
    const trouble = await saveRecipe(bread);
    if (trouble) toaster.trouble(`${m.save_recipe()}, ${bread.name}`, trouble);
  }

  async function duplicate(bread: BreadView) {
    const { name, about, tags, spec } = bread;
    const body = { name: m.copy_of({ name }).slice(0, 80), about, tags, spec, id: newId() };
    const { data } = await told(
      `${m.duplicate()}, ${name}`,
      call(() => api.POST("/api/breads", { body })),
    );
    if (!data) return;
    await fetchAll();
    toaster.say(m.duplicated({ name: data.name }), async () => {
      const params = { path: { id: data.id }, header: meant(data.version) };
      await told(
        m.undo(),
        call(() => api.DELETE("/api/breads/{id}", { params })),
      );
      await fetchAll();
    });
  }

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

  function discard(keeper: Keeper) {
    const { figures } = keeper;
    keeper.discard();
    toaster.say(m.discarded({ name: figures.name || m.nameless() }), () => keeper.changed(figures));
  }
</script>

<div class="grid grid-cols-[minmax(0,1fr)] gap-6 p-3 sm:p-5 lg:h-full lg:grid-cols-[minmax(0,1fr)_264px] lg:overflow-hidden">
  <section class="flex min-h-0 flex-col" aria-labelledby="shelf">
    <div class="mb-2 flex flex-wrap items-center gap-3">
      <h1 id="shelf" class="me-auto text-title leading-none font-bold tracking-tight">{m.shelf_title()}</h1>
      <input class="field w-44" type="search" placeholder={m.find_bread()} aria-label={m.find_bread()} bind:value={find} data-find />
      <FromFile />
      <NewBread onpick={(school) => void cook({ id: null, name: m.new_bread_name(), spec: school.spec })} />
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
        <li class="tray relative flex flex-col px-4 pt-2 pb-2">
          <div class="flex items-start gap-2">
            <div class="min-w-0 flex-1">
              <h2 class="text-big leading-tight font-bold">
                <button class="text-start after:absolute after:inset-0 after:rounded-tray" onclick={() => void cook(bread)}
                  >{bread.name}</button
                >
              </h2>
              <p class="line-clamp-1 text-small leading-snug text-mute max-lg:line-clamp-2">{bread.about}</p>
            </div>
            <DropdownMenu.Root>
              <DropdownMenu.Trigger
                class="relative z-10 -me-2 grid size-11 shrink-0 place-items-center rounded-lg text-mute hover:bg-steel"
                aria-label={m.more_of({ name: bread.name })}><Ellipsis size={20} /></DropdownMenu.Trigger
              >
              <DropdownMenu.Portal to="main">
                <DropdownMenu.Content class="tray z-50 w-64 rounded-xl p-1 shadow-lg" align="end">
                  {#each [{ icon: Scale, label: m.scale_open(), go: () => (scaling = bread) }, { icon: Pencil, label: m.edit_bread(), go: () => (editing = bread) }, { icon: Copy, label: m.duplicate(), go: () => void duplicate(bread) }, { icon: FileDown, label: m.save_bread(), go: () => fetchFile(`/api/files/breads/${bread.id}`) }, { icon: FileText, label: m.save_recipe(), go: () => void recipe(bread) }, { icon: Trash2, label: m.delete_item(), go: () => void remove("/api/breads/{id}", bread) }] as { icon: Icon, label, go } (label)}
                    <DropdownMenu.Item
                      class="flex min-h-11 cursor-pointer items-center gap-3 rounded-lg px-3 data-[highlighted]:bg-steel"
                      onSelect={go}><Icon size={18} aria-hidden="true" />{label}</DropdownMenu.Item
                    >
                  {/each}
                </DropdownMenu.Content>
              </DropdownMenu.Portal>
            </DropdownMenu.Root>
          </div>
          {#if bread.glance}
            {@const glance = bread.glance}
            <div class="pointer-events-none mt-auto pt-1"><Section section={glance.section} height={52} small scaleOf={biggest} /></div>
            <p class="mt-0.5 flex flex-wrap gap-x-4 text-small">
              <b>{m.count_times({ count: glance.pieces, mass: amount(glance.ball, "g") })}</b>
              <span>{amount(glance.across, "mm")}</span>
              <span>{madeOf(glance.section, glance.leaves)}</span>
              {#if glance.fused}<span class="font-semibold text-chilli">▲ {m.welded({ count: glance.fused })}</span>{/if}
            </p>
          {:else}<p class="refusal mt-auto">{m.cannot_be_worked()}</p>{/if}
        </li>
      {/each}
      {#if shelf.data && found.length === 0}
        <li class="p-6 text-mute">{find ? m.none_found({ find }) : tag ? m.nothing_tagged() : m.shelf_empty()}</li>
      {/if}
    </ul>
  </section>

  <section class="flex min-h-0 flex-col" aria-labelledby="lately">
    <h2 id="lately" class="mb-3 flex min-h-11 items-center text-big font-bold">{m.lately()}</h2>
    <ul class="min-h-0 overflow-y-auto">
      {#each keepers.unkept as k (k.id)}
        <li class="relative flex items-center border-b border-rim-soft last:border-0" data-unkept={k.keeping}>
          <a class="min-w-0 flex-1 py-2 after:absolute after:inset-0" href="#/batch/{k.id}">
            <span class="block truncate font-head font-semibold">{k.figures.name || m.nameless()}</span>
            <span class="block text-fine font-semibold text-chilli">▲ {keepingWords(k.keeping, k.trouble) || m.not_kept_here()}</span>
          </a>
          <button
            class="relative grid size-11 place-items-center rounded-lg text-mute hover:bg-white"
            aria-label="{m.discard_unkept()}: {k.figures.name || m.nameless()}"
            onclick={() => discard(k)}><Trash2 size={16} /></button
          >
        </li>
      {/each}
      {#each batches.filter((b) => !keepers.unkept.some((k) => k.id === b.id)) as b (b.id)}
        <li class="relative flex items-center border-b border-rim-soft last:border-0">
          <a class="min-w-0 flex-1 py-2 after:absolute after:inset-0" href="#/batch/{b.id}">
            <span class="block truncate font-head font-semibold">{b.name}</span>
            <span class="block text-fine text-mute"
              >{m.day_at({ day: day(b.madeFor), time: clock(b.madeFor) })}{b.spec.start.by === "pieces"
                ? ` · ${m.pieces_count({ count: b.spec.start.pieces })}`
                : ""}</span
            >
          </a>
          <button
            class="relative grid size-11 place-items-center rounded-lg text-mute hover:bg-white"
            aria-label={m.delete_name({ name: `${b.name}, ${day(b.madeFor)}` })}
            onclick={() => void remove("/api/batches/{id}", b)}><Trash2 size={16} /></button
          >
        </li>
      {/each}
      {#if shelf.more}<li class="py-2"><button class="button w-full" onclick={() => pages++}>{m.batches_more()}</button></li>{/if}
      {#if shelf.data && batches.length === 0 && keepers.unkept.length === 0}<li class="py-2 text-mute">{m.no_batches()}</li>{/if}
    </ul>
  </section>
</div>

{#if editing}{#key editing.id}<EditBread bread={editing} onclose={() => (editing = null)} onkept={fetchAll} />{/key}{/if}
{#if scaling}{#key scaling.id}<ScaleBread
      bread={scaling}
      onclose={() => (scaling = null)}
      onopen={(spec) => scaling && void cook({ ...scaling, spec })}
    />{/key}{/if}
