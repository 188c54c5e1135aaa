<script lang="ts">
  import { type Answer, call } from "../../api/call";
  import { changes } from "../../api/changes.svelte";
  import { api } from "../../api/client";
  import { Fetched } from "../../api/fetched.svelte";
  import type { DemoView } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Trouble from "../../parts/Trouble.svelte";
  import { toaster, told } from "../../toast.svelte";

  /** The made-up canteen: laid into the kitchen to look around in, and taken out again. */
  const fetched = new Fetched(() => call(() => api.GET("/api/keeping/demo")));
  const demo = $derived(fetched.data);
  let busy = $state(false);
  $effect(() => {
    void changes.of("breads");
    void changes.of("batches");
    void fetched.fetch();
  });

  async function press(label: string, ask: () => Promise<Answer<DemoView>>, said: (now: DemoView) => string, back: () => unknown) {
    busy = true;
    const { data } = await told(label, ask());
    busy = false;
    if (!data) return;
    changes.tell("kitchen");
    toaster.say(said(data), () => void back());
  }
  const fill = () =>
    press(
      m.demo_fill(),
      () => call(() => api.POST("/api/keeping/demo")),
      (now) => m.demo_filled({ count: now.breads }),
      takeOut,
    );
  const takeOut = (): Promise<void> =>
    press(
      m.demo_take_out(),
      () => call(() => api.DELETE("/api/keeping/demo")),
      (now) => (now.changed ? m.demo_out_but({ count: now.changed }) : m.demo_out()),
      fill,
    );
</script>

<section class="tray px-4 py-3 sm:px-5.5" aria-labelledby="demo-head" data-testid="demo">
  <h2 id="demo-head" class="text-big font-bold">{m.demo_head()}</h2>
  <p class="mb-2 text-mute">{m.demo_how()}</p>
  <Trouble trouble={fetched.trouble} again={fetched.fetch} />
  {#if demo}
    {#if demo.untouched > 0}
      <button class="button" disabled={busy} onclick={() => void takeOut()}>{m.demo_take_out()}</button>
    {:else}
      <button class="button" disabled={busy} onclick={() => void fill()}>{m.demo_fill()}</button>
    {/if}
    {#if demo.changed}<p class="mt-2 text-small text-mute">{m.demo_changed({ count: demo.changed })}</p>{/if}
  {/if}
</section>
