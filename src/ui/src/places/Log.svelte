<script lang="ts">
  import { untrack } from "svelte";
  import { push } from "svelte-spa-router";
  import { call, type Trouble as Why } from "../api/call";
  import { changes } from "../api/changes.svelte";
  import { api, meant } from "../api/client";
  import type { LogView } from "../api/types";
  import ImportCsv from "../files/ImportCsv.svelte";
  import { narrow } from "../narrow";
  import { m } from "../paraglide/messages";
  import Trouble from "../parts/Trouble.svelte";
  import { toaster, told } from "../toast.svelte";
  import { day } from "../words/format";
  import Compare from "./log/Compare.svelte";
  import Entry from "./log/Entry.svelte";
  import Filters from "./log/Filters.svelte";
  import Learned from "./log/Learned.svelte";
  import Lines from "./log/Lines.svelte";
  import { LogList } from "./log/log.svelte";
  import PracticeScores from "./log/PracticeScores.svelte";
  import Table from "./log/Table.svelte";
  import Trends from "./log/Trends.svelte";

  let { params }: { params?: { id?: string; batch?: string; ids?: string } } = $props();

  const list = new LogList();
  let chosen = $state<string[]>([]);
  let line = $state.raw<LogView | null>(null);
  let gone = $state(false);
  let trouble = $state.raw<Why | null>(null);
  /** Something was written into the open entry that is not kept. */
  let unkept = $state(false);
  const writing = $derived(params?.batch);
  const views = [
    ["entries", m.log_view_entries, "/log"],
    ["table", m.log_view_table, "/log/table"],
    ["trends", m.log_view_trends, "/log/trends"],
    ["learned", m.log_view_learned, "/log/learned"],
  ] as const;
  // An address names an entry or one of the views.
  const named = $derived(views.find(([value]) => value === params?.id)?.[0]);
  const view = $derived(params?.ids ? "compare" : (named ?? "entries"));
  // With nothing chosen the newest cooking lies open.
  const open = $derived(writing || view !== "entries" ? undefined : (params?.id ?? list.lines[0]?.id));

  $effect(() => {
    const id = open;
    untrack(() => void show(id));
  });
  // Asked for before anything is drawn: the lines are on their way while the place is.
  $effect.pre(() => {
    void changes.of("log");
    untrack(() => {
      void list.fetch();
      // What another screen wrote is shown, unless something is being written here: the two meet when that is kept.
      if (line && !unkept) void show(open, true);
    });
  });

  const painted = () => new Promise<void>((resolve) => requestAnimationFrame(() => setTimeout(resolve)));

  async function show(id: string | undefined, anew = false) {
    if (!id || (line?.id === id && !anew)) return;
    const { data, trouble: why } = await call(() => api.GET("/api/log/{id}", { params: { path: { id } } }));
    // The lines are seen first where they stand beside it: an entry takes longer to draw than all of them.
    if (!line && !narrow.current) await painted();
    if (id !== open) return;
    trouble = why && why.kind !== "missing" ? why : null;
    if (trouble || (anew && (unkept || data?.version === line?.version))) return;
    line = data;
    gone = !data;
  }

  async function kept(entry: LogView) {
    line = entry;
    await list.fetch();
    await push(`/log/${entry.id}`);
    toaster.say(m.log_kept({ name: entry.batchName }));
  }

  async function taken(count: number) {
    line = null;
    await Promise.all([list.fetch(), show(open)]);
    toaster.say(m.log_import_taken({ count }));
  }

  async function remove(entry: LogView) {
    const path = { id: entry.id };
    const name = m.entry_of({ name: entry.batchName, day: day(entry.cookedAt) });
    line = null;
    const { trouble: why } = await call(() => api.DELETE("/api/log/{id}", { params: { path, header: meant(entry.version) } }));
    await list.fetch();
    if (why && why.kind !== "missing") {
      await show(entry.id, true);
      return toaster.trouble(m.delete_name({ name }), why);
    }
    await push("/log");
    toaster.say(m.deleted({ name }), async () => {
      const { trouble: still } = await told(
        m.undo(),
        call(() => api.POST("/api/log/{id}/restore", { params: { path } })),
      );
      if (still) return;
      await list.fetch();
      await push(`/log/${entry.id}`);
    });
  }
</script>

<div class="flex flex-col gap-3 p-3 sm:p-5 lg:h-full lg:overflow-hidden">
  <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
    <h1 id="log" class="text-title leading-none font-bold tracking-tight">{m.place_log()}</h1>
    <nav class="flex flex-wrap gap-1" aria-label={m.log_views()}>
      {#each views as [value, name, path] (value)}
        <a
          href="#{path}"
          aria-current={view === value ? "page" : undefined}
          class="flex min-h-11 items-center rounded-inner border-2 border-transparent px-2.5 font-head font-semibold text-rim hover:bg-white aria-[current=page]:border-rim aria-[current=page]:bg-white"
          >{name()}</a
        >
      {/each}
    </nav>
    <span class="flex-1 max-sm:hidden"></span>
    {#if view === "entries" || view === "table"}
      <Filters {list} />
      <a class="button plain" href="/api/log/export" download>{m.log_csv()}</a>
      <ImportCsv path="/api/log/import" title={m.log_import_title()} plain ontaken={taken} />
    {/if}
  </div>
  {#if view === "entries" || view === "table"}<Trouble
      trouble={list.trouble ?? trouble}
      again={() => Promise.all([list.fetch(), show(open)])}
    />{/if}
  {#if view === "table"}<Table {list} />
  {:else if view === "trends"}<Trends />
  {:else if view === "learned"}<Learned />
  {:else if view === "compare"}<Compare ids={params?.ids?.split(",") ?? []} />
  {:else}
    <div class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] gap-5 lg:grid-cols-[330px_minmax(0,1fr)]">
      <section class="flex min-h-0 flex-col max-lg:order-2" aria-labelledby="log">
        <Lines {list} open={open ?? ""} bind:chosen />
        <PracticeScores />
      </section>
      {#if writing}
        {#key writing}<Entry batchId={writing} onkept={kept} />{/key}
      {:else if line && line.id === open}
        {#key line}<Entry {line} bind:unkept onkept={kept} onremove={remove} />{/key}
      {:else if list.fetched && (gone || !open)}
        <section class="tray p-8 text-mute">{params?.id ? m.entry_gone() : m.log_how()}</section>
      {/if}
    </div>
  {/if}
</div>
