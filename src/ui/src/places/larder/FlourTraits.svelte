<script lang="ts">
  import { larder } from "../../api/larder.svelte";
  import { m } from "../../paraglide/messages";
  import FigureField from "../../parts/FigureField.svelte";
  import Select from "../../parts/Select.svelte";
  import type { Line } from "./line.svelte";

  /** How a flour behaves under the pin. */
  let { line }: { line: Line } = $props();
  const { body, flour, refusalOf } = $derived(line);
</script>

<div class="grid grid-cols-2 gap-3 sm:grid-cols-3 xl:grid-cols-4">
  <Select
    quiet
    label={m.strength()}
    value={flour.strength}
    options={[
      { value: "white", label: m.strength_white() },
      { value: "whole", label: m.strength_whole() },
      { value: "weak", label: m.strength_weak() },
    ]}
    onchange={(strength) => (body.traits = { ...flour, strength })}
  />
  <FigureField
    label={m.springback()}
    limit={larder.itemLimit("traits.springback")}
    bind:value={() => flour.springback, (v) => (body.traits = { ...flour, springback: v ?? 0 })}
    bind:unread={line.unread.springback}
    refusal={refusalOf("traits.springback")}
  />
  <FigureField
    label={m.least_rest()}
    limit={larder.itemLimit("traits.leastRest")}
    unit="min"
    bind:value={() => flour.leastRest, (v) => (body.traits = { ...flour, leastRest: v ?? 0 })}
    bind:unread={line.unread.leastRest}
    refusal={refusalOf("traits.leastRest")}
  />
</div>
