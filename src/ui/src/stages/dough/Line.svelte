<script lang="ts">
  import Pin from "@lucide/svelte/icons/pin";
  import X from "@lucide/svelte/icons/x";
  import { larder } from "../../api/larder.svelte";
  import type { BatchSheet, Portion } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import AmountField from "../../parts/AmountField.svelte";
  import Pick from "../../parts/Pick.svelte";
  import { amount, measured, number, parseNumber } from "../../words/format";
  import { shortName } from "../../words/names/items";
  import { say } from "../../words/refusals";
  import type { StageProps } from "../props";
  import { amountOf, canGo, fieldOf, leaveOut, lineOf, replace, setGrams, setShare, togglePin } from "./ledger";

  /** One thing in the bowl: what it is, its percent of flour, its grams and its measure, each to be typed into, and its pin. */
  let { spec, sheet, portion, bar }: StageProps & { portion: Portion; bar: string } = $props();
  const dough = $derived(spec.dough);
  const id = $derived(lineOf(spec, portion)?.id ?? portion.id);
  const name = $derived(shortName(id));
  const field = $derived(fieldOf(portion));
  const refusal = $derived(batch.refusals.find((r) => r.field === field || r.field.startsWith(`${field}.`)));
  const fixed = $derived(amountOf(spec, portion));
  const follows = $derived(fixed?.by === "rest" && !portion.pinned);
  const cups = $derived(larder.view?.units.mass === "cups");

  const kinds = {
    flour: { label: m.flour, tint: "var(--color-dough-deep)" },
    liquid: { label: m.liquid, tint: "var(--color-of-liquid)" },
    fat: { label: m.dough_fat, tint: "var(--color-ghee)" },
    salt: { label: m.salt, tint: "var(--color-of-salt)" },
    addition: { label: m.addition, tint: "var(--color-of-addition)" },
  };
  const kind = $derived(kinds[portion.part]);
  const taken = $derived(
    { flour: dough.flours, liquid: dough.liquids, addition: dough.additions, fat: [], salt: [] }[portion.part].map((l) => l.id),
  );
  const swapWords = (other: string) => {
    const swap = sheet.dough.swaps.find((s) => s.id === other);
    return swap ? [amount(swap.mass, "g"), measured(swap.measure)].filter(Boolean).join(" · ") : "";
  };

  // A percent stays as it was typed while the cook is in the field; what cannot be one stays longer and says so.
  let typed = $state<string | null>(null);
  let unread = $state(false);
  let focused = $state(false);
  $effect(() => {
    if (!focused && !unread && !refusal && !batch.busy) typed = null;
  });
  const limit = $derived(portion.part === "flour" ? { field, least: 0.1, most: 99.9, unit: "%" } : larder.limit(`${field}.amount.share`));
  const shown = $derived(portion.part === "salt" && fixed?.by === "share" ? sheet.dough.content.salt : portion.share);
  const problem = $derived(unread ? say({ ...limit, code: "notANumber" }) : refusal ? say(refusal) : "");

  function type(text: string) {
    typed = text;
    const read = parseNumber(text);
    unread = read === null || (portion.part === "flour" && !(read > 0 && read < 100));
    if (read !== null && !unread) edit((sheet, portion) => setShare(spec, sheet, portion, read), "share");
  }

  // What a line becomes goes by what the others are, so each change waits for the figures of the one before it.
  function edit(to: (sheet: BatchSheet, portion: Portion) => void, what: string) {
    const { part, index } = portion;
    batch.changeBy(
      (sheet) => {
        const now = sheet.dough.portions.find((p) => p.part === part && p.index === index);
        if (now) to(sheet, now);
      },
      what === "pin" ? undefined : `${what} of ${part} ${index}`,
    );
  }
  const put = (grams: number, packing?: number) =>
    edit((sheet, portion) => {
      setGrams(spec, sheet, portion, grams * sheet.dough.lots.count);
      if (portion.part !== "flour") return;
      if (packing === undefined) delete spec.dough.cups;
      else spec.dough.cups = { packing, allMeasured: false };
    }, "grams");
  const takeWhatFits = (most: number) =>
    batch.change(() => fixed && Object.assign(fixed, { [refusal?.field.endsWith("mass") ? "mass" : "share"]: Math.floor(most * 10) / 10 }));
