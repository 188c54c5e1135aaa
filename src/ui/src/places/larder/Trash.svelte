<script lang="ts">
  import Undo2 from "@lucide/svelte/icons/undo-2";
  import { call, callPages } from "../../api/call";
  import { changes } from "../../api/changes.svelte";
  import { api } from "../../api/client";
  import { Fetched } from "../../api/fetched.svelte";
  import type { Trashed } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Trouble from "../../parts/Trouble.svelte";
  import { toaster, told } from "../../toast.svelte";
  import { day } from "../../words/format";

  /** What was deleted, and for how long it can be taken back. */
  let { days }: { days: number } = $props();
  let pages = $state(1);
  const trash = new Fetched(() => callPages((after) => call(() => api.GET("/api/keeping/trash", { params: { query: { after } } })), pages));
  const kinds: Record<string, () => string> = { bread: m.trash_kind_bread, batch: m.trash_kind_batch, log: m.trash_kind_log };
  const DAY_MS = 86_400_000;

  // What is deleted on another screen lies in this trash too.
  $effect(() => {
    for (const place of ["breads", "batches", "log"] as const) void changes.of(place);
    void trash.fetch();
  });

  async function takeBack({ kind, id, name }: Trashed) {
    const path = { params: { path: { id } } };
    const { trouble: why } = await told(
      m.choice_of({ label: m.trash_back(), value: name }),
      kind === "bread"
        ? call(() => api.POST("/api/breads/{id}/restore", path))
        : kind === "batch"
          ? call(() => api.POST("/api/batches/{id}/restore", path))
          : call(() => api.POST("/api/log/{id}/restore", path)),
    );
    if (!why) toaster.say(m.trash_taken({ name }));
    await trash.fetch();
  }

  const left = (t: Trashed) => Math.max(Math.ceil(days - (Date.now() - Date.parse(t.deletedAt)) / DAY_MS), 0);
</script>

<section class="tray px-4 py-3 sm:px-5.5" aria-labelledby="trash-head">
  <h2 id="trash-head" class="text-big font-bold">{m.trash_head()}</h2>
  <p class="mb-2 text-mute">{m.trash_how({ days })}</p>
  <Trouble trouble={trash.trouble} again={trash.fetch} />
  <ul data-testid="trash">
    {#each trash.data ?? [] as thing (thing.kind + thing.id)}
      <li class="flex flex-wrap items-center gap-x-3 border-b border-line py-1 last:border-0">
        <span class="min-w-0 flex-1"
          ><b>{thing.name}</b>
          <span class="text-small text-mute">{kinds[thing.kind]?.()}, {day(thing.deletedAt)}, {m.trash_left({ days: left(thing) })}</span
          ></span
        >
        <button class="button" onclick={() => void takeBack(thing)} aria-label={m.choice_of({ label: m.trash_back(), value: thing.name })}
          ><Undo2 size={17} aria-hidden="true" />{m.trash_back()}</button
        >
      </li>
    {:else}{#if trash.data}<li class="py-2 text-mute">{m.trash_none()}</li>{/if}{/each}
    {#if trash.more}<li class="py-2"><button class="button w-full" onclick={() => pages++}>{m.trash_more()}</button></li>{/if}
  </ul>
</section>
