<script lang="ts">
  import { call, callPages } from "../../api/call";
  import { changes } from "../../api/changes.svelte";
  import { api } from "../../api/client";
  import { Fetched } from "../../api/fetched.svelte";
  import { larder } from "../../api/larder.svelte";
  import { m } from "../../paraglide/messages";
  import Select from "../../parts/Select.svelte";
  import { shortName } from "../../words/names/items";
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
  const filters = $derived<{ key: "bread" | "flour" | "fault"; label: string; options: { value: string; label: string }[] }[]>([
    {
      key: "bread",
      label: m.filter_bread(),
      options: [{ value: "", label: m.any_bread() }, ...breads.map((b) => ({ value: b.id, label: b.name }))],
    },
    {
      key: "flour",
      label: m.filter_flour(),
      options: [{ value: "", label: m.any_flour() }, ...flours.map((f) => ({ value: f.id, label: shortName(f.id) }))],
    },
    {
      key: "fault",
      label: m.filter_fault(),
      options: [{ value: "", label: m.any_fault() }, ...symptoms.map((s) => ({ value: s, label: symptomName[s]() }))],
    },
  ]);
</script>

<input
  class="field w-40 max-sm:grow"
  type="search"
  maxlength="80"
  placeholder={m.find_log()}
  aria-label={m.find_log()}
  bind:value={list.find}
  oninput={() => list.soon()}
  data-find
/>
{#each filters as { key, label, options } (key)}
  <Select
    bare
    class="w-36 max-sm:grow"
    {label}
    {options}
    value={list[key]}
    onchange={(value) => {
      Object.assign(list, { [key]: value });
      void list.fetch();
    }}
  />
{/each}
