<script lang="ts">
  import { api } from "../../api/client";
  import type { TrendsView } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { nameOf } from "../../words/record";
  import LeavesChart from "./LeavesChart.svelte";
  import TrendChart from "./TrendChart.svelte";

  /** What many cookings show and one does not. */
  let trends = $state.raw<TrendsView | null>(null);
  void api.GET("/api/log/trends").then(({ data }) => (trends = data ?? null));
</script>

{#if trends}
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div
    class="grid min-h-0 flex-1 content-start gap-4 overflow-y-auto lg:grid-cols-2"
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
