<script lang="ts">
  import Pin from "@lucide/svelte/icons/pin";
  import X from "@lucide/svelte/icons/x";
  import type { Portion } from "../../api/types";
  import { batch } from "../../batch.svelte";
  import { m } from "../../paraglide/messages";
  import AmountField from "../../parts/AmountField.svelte";
  import Pick from "../../parts/Pick.svelte";
  import { larder } from "../../api/larder.svelte";
  import { amount, measured, number, parseNumber } from "../../words/format";
  import { shortName } from "../../words/names";
  import { say } from "../../words/refusals";
  import type { StageProps } from "../props";
  import { amountOf, setGrams, setShare, togglePin } from "./ledger";

  let { spec, sheet }: StageProps = $props();
  const dough = $derived(spec.dough);
  const portions = $derived(sheet.dough.portions.filter((p) => idOf(p) !== undefined));
  const taken = $derived(dough.additions.map((a) => a.id));
  const lot = $derived(sheet.dough.lots.count > 1);
  const heaviest = $derived(Math.max(...portions.map((p) => p.mass)));
  // A bar's length against the heaviest thing in the bowl, so that salt is still seen beside flour.
  const bar = (p: Portion) => `${Math.max(100 * Math.sqrt(p.mass / heaviest), 1.5)}%`;
  const tints = { flour: "var(--color-dough-deep)", liquid: "#9db7e8", fat: "var(--color-ghee)", salt: "#b9c3cf", addition: "#cdb98f" };

  // The sheet is a moment older than the spec: a line that was just taken out is not drawn, one that was just picked already has its name.
  function idOf(p: Portion): string | undefined {
    const { flours, liquids, fat, salt, additions } = dough;
    return { flour: flours[p.index]?.id, liquid: liquids[p.index]?.id, fat: fat.id, salt: salt.id, addition: additions[p.index]?.id }[
      p.part
    ];
  }

  const places = {
    flour: "dough.flours[].id",
    liquid: "dough.liquids[].id",
    fat: "dough.fat.id",
    salt: "dough.salt.id",
    addition: "dough.additions[].id",
  };
  const labels = { flour: m.flour, liquid: m.liquid, fat: m.dough_fat, salt: m.salt, addition: m.addition };
  const fieldOf = (p: Portion) =>
    ({
      flour: `dough.flours[${p.index}]`,
      liquid: `dough.liquids[${p.index}]`,
      fat: "dough.fat",
      salt: "dough.salt",
      addition: `dough.additions[${p.index}]`,
    })[p.part];
  const refusalOf = (p: Portion) => {
    const at = fieldOf(p);
    return batch.refusals.find((r) => r.field === at || r.field.startsWith(`${at}.`));
  };
  const takenBy = (p: Portion) =>
    p.part === "flour"
      ? dough.flours.map((f) => f.id)
      : p.part === "liquid"
        ? dough.liquids.map((l) => l.id)
        : p.part === "addition"
          ? taken
          : [];
  const swapOf = (id: string) => sheet.dough.swaps.find((s) => s.id === id);

  function pick(p: Portion, id: string) {
    const line = {
      flour: dough.flours[p.index],
      liquid: dough.liquids[p.index],
      fat: dough.fat,
      salt: dough.salt,
      addition: dough.additions[p.index],
    }[p.part];
    if (!line) return;
    // Another fat goes in at equal fat; a puree's own thickness goes with the puree.
    const swap = p.part === "fat" ? swapOf(id) : undefined;
    if (swap) dough.fat.amount = { ...swap.amount };
    if (p.part === "liquid") dough.liquids[p.index]!.water = undefined;
    line.id = id;
  }

  const removable = (p: Portion) =>
    (p.part === "flour" && dough.flours.length > 1) || (p.part === "liquid" && dough.liquids.length > 1) || p.part === "addition";

  function leaveOut(p: Portion) {
    if (p.part === "liquid" && dough.liquids[p.index]?.amount.by === "rest") {
      const next = dough.liquids.find((_, i) => i !== p.index);
      if (next) next.amount.by = "rest";
    }
    ({ flour: dough.flours, liquid: dough.liquids, addition: dough.additions, fat: [], salt: [] })[p.part].splice(p.index, 1);
  }

  // Percents are typed as they stand; what is no number stays and says so.
  let unread = $state<Record<string, string>>({});
  function share(p: Portion, text: string) {
    const read = parseNumber(text);
    if (read === null) unread = { ...unread, [fieldOf(p)]: text };
    else {
      const { [fieldOf(p)]: _, ...others } = unread;
      unread = others;
      batch.change(() => setShare(spec, sheet, p, read));
    }
  }
  const shareShown = (p: Portion) => (p.part === "salt" && amountOf(spec, "salt", 0)?.by === "share" ? sheet.dough.salt : p.share);
  const problemOf = (p: Portion) => `problem-${p.part}-${p.index}`;
  const follows = (p: Portion) => p.part === "liquid" && amountOf(spec, "liquid", p.index)?.by === "rest" && !p.pinned;
  const astray = $derived(
    batch.refusals.filter((r) => ["dough.liquids", "dough.additions", "dough.flours", "dough.hydration"].includes(r.field)),
  );
