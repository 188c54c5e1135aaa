<script lang="ts">
  import { push } from "svelte-spa-router";
  import { api } from "../api/client";
  import type { BatchView, OpenService } from "../api/types";
  import { m } from "../paraglide/messages";
  import { toaster } from "../toast.svelte";
  import { clock, day } from "../words/format";
  import Running from "./stove/Running.svelte";
  import "./stove/stove.css";

  /** The stove: a running service, or what could be begun. */
  let { params }: { params?: { id?: string } } = $props();
  let services = $state.raw<OpenService[] | null>(null);
  let batches = $state.raw<BatchView[]>([]);
  const MOST = 8;

  $effect(() => {
    if (!params?.id) void fetchAll();
  });
  async function fetchAll() {
    const [running, kept] = await Promise.all([api.GET("/api/services"), api.GET("/api/batches")]);
    services = running.data ?? [];
    batches = (kept.data ?? []).slice(0, MOST);
  }
  async function begin(batchId: string) {
    const { data } = await api.POST("/api/services", { body: { batchId } });
    if (data) await push(`/stove/${data.id}`);
    else toaster.say(m.stove_not_begun());
  }
</script>

{#if params?.id}
  {#key params.id}<Running id={params.id} />{/key}
{:else}
  <div class="stove">
    <div class="mx-auto grid w-full max-w-3xl content-start gap-5 p-5">
      <h1 class="text-title font-bold">{m.place_stove()}</h1>
      {#if services}
        {#if services.length > 0}
          <section aria-labelledby="running-head">
            <h2 id="running-head" class="mb-2 text-[19px] font-semibold text-(--mute)">{m.running_services()}</h2>
            <ul class="grid gap-2.5" data-testid="services">
              {#each services as s (s.id)}
                <li>
                  <a class="act w-full !justify-between" href="#/stove/{s.id}"
                    >{s.name}<span class="text-[16px] font-medium"
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
          <p class="text-[19px]">{m.nothing_at_stove()}</p>
        {/if}
        <section aria-labelledby="begin-head">
          <h2 id="begin-head" class="mb-2 text-[19px] font-semibold text-(--mute)">{m.begin_a_batch()}</h2>
          <ul class="grid gap-2.5" data-testid="to-begin">
            {#each batches as b (b.id)}
              <li>
                <button class="act plain w-full !justify-between" onclick={() => void begin(b.id)}
                  >{b.name}<span class="text-[16px] font-medium">{day(b.madeFor)}, {clock(b.madeFor)}</span></button
                >
              </li>
            {/each}
          </ul>
        </section>
      {/if}
    </div>
  </div>
{/if}
