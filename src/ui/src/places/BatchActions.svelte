<script lang="ts">
  import Layers from "@lucide/svelte/icons/layers";
  import BookOpen from "@lucide/svelte/icons/book-open";
  import Ellipsis from "@lucide/svelte/icons/ellipsis";
  import FileText from "@lucide/svelte/icons/file-text";
  import NotebookPen from "@lucide/svelte/icons/notebook-pen";
  import { push } from "svelte-spa-router";
  import { type Answer, call } from "../api/call";
  import { changes } from "../api/changes.svelte";
  import { api, meant } from "../api/client";
  import type { BreadView } from "../api/types";
  import { batch } from "../bench/bench.svelte";
  import { newId } from "../ids";
  import { m } from "../paraglide/messages";
  import Menu from "../parts/Menu.svelte";
  import { narrow } from "../narrow";
  import { toaster, told } from "../toast.svelte";
  import { breadRow, keepOver } from "../versions/elsewhere.svelte";

  // The bread this batch came from, while it still has the batch's name: then its recipe can be changed, else a new bread is made.
  let bread = $state.raw<BreadView | null>(null);
  const same = $derived(bread !== null && bread.name === batch.name.trim());

  $effect(() => {
    const id = batch.breadId;
    void changes.of("breads");
    if (!id) bread = null;
    else
      void call(() => api.GET("/api/breads/{id}", { params: { path: { id } } })).then(({ data, trouble }) => {
        // What was there stays while the kitchen is away.
        if (id === batch.breadId && (data || trouble?.kind === "missing")) bread = data;
      });
  });

  const recipe = $derived(same ? m.make_recipe() : m.make_bread());
  let open = $state(false);
  let choosing = $state(false);
  let opener = $state<HTMLElement>();

  async function log() {
    if (await batch.keep()) await push(`/log/new/${batch.id}`);
    else toaster.say(m.log_needs_keeping());
  }

  async function makeRecipe() {
    const spec = $state.snapshot(batch.spec);
    if (!spec) return;
    if (bread && same) {
      const before = breadRow(bread);
      const { data } = await told(m.make_recipe(), put(bread.id, before, { ...before.figures, spec }));
      if (!data) return;
      bread = data;
      changes.tell("breads");
      toaster.say(m.recipe_changed({ name: data.name }), async () => {
        const back = await told(m.undo(), put(data.id, breadRow(data), before.figures));
        bread = back.data ?? bread;
        changes.tell("breads");
      });
    } else {
      const body = { name: batch.name, about: bread?.about ?? "", tags: bread?.tags ?? [], spec };
      const { data } = await told(m.make_bread(), add(body));
      if (!data) return;
      bread = data;
      changes.tell("breads");
      batch.change(() => (batch.breadId = data.id));
      toaster.say(m.bread_made({ name: data.name }), async () => {
        const params = { path: { id: data.id }, header: meant(data.version) };
        const { trouble } = await told(
          m.undo(),
          call(() => api.DELETE("/api/breads/{id}", { params })),
        );
        if (!trouble) bread = null;
        changes.tell("breads");
      });
    }
  }
  type Figures = ReturnType<typeof breadRow>["figures"];
  const add = (figures: Figures): Promise<Answer<BreadView>> => {
    const body = { ...figures, id: newId() };
    return call(() => api.POST("/api/breads", { body }));
  };
  const put = (id: string, from: ReturnType<typeof breadRow>, to: Figures) =>
    keepOver<Figures, BreadView>({
      from,
      to,
      send: (version, body) => call(() => api.PUT("/api/breads/{id}", { params: { path: { id }, header: meant(version) }, body })),
      rowOf: breadRow,
      name: to.name,
      second: (figures) => add({ ...figures, name: m.name_here({ name: figures.name }).slice(0, 80) }),
      whole: ["spec.start", "spec.balls"],
      specOf: (f) => f.spec,
    });
</script>

{#if narrow.current}
  <button
    bind:this={opener}
    class="button plain shrink-0 px-3"
    onclick={() => (open = true)}
    aria-haspopup="menu"
    aria-expanded={open}
    aria-label={m.batch_actions()}><Ellipsis size={20} aria-hidden="true" /></button
  >
  {#if open && opener}
    <Menu
      label={m.batch_actions()}
      beside={opener}
      items={[
        { icon: FileText, label: m.batch_card(), go: () => void push("/card") },
        { icon: NotebookPen, label: m.log_it(), go: () => void log() },
        { icon: BookOpen, label: recipe, go: () => void makeRecipe() },
        { icon: Layers, label: m.another_school(), go: () => (choosing = true) },
      ]}
      onclose={() => (open = false)}
    />
  {/if}
{:else}
  <div class="mt-3 grid grid-cols-2 gap-2 pe-4">
    <a class="button px-2 text-small" href="#/card"><FileText size={18} aria-hidden="true" />{m.batch_card()}</a>
    <button class="button strong px-2" onclick={() => void log()}><NotebookPen size={18} aria-hidden="true" />{m.log_it()}</button>
    <button class="button px-2 text-small" onclick={() => void makeRecipe()}>{recipe}</button>
    <button class="button px-2 text-small" onclick={() => (choosing = true)}>{m.another_school()}</button>
  </div>
{/if}
{#if choosing}
  {#await import("./batch/AnotherSchool.svelte") then { default: AnotherSchool }}<AnotherSchool
      onclose={() => (choosing = false)}
    />{/await}
{/if}
