<script lang="ts">
  import Download from "@lucide/svelte/icons/download";
  import FileDown from "@lucide/svelte/icons/file-down";
  import History from "@lucide/svelte/icons/history";
  import Trash2 from "@lucide/svelte/icons/trash-2";
  import { call, callFile, type Trouble as Why } from "../../api/call";
  import { changes } from "../../api/changes.svelte";
  import { api, patient, sendFile } from "../../api/client";
  import { Fetched } from "../../api/fetched.svelte";
  import { larder } from "../../api/larder.svelte";
  import type { BackupFile, ElsewhereTrouble } from "../../api/types";
  import FileButton from "../../files/FileButton.svelte";
  import TakeFile from "../../files/TakeFile.svelte";
  import { m } from "../../paraglide/messages";
  import Trouble from "../../parts/Trouble.svelte";
  import { toaster, told } from "../../toast.svelte";
  import { clock, day, number } from "../../words/format";
  import Demo from "../shelf/Demo.svelte";
  import RestoreDialog from "./RestoreDialog.svelte";
  import Trash from "./Trash.svelte";

  /** Backups, files and what was deleted: nothing a kitchen had is lost by a slip or a broken disk. */
  const fetched = new Fetched(() => call(() => api.GET("/api/keeping")));
  const keeping = $derived(fetched.data);
  // One that is asked about once more before it is deleted: nothing brings it back.
  let doomed = $state<string | null>(null);
  let looked = $state.raw<BackupFile | null>(null);
  let trouble = $state.raw<Why | null>(null);
  let busy = $state(false);
  let file = $state.raw<File | null>(null);
  const elsewhereWords: Record<ElsewhereTrouble, () => string> = {
    none: () => "",
    notThere: m.elsewhere_not_there,
    noRight: m.elsewhere_no_right,
    noRoom: m.elsewhere_no_room,
    broken: m.elsewhere_broken,
    other: m.elsewhere_other,
  };

  $effect(() => {
    void changes.of("kitchen");
    void fetched.fetch();
  });

  async function make() {
    busy = true;
    // Sent twice it would be two.
    const { data } = await told(
      m.backup_make(),
      call(() => patient.POST("/api/keeping/backups"), { once: true }),
    );
    busy = false;
    if (data) toaster.say(m.backup_made());
    await fetched.fetch();
  }

  async function bring(backup: File) {
    busy = true;
    const headers = { "Content-Type": "application/octet-stream" };
    const answer = await callFile<BackupFile>(() => sendFile("/api/keeping/backups/bring", { method: "POST", body: backup, headers }), {
      once: true,
    });
    busy = false;
    trouble = answer.trouble;
    if (!trouble) toaster.say(m.backup_brought());
    await fetched.fetch();
  }

  async function remove({ name, madeAt }: BackupFile) {
    doomed = null;
    const params = { path: { name } };
    const why = (
      await told(
        m.backup_delete({ name }),
        call(() => api.DELETE("/api/keeping/backups/{name}", { params })),
      )
    ).trouble;
    if (!why) toaster.say(m.deleted({ name: `${day(madeAt)} ${clock(madeAt)}` }));
    await fetched.fetch();
  }

  async function restored(file: BackupFile) {
    looked = null;
    toaster.say(m.restore_done({ day: `${day(file.madeAt)} ${clock(file.madeAt)}` }));
    changes.tell("kitchen");
    await Promise.all([larder.fetch(), fetched.fetch()]);
  }
</script>