</script>

<div>
  <div
    class="grid grid-cols-[minmax(0,1fr)_58px_84px_44px] items-baseline gap-1.5 text-[13px] text-mute sm:grid-cols-[minmax(0,1fr)_64px_88px_112px_44px_36px]"
  >
    <h2 class="flex items-baseline gap-2 text-[15px] font-bold text-ink">
      {m.weigh()}
      <span class="font-text text-[13px] font-normal text-mute">
        {m.in_all()} <b class="text-[15px] text-ink" data-testid="dough-mass">{amount(sheet.dough.mass, "g")}</b>
      </span>
    </h2>
    <span class="text-end">%</span>
    <span class="text-end">{lot ? m.card_lot() : ""}</span>
    <span class="text-end max-sm:hidden">{m.measure()}</span>
  </div>
  <ul>
    {#each portions as p (p.part + p.index)}
      {@const id = idOf(p) ?? p.id}
      {@const name = shortName(id)}
      {@const refusal = refusalOf(p)}
      {@const unreadHere = unread[fieldOf(p)]}
      <li class="relative border-b border-line last:border-0" data-portion={id}>
        <span
          class="pointer-events-none absolute start-0 top-1.5 h-8 rounded-md opacity-40 transition-[width] duration-150"
          style:width={bar(p)}
          style:background={tints[p.part]}
        ></span>
        <div
          class="relative grid min-h-11 grid-cols-[minmax(0,1fr)_58px_84px_44px] items-center gap-1.5 ps-2 sm:grid-cols-[minmax(0,1fr)_64px_88px_112px_44px_36px]"
        >
          <Pick
            bare
            label={labels[p.part]()}
            field={places[p.part]}
            value={id}
            except={takenBy(p)}
            hint={p.part === "fat"
              ? (other) => {
                  const swap = swapOf(other);
                  return swap ? [amount(swap.mass, "g"), measured(swap.measure)].filter(Boolean).join(" · ") : "";
                }
              : undefined}
            onchange={(picked) => pick(p, picked)}
          />
          <input
            class="w-full min-w-0 rounded-md bg-transparent px-1 py-1.5 text-end hover:bg-white focus:bg-white disabled:text-ink"
            class:text-mute={follows(p)}
            class:text-chilli={unreadHere !== undefined}
            inputmode="decimal"
            autocomplete="off"
            maxlength="40"
            disabled={p.part === "flour" && dough.flours.length === 1}
            aria-label={m.share_col({ item: name })}
            aria-invalid={unreadHere !== undefined || refusal ? "true" : undefined}
            aria-describedby={unreadHere !== undefined || refusal ? problemOf(p) : undefined}
            value={unreadHere ?? number(shareShown(p), 2)}
            oninput={(e) => share(p, e.currentTarget.value)}
            onfocus={(e) => e.currentTarget.select()}
          />
          <span data-testid="grams">
            <AmountField
              label={m.grams_col({ item: name })}
              item={id}
              shown={amount(lot ? p.eachLot : p.mass, "g")}
              class="font-head text-[18px] font-bold"
              onread={(g) => batch.change(() => setGrams(spec, sheet, p, g * (lot ? sheet.dough.lots.count : 1)))}
            />
          </span>
          <span class="max-sm:col-span-2 max-sm:col-start-2 max-sm:row-start-2" data-testid="measure">
            <AmountField
              label={m.measure_col({ item: name })}
              item={id}
              shown={measured(p.measure)}
              class="text-[15px]"
              onread={(g) => batch.change(() => setGrams(spec, sheet, p, g * (lot ? sheet.dough.lots.count : 1)))}
            />
          </span>
          <button
            class="grid size-11 place-items-center rounded-lg hover:bg-steel {p.pinned ? 'text-rim' : 'text-mute'}"
            aria-pressed={p.pinned}
            aria-label={p.pinned ? m.is_fixed({ item: name }) : m.fix_it({ item: name })}
            onclick={() => batch.change(() => togglePin(spec, sheet, p))}
          >
            <Pin size={19} class={p.pinned ? "fill-current" : "rotate-45 opacity-60"} />
          </button>
          {#if removable(p)}
            <button
              class="grid h-11 w-9 place-items-center rounded-lg text-mute hover:bg-steel max-sm:col-start-4 max-sm:row-start-2 max-sm:w-11"
              aria-label={m.leave_out({ item: name })}
              onclick={() => batch.change(() => leaveOut(p))}><X size={17} /></button
            >
          {/if}
        </div>
        {#if unreadHere !== undefined}<p id={problemOf(p)} class="refusal pb-1 text-end">
            {say({ ...larder.limit(p.part === "flour" ? `${fieldOf(p)}.parts` : `${fieldOf(p)}.amount.share`), code: "notANumber" })}
          </p>
        {:else if refusal}
          <p id={problemOf(p)} class="refusal flex items-center justify-end gap-2 pb-1">
            {say(refusal)}
            {#if refusal.code === "liquidDoesNotFit" && refusal.most != null}
              {@const most = refusal.most}
              <button
                class="button plain !min-h-9 underline"
                onclick={() =>
                  batch.change(() =>
                    Object.assign(amountOf(spec, p.part, p.index) ?? {}, {
                      [refusal.field.endsWith("mass") ? "mass" : "share"]: Math.floor(most * 10) / 10,
                    }),
                  )}>{m.refuse_take_fits({ most: amount(most, refusal.unit ?? "g") })}</button
              >
            {/if}
          </p>
        {/if}
      </li>
    {/each}
  </ul>
  {#each astray as r (r.field + r.code)}<p class="refusal" role="alert" data-testid="pins">{say(r)}</p>{/each}
  <div class="flex flex-wrap gap-x-4">
    <Pick
      bare
      label={m.addition()}
      prompt={m.add_addition()}
      field="dough.additions[].id"
      value=""
      except={taken}
      onchange={(id) => dough.additions.push({ id, amount: { by: "share", share: 1, mass: 0 } })}
    />
    <Pick
      bare
      label={m.liquid()}
      prompt={m.add_liquid()}
      field="dough.liquids[].id"
      value=""
      except={dough.liquids.map((l) => l.id)}
      onchange={(id) => dough.liquids.push({ id, amount: { by: "share", share: 10, mass: 0 } })}
    />
    <Pick
      bare
      label={m.flour()}
      prompt={m.add_flour()}
      field="dough.flours[].id"
      value=""
      except={dough.flours.map((f) => f.id)}
      onchange={(id) => dough.flours.push({ id, parts: Math.max(Math.round((dough.flours[0]?.parts ?? 100) / 4), 1) })}
    />
  </div>
</div>
