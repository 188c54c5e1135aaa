<script lang="ts">
  import Plus from "@lucide/svelte/icons/plus";
  import Download from "@lucide/svelte/icons/download";
  import { untrack } from "svelte";
  import { Virtualizer } from "virtua/svelte";
  import { larder } from "../../api/larder.svelte";
  import type { Ingredient, IngredientKind } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import { toaster } from "../../toast.svelte";
  import { folded } from "../../words/find";
  import { beside, amount } from "../../words/format";
  import { kindName } from "../../words/names/items";
  import Select from "../../parts/Select.svelte";
  import ImportCsv from "../../files/ImportCsv.svelte";
  import Item from "./Item.svelte";

  // Only the lines in sight are drawn, so that five thousand scroll like fifty.
  const ROW = 52;
  let find = $state("");
  let kind = $state<IngredientKind | "">("");
  let chosen = $state<string | null>(null);
  let adding = $state.raw<Ingredient | null>(null);

  const kinds = Object.keys(kindName) as IngredientKind[];
  const order = new Map(kinds.map((k, i) => [k, i]));
  const all = $derived(
    (larder.view?.ingredients ?? [])
      .filter((i) => i.origin !== "gone")
      .map((item) => ({ item, words: folded(`${item.name} ${item.note}`) }))
      .toSorted((a, b) => (order.get(a.item.kind) ?? 0) - (order.get(b.item.kind) ?? 0) || a.item.name.localeCompare(b.item.name)),
  );
  const wanted = $derived(folded(find));
  const found = $derived(all.filter(({ item, words }) => (!kind || item.kind === kind) && words.includes(wanted)));
  const open = $derived(adding ?? (chosen ? larder.byId.get(chosen) : undefined));
  // What another screen made of the open line is shown, unless something is being written into it: the two meet when that is kept.
  let unkept = $state(false);
  let shown = $state.raw<Ingredient | undefined>();
  $effect.pre(() => {
    const now = open;
    untrack(() => {
      if (!unkept || adding || now?.id !== shown?.id) shown = now;
    });
  });

  const blank: Ingredient = {
    id: "",
    name: "",
    kind: "addition",
    density: 0.6,
    water: 0,
    fat: 0,
    sugar: 0,
    salt: 0,
    kcalPer100G: 0,
    absorption: null,
    smokePoint: null,
    holding: null,
    draw: null,
    squeeze: null,
    note: "",
    traits: null,
    allergens: [],
    noAllergens: false,
    price: null,
    lot: null,
    marks: null,
    hue: null,
    origin: "own",
    solids: 100,
  };

  function add() {
    adding = { ...blank, kind: kind || "addition" };
  }

  /** A sack is the flour it is a sack of, with a name and a thirst of its own. */
  function addSack() {
    const flour = open && open.kind === "flour" && !open.lot ? open : all.find(({ item }) => item.kind === "flour" && !item.lot)?.item;
    if (flour) adding = { ...flour, id: "", name: "", note: "", price: flour.price, lot: { of: flour.id, thirst: 0 }, origin: "own" };
  }

  async function taken(count: number) {
    await larder.fetch();
    batch.again();
    toaster.say(m.import_taken({ count }));
  }

  const small = (i: Ingredient) =>
    i.absorption != null
      ? `${amount(i.absorption, "%")}`
      : i.smokePoint != null
        ? amount(i.smokePoint, "°C")
        : m.water_share({ share: amount(i.water, "%") });
</script>

<div class="grid min-h-0 grid-cols-[minmax(0,1fr)] gap-4 lg:h-full lg:grid-cols-[minmax(0,5fr)_minmax(0,7fr)]">
  <section class="tray flex min-h-0 flex-col overflow-hidden max-lg:h-[60vh]" aria-label={m.larder_items()}>
    <div class="flex flex-wrap gap-2 rim-b p-2">
      <input
        class="field min-w-0 flex-1 basis-40"
        type="search"
        placeholder={m.find_item()}
        aria-label={m.find_item()}
        bind:value={find}
        data-find
      />
      <Select
        bare
        class="flex-1 basis-36"
        label={m.kind()}
        value={kind}
        options={[{ value: "", label: m.all_kinds() }, ...kinds.map((value) => ({ value, label: kindName[value]() }))]}
        onchange={(k) => (kind = k)}
      />
    </div>
    <div class="min-h-0 flex-1 overflow-y-auto" role="list" aria-label={m.larder_items()} data-testid="larder-list">
      <Virtualizer data={found} itemSize={ROW} bufferSize={16 * ROW} getKey={({ item }) => item.id}>
        {#snippet children({ item }, i)}
          <div class="h-13" role="listitem" aria-setsize={found.length} aria-posinset={i + 1}>
            <button
              class="pointer-events-auto flex h-full w-full items-center gap-3 border-b border-line px-4 text-start hover:bg-steel aria-[current=true]:border-s-6 aria-[current=true]:border-s-ghee aria-[current=true]:bg-white"
              aria-current={open?.id === item.id && !adding ? "true" : undefined}
              onclick={() => {
                adding = null;
                chosen = item.id;
              }}
            >
              <span class="min-w-0 flex-1">
                <span class="block truncate font-head font-semibold">{item.name}</span>
                <span class="block truncate text-fine text-mute">{beside(kindName[item.kind](), item.note)}</span>
              </span>
              <span class="text-end text-small whitespace-nowrap">
                {small(item)}
                {#if item.origin !== "shipped"}<span class="block text-fine font-semibold text-rim"
                    >{item.origin === "own" ? m.origin_own() : m.origin_changed()}</span
                  >{/if}
              </span>
            </button>
          </div>
        {/snippet}
      </Virtualizer>
      {#if found.length === 0}<p class="p-4 text-mute">{m.none_in_larder({ find })}</p>{/if}
    </div>
    <div class="flex flex-wrap gap-2 rim-t p-2">
      <button class="button px-3" onclick={add}><Plus size={18} aria-hidden="true" />{m.add_item()}</button>
      <button class="button px-3" onclick={addSack}><Plus size={18} aria-hidden="true" />{m.add_sack()}</button>
      <span class="flex-1"></span>
      <ImportCsv path="/api/larder/import" title={m.import_title()} ontaken={taken} />
      <a class="button px-3" href="/api/larder/export" download><Download size={18} aria-hidden="true" />{m.export_csv()}</a>
    </div>
  </section>
  {#if shown}
    <!-- A line that was set back, or came back, begins its form anew. -->
    {#key adding ?? JSON.stringify(shown)}
      <Item
        item={shown}
        fresh={adding !== null}
        bind:unkept
        onkept={(id) => {
          adding = null;
          chosen = id;
          unkept = false;
          shown = larder.byId.get(id);
        }}
        ondiscard={() => (adding = null)}
        ongone={() => (chosen = null)}
      />
    {/key}
  {:else}
    <section class="tray p-8 text-mute">{m.pick_item()}</section>
  {/if}
</div>
