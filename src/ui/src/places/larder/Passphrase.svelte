<script lang="ts">
  import { m } from "../../paraglide/messages";
  import Trouble from "../../parts/Trouble.svelte";
  import type { Screens } from "./screens.svelte";

  /** Set and changed on the kitchen's own machine alone. */
  let { screens }: { screens: Screens } = $props();
  const view = $derived(screens.fetched.data);
  let typed = $state("");
  let short = $state(false);

  async function set(event: SubmitEvent) {
    event.preventDefault();
    short = typed.trim().length < (view?.shortest ?? 0);
    if (!short && (await screens.setPassphrase(typed))) typed = "";
  }
</script>

{#if view?.lan}
  <section class="tray grid gap-3 px-4 py-4 sm:px-5.5" aria-labelledby="pass-head">
    <h2 id="pass-head" class="text-big font-bold">{m.screens_pass_head()}</h2>
    <p class={view.passphraseSet ? "text-mute" : "font-semibold text-chilli"}>
      {view.passphraseSet ? m.screens_pass_there() : `▲ ${m.screens_pass_none()}`}
    </p>
    {#if view.machine}
      <form class="grid gap-3" onsubmit={set}>
        <label class="grid gap-1"
          >{m.screens_pass_new()}
          <input
            class="field"
            type="password"
            autocomplete="new-password"
            maxlength="200"
            bind:value={typed}
            aria-invalid={short ? "true" : undefined}
            aria-describedby={short ? "pass-short pass-rule" : "pass-rule"}
          /></label
        >
        <p class="text-small text-mute" id="pass-rule">{m.screens_pass_rule({ least: view.shortest })}</p>
        {#if short}<p class="refusal" id="pass-short" role="alert">{m.screens_pass_short({ least: view.shortest })}</p>{/if}
        <Trouble trouble={screens.trouble} />
        <button class="button strong justify-self-start">{m.screens_pass_set()}</button>
      </form>
    {:else}<p class="text-mute">{m.screens_pass_elsewhere()}</p>{/if}
  </section>
{/if}
