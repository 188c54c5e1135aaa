<script lang="ts">
  import Compass from "@lucide/svelte/icons/compass";
  import { push } from "svelte-spa-router";
  import { call } from "../api/call";
  import { api } from "../api/client";
  import { door } from "../api/door.svelte";
  import { batch } from "../bench/bench.svelte";
  import { letters } from "../letters.svelte";
  import { m } from "../paraglide/messages";
  import { round } from "../round.svelte";
  import { told } from "../toast.svelte";
  import Dialog from "./Dialog.svelte";
  import DialogClose from "./DialogClose.svelte";
  import Switch from "./Switch.svelte";

  let { onclose }: { onclose: () => void } = $props();
  async function leave() {
    const { trouble } = await told(
      m.door_leave(),
      call(() => api.POST("/api/door/leave")),
    );
    if (trouble) return;
    onclose();
    await door.look();
  }

  async function lookRound() {
    onclose();
    await push("/batch");
    round.begin();
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

<Dialog open {onclose} title={m.keys_title()} wide="narrow">
  <dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
    {#each rows as [key, what] (key)}
      <dt><kbd class="rounded-md bg-steel px-2 py-0.5 font-head font-semibold whitespace-pre">{key}</kbd></dt>
      <dd>{what}</dd>
    {/each}
  </dl>
  <Switch label={m.letters_are_keys()} checked={letters.on} onchange={(on) => letters.set(on)} />
  {#if batch.spec}<button class="button" onclick={() => void lookRound()}><Compass size={18} aria-hidden="true" />{m.round_again()}</button
    >{/if}
  <div class="flex gap-3">
    {#if door.view?.me}<button class="button flex-1" onclick={() => void leave()}>{m.door_leave()}</button>{/if}
    <DialogClose class="button flex-1" />
  </div>
  {#if door.view}<p class="text-small text-mute">{m.version({ version: door.view.version })}</p>{/if}
</Dialog>
