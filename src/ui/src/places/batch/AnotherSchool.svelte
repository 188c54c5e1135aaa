<script lang="ts">
  import { call, type Trouble as Why } from "../../api/call";
  import { api } from "../../api/client";
  import type { BatchSpec, SchoolView } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Dialog from "../../parts/Dialog.svelte";
  import DialogClose from "../../parts/DialogClose.svelte";
  import SideBySide from "../../parts/SideBySide.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import { toaster } from "../../toast.svelte";
  import { merge, same } from "../../versions/merge";
  import { schoolName } from "../../words/names/schools";
  import Schools from "../shelf/Schools.svelte";

  /** The batch on the bench made the way of another school: first what would change, then the change. */
  let { onclose }: { onclose: () => void } = $props();
  let schools = $state.raw<SchoolView[]>([]);
  let chosen = $state.raw<{ id: string; from: BatchSpec; to: BatchSpec } | null>(null);
  let trouble = $state.raw<Why | null>(null);
  const clashes = $derived(chosen ? merge(null, { spec: chosen.from }, { spec: chosen.to }).clashes : []);

  async function choose({ id }: { id: string }) {
    const from = $state.snapshot(batch.spec);
    if (!from) return;
    const answer = await call(() => api.POST("/api/schools/{id}/move", { params: { path: { id } }, body: from }));
    trouble = answer.trouble;
    if (answer.data) chosen = { id, from, to: answer.data };
  }

  // What was called by its school is called by the new one; a name of its own stays.
  function make({ id, from, to }: { id: string; from: BatchSpec; to: BatchSpec }) {
    // Another screen changed it meanwhile: what would change now is seen first.
    if (!same($state.snapshot(batch.spec), from)) return void choose({ id });
    const { name } = batch;
    const renamed = schools.some((s) => schoolName(s.id) === name.trim());
    batch.change(() => {
      batch.spec = to;
      if (renamed) batch.name = schoolName(id);
    });
    onclose();
    toaster.say(
      m.another_school_done({ school: schoolName(id) }),
      batch.back((spec, figures) => {
        Object.assign(spec, { filling: null, ...from });
        if (renamed) figures.name = name;
      }),
    );
  }
</script>

<Dialog
  open
  title={chosen ? m.another_school_shows({ school: schoolName(chosen.id) }) : m.another_school()}
  says={chosen ? m.another_school_stays() : m.another_school_how()}
  wide={chosen ? "wide" : "whole"}
  testid="another-school"
  {onclose}
>
  <Trouble {trouble} />
  {#if chosen}
    {@const to = chosen}
    {#if clashes.length}
      <SideBySide {clashes} heads={{ mine: m.as_it_is(), theirs: schoolName(to.id) }} specs={{ mine: to.from, theirs: to.to }} />
    {:else}<p class="py-3">{m.another_school_same()}</p>{/if}
    <div class="sticky bottom-0 -mb-1 flex flex-wrap gap-2 bg-enamel pt-1 pb-1">
      <button class="button strong" disabled={!clashes.length} onclick={() => make(to)}>{m.another_school_make()}</button>
      <button class="button" onclick={() => (chosen = null)}>{m.another_school_other()}</button>
      <DialogClose class="button plain sm:ms-auto" />
    </div>
  {:else}
    <Schools onpick={(school) => void choose(school)} onknown={(all) => (schools = all)} />
    <DialogClose class="button mt-1 w-full" />
  {/if}
</Dialog>
