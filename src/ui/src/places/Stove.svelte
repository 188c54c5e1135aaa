<script lang="ts">
  import { push } from "svelte-spa-router";
  import { call } from "../api/call";
  import { changes } from "../api/changes.svelte";
  import { api } from "../api/client";
  import { all, Fetched } from "../api/fetched.svelte";
  import { newId } from "../ids";
  import { m } from "../paraglide/messages";
  import Trouble from "../parts/Trouble.svelte";
  import { told } from "../toast.svelte";
  import { clock, day } from "../words/format";
  import Running from "./stove/Running.svelte";
  import "./stove/stove.css";

  /** The stove: a running service, or what could be begun. */
  let { params }: { params?: { id?: string } } = $props();
  const MOST = 8;
  const fetched = new Fetched(() =>
    all(
      call(() => api.GET("/api/services")),
      call(() => api.GET("/api/batches", { params: { query: { most: MOST } } })),
    ),
  );
  const services = $derived(fetched.data?.[0]);
  const batches = $derived(fetched.data?.[1] ?? []);

  $effect(() => {
    void changes.of("services");
    void changes.of("batches");
    if (!params?.id) void fetched.fetch();
  });
  let beginning = $state(false);
  async function begin(batchId: string) {
    beginning = true;
    const body = { batchId, id: newId() };
    const { data } = await told(
      m.begin_a_batch(),
      call(() => api.POST("/api/services", { body })),
    );
    beginning = false;
    if (data) await push(`/stove/${data.id}`);
  }
</script>

{#if params?.id}
  {#key params.id}<Running id={params.id} />{/key}
{:else}
  <div class="stove">
    <div class="mx-auto grid w-full max-w-3xl content-start gap-5 p-5">
      <h1 class="text-title font-bold">{m.place_stove()}</h1>
      <Trouble trouble={fetched.trouble} again={fetched.fetch} />
      {#if services}
        {#if services.length > 0}
          <section aria-labelledby="running-head">
            <h2 id="running-head" class="mb-2 text-big font-semibold text-night-mute">{m.running_services()}</h2>
            <ul class="grid gap-2.5" data-testid="services">
              {#each services as s (s.id)}
                <li>
                  <a class="act w-full justify-between" href="#/stove/{s.id}"
                    >{s.name}<span class="text-body font-medium"
                      >{s.open
                        ? m.open_since({ day: day(s.openedAt), time: clock(s.openedAt) })
                        : m.since({ time: clock(s.openedAt) })}</span
                    ></a
                  >
                </li>
              {/each}
            </ul>
          </section>
        {:else}
          <p class="text-big">{m.nothing_at_stove()}</p>
        {/if}
        <section aria-labelledby="begin-head">
          <h2 id="begin-head" class="mb-2 text-big font-semibold text-night-mute">{m.begin_a_batch()}</h2>
          <ul class="grid gap-2.5" data-testid="to-begin">
            {#each batches as b (b.id)}
              <li>
                <button class="act plain w-full justify-between" disabled={beginning} onclick={() => void begin(b.id)}
                  >{b.name}<span class="text-body font-medium">{day(b.madeFor)}, {clock(b.madeFor)}</span></button
                >
              </li>
            {/each}
          </ul>
        </section>
      {/if}
    </div>
  </div>
{/if}
