<script lang="ts">
  import X from "@lucide/svelte/icons/x";
  import { call, callPages } from "../../api/call";
  import { changes } from "../../api/changes.svelte";
  import { api } from "../../api/client";
  import { Fetched } from "../../api/fetched.svelte";
  import { larder } from "../../api/larder.svelte";
  import type { Ahead, ClockSpec } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Check from "../../parts/Check.svelte";
  import Choice from "../../parts/Choice.svelte";
  import Combobox from "../../parts/Combobox.svelte";
  import Dial from "../../parts/Dial.svelte";
  import { number } from "../../words/format";
  import { say } from "../../words/refusals";
  import type { StageProps } from "../props";
  import { clockOf } from "./spec";

  /** Who and what there is: hands, pans, room; what is made ahead, and what else is cooked. */
  let { spec, sheet }: StageProps = $props();
  const clock = $derived(clockOf(spec));
  const put = (change: Partial<ClockSpec>) => (spec.clock = { ...clock, ...change });
  const beside = $derived(clock.beside ?? []);
  const fetched = new Fetched(() => callPages((after) => call(() => api.GET("/api/breads", { params: { query: { after } } }))));
  $effect(() => {
    void changes.of("breads");
    void fetched.fetch();
  });
  const breads = $derived(fetched.data ?? []);
  const ahead: { value: Ahead; label: string }[] = [
    { value: "none", label: m.ahead_none() },
    { value: "fridge", label: m.ahead_fridge() },
    { value: "freezer", label: m.ahead_freezer() },
  ];
  const dials = [
    { key: "people", label: m.clock_people(), to: 6 },
    { key: "pans", label: m.clock_pans(), to: 6 },
    { key: "rollAhead", label: m.clock_roll_ahead(), to: 12 },
    { key: "openBalls", label: m.clock_open_balls(), to: 24 },
    { key: "bench", label: m.clock_bench(), to: 120 },
  ] as const;
  const free = $derived(breads.filter((b) => b.id !== batch.breadId && !beside.some((x) => x.bread === b.id)));
  const counts = $derived(larder.limit("clock.beside[].pieces"));
  function setPieces(i: number, text: string) {
    const pieces = Number(text);
    if (text.trim() && Number.isInteger(pieces))
      batch.change(() => put({ beside: beside.map((b, k) => (k === i ? { ...b, pieces } : b)) }));
  }
</script>

<div class="grid gap-x-8 gap-y-3 lg:grid-cols-2">
  <div class="grid content-start gap-x-6 gap-y-1 sm:grid-cols-2">
    {#each dials as { key, label, to } (key)}
      <Dial
        {label}
        field="clock.{key}"
        value={clock[key]}
        step={1}
        unit=""
        places={0}
        from={1}
        {to}
        onchange={(v) => put({ [key]: Math.round(v) })}
      />
    {/each}
    <p class="text-small text-mute sm:col-span-2" data-testid="on-each-pan">{m.on_each_pan({ count: number(sheet.pan.together, 0) })}</p>
  </div>
  <div class="grid content-start gap-3">
    <Choice label={m.made_ahead()} value={clock.ahead} options={ahead} onchange={(v) => put({ ahead: v })} />
    <p class="text-small text-mute">
      {clock.ahead === "none" ? m.ahead_none_how() : clock.ahead === "fridge" ? m.ahead_fridge_how() : m.ahead_freezer_how()}
    </p>
    <Check label={m.covered_wait()} checked={clock.covered} onchange={(covered) => batch.change(() => put({ covered }))} />
    <section aria-labelledby="beside-head">
      <h2 id="beside-head" class="text-body font-bold">{m.beside()}</h2>
      <p class="text-small text-mute">{m.beside_how()}</p>
      <ul class="mt-1 grid gap-1.5" data-testid="beside">
        {#each beside as other, i (other.bread)}
          {@const refusal = batch.refusalOf(`clock.beside[${i}].pieces`, `clock.beside[${i}].bread`)}
          {@const name = breads.find((b) => b.id === other.bread)?.name ?? m.bread_gone()}
          <li>
            <div class="flex items-center gap-2">
              <span class="min-w-0 flex-1 truncate font-semibold">{name}</span>
              <input
                class="field w-20 text-end"
                inputmode="numeric"
                maxlength="6"
                aria-label={m.pieces_of_bread({ name })}
                value={other.pieces}
                aria-invalid={refusal ? "true" : undefined}
                oninput={(e) => setPieces(i, e.currentTarget.value)}
              />
              <button
                class="button plain px-2.5"
                aria-label={m.without({ name })}
                onclick={() => batch.change(() => put({ beside: beside.filter((_, k) => k !== i) }))}
                ><X size={18} aria-hidden="true" /></button
              >
            </div>
            {#if refusal}<p class="refusal">{say({ ...counts, ...refusal })}</p>{/if}
          </li>
        {/each}
      </ul>
      {#if beside.length < (larder.view?.mostBeside ?? 0) && free.length > 0}
        <Combobox
          class="mt-1.5"
          bare
          label={m.add_beside()}
          prompt={m.add_beside()}
          value=""
          options={free.map((b) => ({ value: b.id, label: b.name }))}
          onchange={(bread) => batch.change(() => put({ beside: [...beside, { bread, pieces: 12 }] }))}
        />
      {/if}
    </section>
  </div>
</div>
