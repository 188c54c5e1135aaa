<script lang="ts">
  import { m } from "../../paraglide/messages";
  import Segments from "../../parts/Segments.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import { clock, day, seconds } from "../../words/format";
  import Passphrase from "./Passphrase.svelte";
  import { Screens } from "./screens.svelte";

  /** The tablets of this kitchen: how one is let in, and who is. */
  const screens = new Screens();
  const view = $derived(screens.fetched.data);
  const when = (at: string) => `${day(at)} ${clock(at)}`;
</script>

<Trouble trouble={screens.fetched.trouble} again={screens.fetched.fetch} />
{#if view}
  <div class="grid content-start gap-5 lg:grid-cols-2">
    <div class="grid content-start gap-5">
      {#if !view.lan}
        <section class="tray grid gap-2 px-4 py-4 sm:px-5.5">
          <h2 class="text-big font-bold">{m.screens_alone()}</h2>
          <p>{m.screens_alone_how()}</p>
          <p><code class="rounded-md bg-steel px-2 py-1 font-semibold">./ystrata start --lan</code></p>
        </section>
      {:else if view.passphraseSet}
        <section class="tray grid gap-3 px-4 py-4 sm:px-5.5" aria-labelledby="in-head">
          <h2 id="in-head" class="text-big font-bold">{m.screens_in_head()}</h2>
          <p class="text-mute">{m.screens_in_how()}</p>
          <ul data-testid="addresses">
            {#each view.addresses as address (address)}<li class="text-big font-semibold break-all">{address}</li>{/each}
          </ul>
          {#if !view.tls}<p class="font-semibold text-chilli">▲ {m.screens_plain()}</p>{/if}
          <Segments
            label={m.screens_in_as()}
            value={screens.kind}
            options={[
              { value: "all", label: m.screen_all() },
              { value: "stove", label: m.screen_stove() },
            ]}
            onchange={(k) => screens.as(k)}
          />
          {#if screens.code && screens.left > 0}
            <svg
              class="w-full max-w-72 justify-self-center bg-white"
              viewBox="0 0 {screens.code.side} {screens.code.side}"
              role="img"
              aria-label={m.screens_code_picture({ address: screens.code.address })}
              data-testid="code"
              shape-rendering="crispEdges"><path d={screens.code.dark} fill="black" /></svg
            >
            <p class="text-center font-semibold">{m.screens_code_left({ left: seconds(screens.left) })}</p>
          {:else}
            {#if screens.code}<p>{m.screens_code_gone()}</p>{/if}
            <button class="button strong" onclick={() => void screens.show()}
              >{screens.code ? m.screens_code_again() : m.screens_code_show()}</button
            >
          {/if}
          {#if view.authority}<p class="text-mute">{m.screens_trust()}: <a class="underline" href="#/trust">{m.trust_title()}</a></p>{/if}
        </section>
      {/if}
    </div>
    {#if view.lan}
      <div class="grid content-start gap-5">
        <section class="tray px-4 py-3 sm:px-5.5" aria-labelledby="screens-head">
          <h2 id="screens-head" class="text-big font-bold">{m.screens_head()}</h2>
          <ul data-testid="screens">
            {#each view.screens as screen (screen.id)}
              <li class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line py-2 last:border-0">
                <input
                  class="field min-w-0 flex-1 font-semibold"
                  aria-label={m.screen_name_of({ name: screen.name })}
                  value={screen.name}
                  maxlength="40"
                  onchange={(e) => void screens.rename(screen, e.currentTarget.value)}
                />
                <button
                  class="button"
                  aria-label={m.screen_send_away_of({ name: screen.name })}
                  onclick={() => void screens.sendAway(screen)}>{m.screen_send_away()}</button
                >
                <span class="basis-full text-small text-mute"
                  >{screen.kind === "all" ? m.screen_all() : m.screen_stove()} · {m.screen_seen({ when: when(screen.seenAt) })}{screen.me
                    ? ` · ${m.screens_me()}`
                    : ""}</span
                >
              </li>
            {:else}<li class="py-2 text-mute">{m.screens_none()}</li>{/each}
          </ul>
          {#if view.wrong.length}
            <h3 class="mt-3 font-bold text-chilli">▲ {m.screens_wrong()}</h3>
            <ul data-testid="wrong">
              {#each view.wrong as { address, count, last } (address)}<li>
                  {m.screens_wrong_line({ address, count, when: when(last) })}
                </li>{/each}
            </ul>
          {/if}
        </section>
        <Passphrase {screens} />
      </div>
    {/if}
  </div>
{/if}
