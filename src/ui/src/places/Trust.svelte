<script lang="ts">
  import Download from "@lucide/svelte/icons/download";
  import { door } from "../api/door.svelte";
  import { m } from "../paraglide/messages";

  /** How a tablet is told to trust the certificate the kitchen made for itself. */
  const ways: [string, string][] = [
    [m.trust_android(), m.trust_android_how()],
    [m.trust_ios(), m.trust_ios_how()],
    [m.trust_windows(), m.trust_windows_how()],
    [m.trust_mac(), m.trust_mac_how()],
    [m.trust_linux(), m.trust_linux_how()],
  ];
</script>

<div class="mx-auto grid max-w-3xl gap-4 p-4 sm:p-8">
  <section class="tray grid gap-3 p-5 sm:p-7">
    <h1 class="text-title leading-none font-bold">{m.trust_title()}</h1>
    {#if door.view && !door.view.authority}
      <p>{m.trust_none()}</p>
    {:else if door.view?.authority}
      <p>{m.trust_why()}</p>
      <a class="button strong justify-self-start" href="/authority.crt" download><Download size={18} aria-hidden="true" />{m.trust_get()}</a
      >
      <dl class="grid gap-3">
        {#each ways as [system, how] (system)}
          <div class="border-t border-line pt-2">
            <dt class="font-head font-bold">{system}</dt>
            <dd>{how}</dd>
          </div>
        {/each}
      </dl>
      <p class="font-semibold">{m.trust_same()}</p>
      <p class="rounded-xl bg-steel px-4 py-3 text-lead leading-relaxed font-semibold tracking-wide break-words" data-testid="authority">
        {door.view.authority.replaceAll(":", " ")}
      </p>
      {#if door.outside}<a class="button justify-self-start" href="#/">{m.trust_then()}</a>{/if}
    {/if}
  </section>
</div>
