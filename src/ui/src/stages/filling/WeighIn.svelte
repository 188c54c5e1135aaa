<script lang="ts">
  import Scale from "@lucide/svelte/icons/scale";
  import { call } from "../../api/call";
  import { api } from "../../api/client";
  import { larder } from "../../api/larder.svelte";
  import { listenToScale } from "../../api/instruments.svelte";
  import type { FillingStep } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import FigureField from "../../parts/FigureField.svelte";
  import { told } from "../../toast.svelte";
  import { amount } from "../../words/format";

  // Weights before and after a step, typed or as the bench scale shows them at rest.
  // The stand-in scale is played with from here: what the step should leave.
  let { step, path, expected }: { step: FillingStep; path: string; expected: number } = $props();
  let standIn = $state(false);
  void call(() => api.GET("/api/scale")).then(({ data }) => (standIn = data?.standIn ?? false));
  const lay = (load: number) =>
    void told(
      m.stand_in(),
      call(() => api.POST("/api/scale/stand-in", { body: { load } })),
    );
  const scale = listenToScale(() => {});
  const reading = $derived(scale.now.steady && (scale.now.mass ?? 0) >= 1 ? Math.round(scale.now.mass ?? 0) : null);
  // A weight taken over from the scale takes the place of what was typed.
  let taken = $state(0);
  const sides = [
    { name: "before" as const, label: m.weighed_before },
    { name: "after" as const, label: m.weighed_after },
  ];
</script>

<div class="mt-1 grid gap-x-5 gap-y-1 sm:grid-cols-2">
  {#each sides as { name, label } (name)}
    <div class="flex items-end gap-1">
      {#key taken}
        <div class="w-32">
          <FigureField
            label={label()}
            limit={larder.limit(`${path}.${name}`)}
            unit="g"
            bind:value={() => step[name], (v) => batch.change(() => (step[name] = v ?? undefined))}
            refusal={batch.refusalOf(`${path}.${name}`)}
          />
        </div>
      {/key}
      {#if reading !== null}
        <button
          class="button px-2.5"
          onclick={() => {
            batch.change(() => (step[name] = reading));
            taken++;
          }}
          aria-label={m.choice_of({ label: label(), value: m.take_from_scale({ mass: amount(reading, "g") }) })}
          ><Scale size={16} aria-hidden="true" />{amount(reading, "g")}</button
        >
      {/if}
    </div>
  {/each}
  {#if standIn && expected >= 1}
    <div class="flex flex-wrap gap-1.5 sm:col-span-2">
      <button class="button plain px-2" onclick={() => lay(Math.round(expected))}>{m.put_it_on()}</button>
      <button class="button plain px-2" onclick={() => lay(0)}>{m.take_it_off()}</button>
    </div>
  {/if}
</div>
