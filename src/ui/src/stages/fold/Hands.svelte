<script lang="ts">
  import { untrack } from "svelte";
  import { call, type Trouble as Why } from "../../api/call";
  import { changes } from "../../api/changes.svelte";
  import { api } from "../../api/client";
  import type { HandTime, HandWork, Refusal } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import Trouble from "../../parts/Trouble.svelte";
  import Fold from "../../parts/Fold.svelte";
  import FigureField from "../../parts/FigureField.svelte";
  import { beside, amount } from "../../words/format";
  import { handName } from "../../words/names/fold";
  import type { StageProps } from "../props";

  let { sheet }: StageProps = $props();
  let times = $state<HandTime[]>([]);
  let refused = $state<Partial<Record<HandWork, Refusal>>>({});

  // Had a time of its own when the list came: one that is being typed stays where it is.
  let shown = $state.raw(new Set<HandWork>());
  let trouble = $state.raw<Why | null>(null);
  // A time that is being typed here stays as typed.
  let typing = $state(0);
  $effect(() => {
    void changes.of("larder");
    if (untrack(() => typing) === 0) void fetchAll();
  });
  async function fetchAll() {
    const answer = await call(() => api.GET("/api/hands"));
    trouble = answer.trouble;
    if (!answer.data || typing > 0) return;
    times = answer.data;
    shown = new Set(times.filter((t) => t.own != null).map((t) => t.work));
  }

  // What is in this bread, and what has a time of its own, stands open; what stayed usual is folded away.
  const works = $derived(batch.clock?.sheet.works);
  const isHere = (time: HandTime) => !works || works.includes(time.work) || shown.has(time.work);
  const here = $derived(times.filter(isHere));
  const others = $derived(times.filter((t) => !isHere(t)));

  async function keep(work: HandWork, time: number | null | undefined) {
    typing++;
    const { data, trouble: why } = await call(() => api.PUT("/api/hands", { body: { work, time: time ?? null } }));
    typing--;
    refused[work] = why?.kind === "refused" ? why.refusals[0] : undefined;
    trouble = why && why.kind !== "refused" ? why : null;
    if (data) batch.again();
  }
</script>

<Trouble {trouble} again={fetchAll} />
<p class="text-mute">{m.hands_how()} <b class="text-ink">{m.hand_time()}: {amount(sheet.fold.hands, "s")}</b></p>
{#snippet fields(some: HandTime[])}
  <div class="mt-2 grid gap-x-5 gap-y-1.5 sm:grid-cols-2 xl:grid-cols-3">
    {#each some as time (time.work)}
      <FigureField
        label={beside(handName[time.work](), m.usual_is({ time: amount(time.usual, "s") }))}
        limit={time.limit}
        unit="s"
        bind:value={
          () => time.own,
          (v) => {
            time.own = v ?? null;
            void keep(time.work, v);
          }
        }
        refusal={refused[time.work]}
      />
    {/each}
  </div>
{/snippet}

<div data-testid="hands">
  {@render fields(here)}
  {#if others.length}
    <div class="mt-3">
      <Fold label={m.hands_others({ count: others.length })}>{@render fields(others)}</Fold>
    </div>
  {/if}
</div>
