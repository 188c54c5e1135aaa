<script lang="ts">
  import { call } from "../../api/call";
  import { changes } from "../../api/changes.svelte";
  import { api } from "../../api/client";
  import { Fetched } from "../../api/fetched.svelte";
  import Trouble from "../../parts/Trouble.svelte";
  import { m } from "../../paraglide/messages";
  import { nameOf } from "../../words/record";
  import LeavesChart from "./LeavesChart.svelte";
  import TrendChart from "./TrendChart.svelte";

  /** What many cookings show and one does not. */
  const fetched = new Fetched(() => call(() => api.GET("/api/log/trends")));
  $effect(() => {
    void changes.of("log");
    void fetched.fetch();
  });
  const trends = $derived(fetched.data);
</script>

<Trouble trouble={fetched.trouble} again={fetched.fetch} />
{#if trends}
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div
    class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] content-start gap-4 overflow-y-auto lg:grid-cols-2"
    tabindex="0"
    role="region"
    aria-label={m.log_view_trends()}
    data-testid="trends"
  >
    <TrendChart title={m.trend_thirst()} about={m.trend_thirst_more()} points={trends.thirst} unit="%" zero {nameOf} />
    <LeavesChart points={trends.leaves} />
    <TrendChart title={m.trend_pan()} about={m.trend_pan_more()} points={trends.panSeconds} unit="s" nameOf={(n) => n} />
    <TrendChart title={m.trend_squeeze()} about={m.trend_squeeze_more()} points={trends.squeeze} unit="%" {nameOf} />
  </div>
{/if}
