<script lang="ts">
  import { onMount } from "svelte";
  import { api, refusalsOf } from "../../api/client";
  import type { HandTime, HandWork, Refusal } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import FigureField from "../../parts/FigureField.svelte";
  import { amount } from "../../words/format";
  import { handName } from "../../words/names";
  import type { StageProps } from "../props";

  let { sheet }: StageProps = $props();
  let times = $state<HandTime[]>([]);
  let refused = $state<Partial<Record<HandWork, Refusal>>>({});

  onMount(async () => {
    const { data } = await api.GET("/api/hands");
    times = data ?? [];
  });

  async function keep(work: HandWork, time: number | null | undefined) {
    const { data, error } = await api.PUT("/api/hands", { body: { work, time: time ?? null } });
    refused[work] = data ? undefined : refusalsOf(error)[0];
    if (data) batch.again();
  }
</script>

<p class="text-mute">{m.hands_how()} <b class="text-ink">{m.hand_time()}: {amount(sheet.fold.hands, "s")}</b></p>
<div class="mt-2 grid gap-x-5 gap-y-1.5 sm:grid-cols-2 xl:grid-cols-3" data-testid="hands">
  {#each times as time (time.work)}
    <FigureField
      label={`${handName[time.work]()} · ${m.usual_is({ time: amount(time.usual, "s") })}`}
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
