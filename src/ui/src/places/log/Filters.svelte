<script lang="ts">
  import { call, callPages } from "../../api/call";
  import { changes } from "../../api/changes.svelte";
  import { api } from "../../api/client";
  import { Fetched } from "../../api/fetched.svelte";
  import { larder } from "../../api/larder.svelte";
  import type { Symptom } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { shortName } from "../../words/names";
  import { symptomName } from "../../words/symptoms";
  import type { LogList } from "./log.svelte";
  import { symptoms } from "../../words/record";

  let { list }: { list: LogList } = $props();
  // With the kitchen away the list says so beside it; the choices come when it is back.
  const fetched = new Fetched(() => callPages((after) => call(() => api.GET("/api/breads", { params: { query: { after } } }))));
  $effect(() => {
    void changes.of("breads");
    void fetched.fetch();
  });
  const breads = $derived(fetched.data ?? []);
  const flours = $derived(larder.choices("dough.flours[].id"));
</script>

<input
  class="field w-40"
  type="search"
  maxlength="80"
  placeholder={m.find_log()}
  aria-label={m.find_log()}
  bind:value={list.find}
  oninput={() => list.soon()}
  data-find
/>
<select class="field w-32" aria-label={m.filter_bread()} bind:value={list.bread} onchange={() => void list.fetch()}>
  <option value="">{m.any_bread()}</option>
  {#each breads as bread (bread.id)}<option value={bread.id}>{bread.name}</option>{/each}
</select>
<select class="field w-32" aria-label={m.filter_flour()} bind:value={list.flour} onchange={() => void list.fetch()}>
  <option value="">{m.any_flour()}</option>
  {#each flours as flour (flour.id)}<option value={flour.id}>{shortName(flour.id)}</option>{/each}
</select>
<select class="field w-32" aria-label={m.filter_fault()} bind:value={list.fault} onchange={() => void list.fetch()}>
  <option value="">{m.any_fault()}</option>
  {#each symptoms as symptom (symptom)}<option value={symptom satisfies Symptom}>{symptomName[symptom]()}</option>{/each}
</select>
