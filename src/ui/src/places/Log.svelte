<script lang="ts">
  import { push } from "svelte-spa-router";
  import { api } from "../api/client";
  import type { LogView } from "../api/types";
  import { m } from "../paraglide/messages";
  import { toaster } from "../toast.svelte";
  import { clock, day } from "../words/format";
  import LogEntry from "./LogEntry.svelte";
  import Marks from "./Marks.svelte";
  import PracticeScores from "./PracticeScores.svelte";

  let { params }: { params?: { id?: string; batch?: string } } = $props();

  let lines = $state.raw<LogView[]>([]);
  let find = $state("");
  let fetched = $state(false);
  const found = $derived(lines.filter((l) => `${l.batchName} ${l.outcome.note}`.toLowerCase().includes(find.trim().toLowerCase())));
  const writing = $derived(params?.batch);
  // With nothing chosen the newest cooking lies open.
  const open = $derived(writing ? undefined : (lines.find((l) => l.id === params?.id) ?? (params?.id ? undefined : found[0])));

  void fetchAll();

  async function fetchAll() {
    const { data } = await api.GET("/api/log");
    lines = data ?? [];
    fetched = true;
  }

  async function kept(line: LogView) {
    await fetchAll();
    await push(`/log/${line.id}`);
    toaster.say(m.log_kept({ name: line.batchName }));
  }

  async function remove(line: LogView) {
    const entry = { path: { id: line.id } };
    await api.DELETE("/api/log/{id}", { params: entry });
    await fetchAll();
    await push("/log");
    toaster.say(m.deleted({ name: m.entry_of({ name: line.batchName, day: day(line.cookedAt) }) }), async () => {
      await api.POST("/api/log/{id}/restore", { params: entry });
      await fetchAll();
      await push(`/log/${line.id}`);
    });
  }
</script>

<div class="grid grid-cols-[minmax(0,1fr)] gap-5 p-3 sm:p-5 lg:h-full lg:grid-cols-[330px_minmax(0,1fr)] lg:overflow-hidden">
  <section class="flex min-h-0 flex-col max-lg:order-2" aria-labelledby="log">
    <div class="mb-3 flex flex-wrap items-center gap-3">
      <h1 id="log" class="me-auto text-title leading-none font-bold tracking-tight">{m.place_log()}</h1>
      <input class="field w-40" type="search" placeholder={m.find_log()} aria-label={m.find_log()} bind:value={find} data-find />
    </div>
    <ul class="min-h-0 overflow-y-auto" data-testid="log-lines">
      {#each found as line (line.id)}
        <li class="border-b border-rim-soft last:border-0">
          <a
            class="block rounded-lg border-s-[6px] border-transparent px-2.5 py-1.5 hover:bg-white aria-[current=true]:border-ghee aria-[current=true]:bg-enamel"
            href="#/log/{line.id}"
            aria-current={open?.id === line.id ? "true" : undefined}
          >
            <span class="flex items-baseline justify-between gap-2">
              <span class="truncate font-head font-semibold">{line.batchName}</span>
              <span class="text-[13px] whitespace-nowrap text-mute">{day(line.cookedAt)} {clock(line.cookedAt)}</span>
            </span>
            <span class="flex items-center gap-3">
              <Marks judged={line.outcome.judged} />
              <span class="min-w-0 truncate text-[13px] text-mute">{line.outcome.note}</span>
            </span>
          </a>
        </li>
      {/each}
      {#if fetched && found.length === 0}<li class="py-2 text-mute">{find ? m.none_found({ find }) : m.log_empty()}</li>{/if}
    </ul>
    <PracticeScores />
  </section>

  {#if writing}
    {#key writing}<LogEntry batchId={writing} onkept={kept} />{/key}
  {:else if open}
    {#key open}<LogEntry line={open} onkept={kept} onremove={remove} />{/key}
  {:else if fetched}
    <section class="tray p-8 text-mute">{params?.id ? m.entry_gone() : m.log_how()}</section>
  {/if}
</div>
