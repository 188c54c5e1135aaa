<script lang="ts">
  import Camera from "@lucide/svelte/icons/camera";
  import X from "@lucide/svelte/icons/x";
  import { callFile, type Trouble as Why } from "../../api/call";
  import { sendFile } from "../../api/client";
  import { newId } from "../../ids";
  import Trouble from "../../parts/Trouble.svelte";
  import { m } from "../../paraglide/messages";

  /** One photo of a cooking; the kitchen makes it anew before it is kept. */
  let { id = $bindable(), label }: { id: string | null; label: string } = $props();
  let sending = $state(false);
  let trouble = $state.raw<Why | null>(null);

  async function send(event: Event & { currentTarget: HTMLInputElement }) {
    const input = event.currentTarget;
    const file = input.files?.[0];
    input.value = "";
    if (!file) return;
    sending = true;
    trouble = null;
    const own = newId();
    const headers = { "Content-Type": file.type || "application/octet-stream" };
    const answer = await callFile<{ id: string }>(() => sendFile(`/api/photos?id=${own}`, { method: "POST", body: file, headers }));
    sending = false;
    trouble = answer.trouble;
    if (answer.data) id = answer.data.id;
  }
</script>

<div class="flex flex-wrap items-center gap-2" data-testid="photo">
  {#if id}
    <a href="/api/photos/{id}" target="_blank" rel="noreferrer">
      <img src="/api/photos/{id}?small=true" alt={label} class="h-18 min-w-18 max-w-40 rounded-lg border-2 border-rim-soft object-cover" />
    </a>
    <button class="button plain" type="button" onclick={() => (id = null)}><X size={17} aria-hidden="true" />{m.photo_take_out()}</button>
  {:else}
    <label class="button focus-within:outline-3 focus-within:outline-offset-2 focus-within:outline-rim">
      <Camera size={18} aria-hidden="true" />{sending ? m.photo_sending() : m.photo_add()}
      <input class="sr-only" type="file" accept="image/png,image/jpeg,image/webp" onchange={send} disabled={sending} />
    </label>
  {/if}
  {#if trouble?.kind === "refused"}<p class="refusal" role="alert">{m.photo_bad()}</p>{:else}<Trouble {trouble} />{/if}
</div>