<Trouble trouble={fetched.trouble} again={fetched.fetch} />
{#if keeping?.damaged}<p class="mb-2 rounded-xl border-2 border-chilli bg-white px-3 py-2 font-semibold" role="alert" data-testid="damaged">
    ▲ {m.kitchen_damaged()}
  </p>{/if}
{#if keeping?.littleRoom}<p
    class="mb-2 rounded-xl border-2 border-chilli bg-white px-3 py-2 font-semibold"
    role="alert"
    data-testid="little-room"
  >
    ▲ {m.kitchen_little_room()}
  </p>{/if}
{#if keeping}
  <div class="grid content-start gap-5 lg:grid-cols-2">
    <section class="tray px-4 py-3 sm:px-5.5" aria-labelledby="backups-head">
      <h2 id="backups-head" class="text-big font-bold">{m.backups_head()}</h2>
      <p class="mb-2 text-mute">{m.backups_how({ kept: keeping.kept, others: keeping.othersKept })}</p>
      {#if keeping.elsewhere}
        <p class="mb-2 {keeping.elsewhere.old ? 'font-semibold text-chilli' : 'text-mute'}" data-testid="elsewhere">
          {keeping.elsewhere.old ? "▲" : ""}
          {keeping.elsewhere.newest
            ? m.elsewhere_newest({
                folder: keeping.elsewhere.folder,
                day: `${day(keeping.elsewhere.newest)} ${clock(keeping.elsewhere.newest)}`,
              })
            : m.elsewhere_none({ folder: keeping.elsewhere.folder })}
          {elsewhereWords[keeping.elsewhere.trouble]()}
        </p>
      {/if}
      <div class="mb-2 flex flex-wrap gap-2">
        <button class="button strong" onclick={() => void make()} disabled={busy}>{m.backup_make()}</button>
        <FileButton label={m.backup_bring()} accept=".db" disabled={busy} onfile={bring} />
      </div>
      <Trouble {trouble} />
      <ul data-testid="backups">
        {#each keeping.backups as file (file.name)}
          <li class="flex flex-wrap items-center gap-x-3 border-b border-line py-1 last:border-0">
            <span class="min-w-0 flex-1 font-head font-semibold max-sm:basis-full">{day(file.madeAt)} {clock(file.madeAt)}</span>
            <span class="text-small text-mute"
              >{file.daily ? m.backup_daily() : ""} {m.backup_size({ size: number(file.bytes / 1e6, 1) })}</span
            >
            <a
              class="button plain"
              href="/api/keeping/backups/{file.name}"
              download={file.name}
              aria-label={m.backup_fetch({ name: file.name })}><Download size={18} aria-hidden="true" /></a
            >
            {#if doomed === file.name}
              <button class="button strong" onclick={() => void remove(file)}>{m.backup_delete_for_good()}</button>
              <button class="button" onclick={() => (doomed = null)} {@attach (button: HTMLElement) => button.focus()}
                >{m.backup_keep()}</button
              >
            {:else}
              {#if !file.daily}<button
                  class="button plain"
                  aria-label={m.backup_delete({ name: file.name })}
                  onclick={() => (doomed = file.name)}><Trash2 size={18} aria-hidden="true" /></button
                >{/if}
              <button class="button" onclick={() => (looked = file)}><History size={17} aria-hidden="true" />{m.backup_look()}</button>
            {/if}
          </li>
        {:else}<li class="py-2 text-mute">{m.backups_none()}</li>{/each}
      </ul>
    </section>
    <div class="grid content-start gap-5">
      <section class="tray px-4 py-3 sm:px-5.5" aria-labelledby="file-head">
        <h2 id="file-head" class="text-big font-bold">{m.file_head()}</h2>
        <p class="mb-2 text-mute">{m.file_how()}</p>
        <div class="flex flex-wrap gap-2">
          <a class="button strong" href="/api/files/kitchen" download><FileDown size={18} aria-hidden="true" />{m.file_save()}</a>
          <FileButton label={m.file_open()} accept=".json,application/json" onfile={(f) => void (file = f)} />
        </div>
      </section>
      <Demo />
      <Trash days={keeping.trashDays} />
    </div>
  </div>
{/if}

{#if file}{#key file}<TakeFile {file} onclose={() => (file = null)} ontaken={fetched.fetch} />{/key}{/if}
{#if looked}
  <RestoreDialog file={looked} onclose={() => (looked = null)} onrestored={restored} />
{/if}
