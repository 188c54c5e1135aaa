<script lang="ts">
  import Pin from "@lucide/svelte/icons/pin";
  import X from "@lucide/svelte/icons/x";
  import { larder } from "../../api/larder.svelte";
  import type { LedgerMove, Part, Portion } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import Toggle from "../../parts/Toggle.svelte";
  import { m } from "../../paraglide/messages";
  import AmountField from "../../parts/AmountField.svelte";
  import Pick from "../../parts/Pick.svelte";
  import { Typed } from "../../parts/typed.svelte";
  import TypedInput from "../../parts/TypedInput.svelte";
  import { beside, amount, measured } from "../../words/format";
  import { shortName } from "../../words/names/items";
  import type { StageProps } from "../props";
  import { amountOf, fieldOf, lineOf } from "./ledger";

  /** One thing in the bowl: what it is, its percent of flour, its grams and its measure, each to be typed into, and its pin. */
  let { spec, sheet, portion, bar }: StageProps & { portion: Portion; bar: string } = $props();
  const dough = $derived(spec.dough);
  const id = $props.id();
  const item = $derived(lineOf(spec, portion)?.id ?? portion.id);
  const name = $derived(shortName(item));
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
    return swap ? beside(amount(swap.mass, "g"), measured(swap.measure)) : "";
  };

  const isFlour = $derived(portion.part === "flour");
  const limit = $derived(isFlour ? { field, least: 0.1, most: 99.9, unit: "%" } : larder.limit(`${field}.amount.share`));
  const stands = $derived(portion.part === "salt" && fixed?.by === "share" ? sheet.dough.content.salt : portion.share);
  // What a line becomes goes by what the others are: what was asked for stands until the kitchen has answered, and while it is refused.
  let asked = $state<number | null>(null);
  $effect(() => {
    if (!batch.busy && !refusal) asked = null;
  });
  const share = new Typed(() => ({
    value: asked ?? stands,
    limit,
    unit: "%",
    places: stands >= 10 ? 1 : 2,
    step: 0.5,
    refusal,
    set: (v) => {
      if (v === null) return;
      asked = v;
      edit({ kind: "share", share: v });
    },
  }));

  type LineMove = Extract<LedgerMove, { part: Part; index: number }>;
  type Done = LineMove extends infer M ? (M extends LineMove ? Omit<M, "part" | "index"> : never) : never;
  // Presses of a pin each count; of what is typed and picked, only the newest.
  function edit(done: Done) {
    const { part, index } = portion;
    batch.move({ ...done, part, index } as LedgerMove, done.kind === "pin" ? undefined : `${done.kind} of ${part} ${index}`);
  }
  const put = (mass: number, packing?: number) => edit({ kind: "weigh", mass, ...(packing !== undefined && { packing }) });
  const takeWhatFits = (most: number) =>
    batch.change(() => fixed && Object.assign(fixed, { [refusal?.field.endsWith("mass") ? "mass" : "share"]: Math.floor(most * 10) / 10 }));
</script>

<li class="relative border-b border-line last:border-0" data-portion={item}>
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
      value={item}
      except={taken}
      hint={portion.part === "fat" ? swapWords : undefined}
      onpick={(id) => edit({ kind: "swap", id })}
    />
    <TypedInput
      typed={share}
      {id}
      class="w-full min-w-0 rounded-md bg-transparent min-h-11 px-1 text-end hover:bg-white focus:bg-white disabled:text-ink {follows
        ? 'text-mute'
        : ''}"
      disabled={isFlour && dough.flours.length === 1}
      aria-label={m.share_col({ item: name })}
    />
    <span data-testid="grams">
      <AmountField
        label={m.grams_col({ item: name })}
        {item}
        value={portion.eachLot}
        shown={amount(portion.eachLot, "g")}
        class={cups ? "text-body" : "font-head text-lead font-bold"}
        onread={put}
      />
    </span>
    <span class="max-sm:col-span-2 max-sm:col-start-2 max-sm:row-start-2" data-testid="measure">
      <AmountField
        label={m.measure_col({ item: name })}
        {item}
        value={portion.eachLot}
        shown={measured(portion.measure)}
        class={cups ? "font-head text-lead font-bold" : "text-body"}
        onread={put}
      />
    </span>
    <Toggle
      class="grid size-11 place-items-center rounded-lg hover:bg-steel {portion.pinned ? 'text-rim' : 'text-mute'}"
      pressed={portion.pinned}
      aria-label={portion.pinned ? m.is_fixed({ item: name }) : m.fix_it({ item: name })}
      onpress={() => edit({ kind: "pin" })}
    >
      <Pin size={19} class={portion.pinned ? "fill-current" : "rotate-45"} />
    </Toggle>
    {#if portion.mayGo}
      <button
        class="grid h-11 w-9 place-items-center rounded-lg text-mute hover:bg-steel max-sm:col-start-4 max-sm:row-start-2 max-sm:w-11"
        aria-label={m.leave_out({ item: name })}
        onclick={() => edit({ kind: "drop" })}><X size={17} /></button
      >
    {/if}
  </div>
  {#if share.problem}
    <p id="{id}-problem" class="refusal flex items-center justify-end gap-2 pb-1">
      {share.problem}
      {#if !share.unread && refusal?.code === "liquidDoesNotFit" && refusal.most != null}
        {@const most = refusal.most}
        <button class="button plain min-h-9 underline" onclick={() => takeWhatFits(most)}
          >{m.refuse_take_fits({ most: amount(most, refusal.unit ?? "g") })}</button
        >
      {/if}
    </p>
  {/if}
</li>
