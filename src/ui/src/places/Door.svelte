<script lang="ts">
  import { router } from "svelte-spa-router";
  import { call, type Trouble as Why } from "../api/call";
  import { api } from "../api/client";
  import { door } from "../api/door.svelte";
  import type { DoorTrouble, ScreenKind, ScreenView } from "../api/types";
  import { m } from "../paraglide/messages";
  import Segments from "../parts/Segments.svelte";
  import Trouble from "../parts/Trouble.svelte";

  /** Where a screen is let in: by the code that was scanned, or by the kitchen's passphrase. */
  const scanned = /^\/in\/(\w+)$/.exec(router.location)?.[1];
  let code = $state(scanned);
  let name = $state(m.door_name_usual());
  let passphrase = $state("");
  let kind = $state<ScreenKind>("all");
  let busy = $state(false);
  let refused = $state("");
  let trouble = $state.raw<Why | null>(null);

  const words: Record<DoorTrouble, () => string> = {
    wrongPassphrase: m.door_wrong,
    codeGone: m.door_code_gone,
    noPassphrase: m.door_none,
    tooManyScreens: m.door_too_many,
  };

  async function comeIn(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    const answer = await call<ScreenView>(
      () =>
        code
          ? api.POST("/api/door/code", { body: { code, name } })
          : api.POST("/api/door/passphrase", { body: { passphrase, name, kind } }),
      { once: true },
    );
    busy = false;
    // Everything begins anew, as the screen it is now; a code stands in no history.
    if (answer.data) {
      history.replaceState(null, "", answer.data.kind === "stove" ? "#/stove" : "#/");
      return location.reload();
    }
    const why = answer.trouble;
    const told = why?.kind === "refused" ? (why.code as DoorTrouble | undefined) : undefined;
    refused = told ? words[told]() : why?.kind === "busy" ? m.door_slowly() : "";
    trouble = refused ? null : why;
    if (told === "codeGone") code = undefined;
  }
</script>

<div class="mx-auto grid max-w-xl gap-4 p-4 sm:p-8">
  <form class="tray grid gap-4 p-5 sm:p-7" onsubmit={comeIn}>
    <h1 class="text-title leading-none font-bold">{m.door_title()}</h1>
    <p class="text-mute">{code ? m.door_scanned() : m.door_say()}</p>
    {#if !code}
      <label class="grid gap-1"
        >{m.door_passphrase()}
        <input
          class="field"
          type="password"
          autocomplete="current-password"
          maxlength="200"
          required
          bind:value={passphrase}
          aria-invalid={refused ? "true" : undefined}
          aria-describedby={refused ? "door-refused" : undefined}
        /></label
      >
    {/if}
    {#if refused}<p class="refusal" id="door-refused" role="alert">{refused}</p>{/if}
    <Trouble {trouble} />
    <label class="grid gap-1">{m.door_name()}<input class="field" maxlength="40" required bind:value={name} /></label>
    {#if !code}
      <Segments
        label={m.screens_in_as()}
        value={kind}
        options={[
          { value: "all", label: m.screen_all() },
          { value: "stove", label: m.screen_stove() },
        ]}
        onchange={(k) => (kind = k)}
      />
    {/if}
    <button class="button strong" disabled={busy}>{m.door_in()}</button>
  </form>
  {#if door.view?.authority}<a class="button justify-self-center" href="#/trust">{m.trust_title()}</a>{/if}
</div>
