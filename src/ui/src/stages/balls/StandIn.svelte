<script lang="ts">
  import { call } from "../../api/call";
  import { api } from "../../api/client";
  import { m } from "../../paraglide/messages";
  import { told } from "../../toast.svelte";
  import { amount } from "../../words/format";

  /** The stand-in scale, played with: a ball about as heavy as the next should be, nothing, too much, its plug pulled. */
  let { like, unplugged }: { like: number; unplugged: boolean } = $props();
  const play = (body: { load?: number; ballLike?: number; plugged?: boolean }) =>
    told(
      m.stand_in(),
      call(() => api.POST("/api/scale/stand-in", { body })),
    );
</script>

<section class="mt-2 rounded-xl bg-steel/60 px-3 py-2" aria-label={m.stand_in()}>
  <div class="flex flex-wrap items-center gap-1.5">
    <b class="me-2 text-small">{m.stand_in()}</b>
    <button class="button px-2.5" onclick={() => void play({ ballLike: like })}>{m.stand_in_ball()}</button>
    <button class="button px-2.5" onclick={() => void play({ load: 0 })}>{m.stand_in_off()}</button>
    <button class="button px-2.5" onclick={() => void play({ load: 6000 })}>{m.stand_in_much({ mass: amount(6000, "g") })}</button>
    <button class="button px-2.5" onclick={() => void play({ plugged: unplugged })}
      >{unplugged ? m.stand_in_plug() : m.stand_in_unplug()}</button
    >
  </div>
</section>
