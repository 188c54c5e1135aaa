<script lang="ts">
  import { Dialog, Switch } from "bits-ui";
  import { call } from "../api/call";
  import { api } from "../api/client";
  import { door } from "../api/door.svelte";
  import { letters } from "../letters.svelte";
  import { m } from "../paraglide/messages";
  import { told } from "../toast.svelte";

  let { open = $bindable(false) }: { open: boolean } = $props();
  async function leave() {
    const { trouble } = await told(
      m.door_leave(),
      call(() => api.POST("/api/door/leave")),
    );
    if (trouble) return;
    open = false;
    await door.look();
  }

  const rows: [string, string][] = [
    ["1", m.place_shelf()],
    ["2", m.place_batch()],
    ["3", m.place_stove()],
    ["4", m.place_log()],
    ["5", m.place_larder()],
    ["/", m.key_find()],
    ["[  ]", m.key_strata()],
    ["+  −", m.key_nudge()],
    ["Alt ←  Alt →", m.key_move()],
    ["Delete", m.key_remove()],
    ["F  G  H  J  K  L", m.key_pans()],
    ["D", m.key_done()],
    [m.space_key(), m.key_space()],
    ["U", m.key_undo()],
    ["B", m.key_bell()],
    ["Esc", m.key_leave()],
    ["?", m.key_keys()],
  ];
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-ink/40" />
    <Dialog.Content class="tray fixed inset-x-4 top-[3vh] z-50 mx-auto max-h-[94vh] max-w-md overflow-y-auto p-6">
      <Dialog.Title class="mb-3 text-title leading-none font-bold">{m.keys_title()}</Dialog.Title>
      <dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
        {#each rows as [key, what] (key)}
          <dt><kbd class="rounded-md bg-steel px-2 py-0.5 font-head font-semibold whitespace-pre">{key}</kbd></dt>
          <dd>{what}</dd>
        {/each}
      </dl>
      <label class="mt-4 flex min-h-11 items-center gap-3">
        <Switch.Root
          checked={letters.on}
          onCheckedChange={(on) => letters.set(on)}
          aria-label={m.letters_are_keys()}
          class="inline-flex h-8 w-14 shrink-0 items-center rounded-full border-2 border-rim bg-white p-0.5 data-[state=checked]:bg-rim"
        >
          <Switch.Thumb class="size-6 rounded-full bg-rim data-[state=checked]:translate-x-6 data-[state=checked]:bg-white" />
        </Switch.Root>
        {m.letters_are_keys()}
      </label>
      <div class="mt-3 flex gap-3">
        {#if door.view?.me}<button class="button flex-1" onclick={() => void leave()}>{m.door_leave()}</button>{/if}
        <Dialog.Close class="button flex-1">{m.close()}</Dialog.Close>
      </div>
      {#if door.view}<p class="mt-2 text-[14px] text-mute">{m.version({ version: door.view.version })}</p>{/if}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