</script>

<li class="relative border-b border-line last:border-0" data-portion={id}>
  <span
    class="pointer-events-none absolute start-0 top-1.5 h-8 rounded-md opacity-40 transition-[width] duration-150"
    style:width={bar}
    style:background={kind.tint}
  ></span>
  <div class="ledger relative min-h-11 items-center ps-2">
    <Pick
      bare
      label={kind.label()}
      field={portion.part === "fat" || portion.part === "salt" ? `${field}.id` : `dough.${portion.part}s[].id`}
      value={id}
      except={taken}
      hint={portion.part === "fat" ? swapWords : undefined}
      onpick={(picked) => edit((sheet, portion) => replace(spec, sheet, portion, picked), "item")}
    />
    <input
      class="w-full min-w-0 rounded-md bg-transparent px-1 py-1.5 text-end hover:bg-white focus:bg-white disabled:text-ink"
      class:text-mute={follows}
      class:text-chilli={unread}
      inputmode="decimal"
      autocomplete="off"
      maxlength="40"
      disabled={portion.part === "flour" && dough.flours.length === 1}
      aria-label={m.share_col({ item: name })}
      aria-invalid={problem ? "true" : undefined}
      aria-describedby={problem ? `problem-${portion.part}-${portion.index}` : undefined}
      value={typed ?? number(shown, 2)}
      oninput={(e) => type(e.currentTarget.value)}
      onfocus={(e) => {
        focused = true;
        e.currentTarget.select();
      }}
      onblur={() => (focused = false)}
    />
    <span data-testid="grams">
      <AmountField
        label={m.grams_col({ item: name })}
        item={id}
        shown={amount(portion.eachLot, "g")}
        class={cups ? "text-body" : "font-head text-lead font-bold"}
        onread={put}
      />
    </span>
    <span class="max-sm:col-span-2 max-sm:col-start-2 max-sm:row-start-2" data-testid="measure">
      <AmountField
        label={m.measure_col({ item: name })}
        item={id}
        shown={measured(portion.measure)}
        class={cups ? "font-head text-lead font-bold" : "text-body"}
        onread={put}
      />
    </span>
    <button
      class="grid size-11 place-items-center rounded-lg hover:bg-steel {portion.pinned ? 'text-rim' : 'text-mute'}"
      aria-pressed={portion.pinned}
      aria-label={portion.pinned ? m.is_fixed({ item: name }) : m.fix_it({ item: name })}
      onclick={() => edit((sheet, portion) => togglePin(spec, sheet, portion), "pin")}
    >
      <Pin size={19} class={portion.pinned ? "fill-current" : "rotate-45 opacity-60"} />
    </button>
    {#if canGo(spec, portion)}
      <button
        class="grid h-11 w-9 place-items-center rounded-lg text-mute hover:bg-steel max-sm:col-start-4 max-sm:row-start-2 max-sm:w-11"
        aria-label={m.leave_out({ item: name })}
        onclick={() => batch.change(() => leaveOut(spec, portion))}><X size={17} /></button
      >
    {/if}
  </div>
  {#if problem}
    <p id="problem-{portion.part}-{portion.index}" class="refusal flex items-center justify-end gap-2 pb-1">
      {problem}
      {#if !unread && refusal?.code === "liquidDoesNotFit" && refusal.most != null}
        {@const most = refusal.most}
        <button class="button plain min-h-9 underline" onclick={() => takeWhatFits(most)}
          >{m.refuse_take_fits({ most: amount(most, refusal.unit ?? "g") })}</button
        >
      {/if}
    </p>
  {/if}
</li>
