<script lang="ts">
  import Ellipsis from "@lucide/svelte/icons/ellipsis";
  import Hourglass from "@lucide/svelte/icons/hourglass";
  import type { PressBody, StovePan, StovePlace, StoveSheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Pop from "../../parts/Pop.svelte";
  import { beside, amount } from "../../words/format";
  import { countdown, panWords, pieceName, stayWords } from "../../words/stove";
  import Disc from "./Disc.svelte";

  type Press = Omit<PressBody, "id" | "ago">;
  interface Props {
    sheet: StoveSheet;
    pan: StovePan;
    now: number;
    /** The key of each place; nothing where there are more places than keys. */
    keyOf: (place: number) => string | undefined;
    /** What the space bar would press now. */
    next: Press | null;
    waits: (part: Partial<Press>) => boolean;
    /** False for a moment after it changed under the finger. */
    settled: (press: Press) => boolean;
    onpress: (press: Press) => void;
  }
  let { sheet, pan, now, keyOf, next, waits, settled, onpress }: Props = $props();
  let more = $state(false);

  const lying = $derived(pan.places.find((p) => p.bread != null));
  const head = $derived(
    lying
      ? beside(m.pan_lane({ number: pan.pan + 1 }), pieceName(sheet, lying.bread!, lying.numbers[0]!))
      : m.pan_lane({ number: pan.pan + 1 }),
  );
  const alone = $derived(pan.places.length === 1);
  const warns = $derived(panWords(pan));

  function wordsOf(p: StovePlace): string {
    if (p.bread == null) return p.next ? m.press_lay({ piece: pieceName(sheet, p.next.bread, p.next.number) }) : m.press_none();
    return p.lift ? m.press_lift() : p.fat > 0 ? m.press_turn_fat({ mass: amount(p.fat, "g") }) : m.press_turn();
  }
  const same = (a: Press | null, b: Press | null) => a !== null && b !== null && a.act === b.act && a.pan === b.pan && a.place === b.place;
  function choose(press: Press) {
    more = false;
    onpress(press);
  }
</script>

{#snippet menu()}
  <Pop bind:open={more} label={m.more_of_pan()} triggerClass="act plain more" class="stove-menu">
    {#snippet trigger()}<Ellipsis size={24} aria-hidden="true" /><span>{m.more_of_pan()}</span>{/snippet}
    {#if lying}
      {@const piece = { bread: lying.bread!, number: lying.numbers[0]! }}
      {@const name = pieceName(sheet, piece.bread, piece.number)}
      {#if !lying.lift}<button class="act plain" onclick={() => choose({ act: "lifted", pan: pan.pan, place: lying.place, ...piece })}
          >{m.press_lift_now({ piece: name })}</button
        >{/if}
      <button class="act plain" onclick={() => choose({ act: "fat", pan: pan.pan, place: lying.place, ...piece })}>{m.press_fat()}</button>
      <button class="act plain" onclick={() => choose({ act: "dropped", ...piece })}>{m.press_dropped({ piece: name })}</button>
      {#if sheet.breads[piece.bread]?.stuffed}<button class="act plain" onclick={() => choose({ act: "burst", ...piece })}
          >{m.press_burst({ piece: name })}</button
        >{/if}
    {/if}
    <button class="act plain" onclick={() => choose({ act: "wiped", pan: pan.pan })}>{m.press_wiped()}</button>
    <button class="act plain" onclick={() => choose(sheet.probed === pan.pan ? { act: "probe" } : { act: "probe", pan: pan.pan })}
      >{sheet.probed === pan.pan ? m.press_probe_off() : m.press_probe()}</button
    >
    <button class="act plain" onclick={() => choose({ act: pan.gone ? "panBack" : "panGone", pan: pan.pan })}
      >{pan.gone ? m.press_back() : m.press_gone()}</button
    >
  </Pop>
{/snippet}

<section class="pan" class:gone={pan.gone} aria-label={m.pan_lane({ number: pan.pan + 1 })} data-pan={pan.pan}>
  <h2 class="flex flex-wrap justify-between gap-x-3 text-lead leading-tight font-semibold">
    {head}
    <span class="font-medium text-night-mute">
      {#if pan.heat != null}<b class={warns ? "text-night-hot" : "text-night-ink"} data-testid="pan-heat">{amount(pan.heat, "°C")}</b
        >{:else if lying}{stayWords(lying)}{/if}
    </span>
  </h2>
  <p class="text-body leading-tight font-semibold text-night-hot" role="status">
    {pan.gone ? m.pan_is_away() : warns || (pan.wipe ? m.wipe_first() : "")}
  </p>
  <div class="places">
    {#each pan.places as p (p.place)}
      {@const left = p.due == null ? null : p.due - now}
      {@const waitsFor = p.bread == null ? p.next : null}
      {@const press = p.press ?? null}
      {@const key = keyOf(p.place)}
      {@const pending = waits({ pan: pan.pan, place: p.place })}
      {@const big = left === null ? (waitsFor && waitsFor.at > now ? countdown(waitsFor.at - now) : "·") : countdown(left)}
      <div class="place" data-place={p.place}>
        <div class="dial" class:flash={left !== null && left <= 0} class:empty={p.bread == null}>
          <Disc
            dark={p.dark}
            share={left === null || p.since == null ? 0 : 1 - left / Math.max(p.due! - p.since, 1)}
            over={left !== null && left <= 5}
            empty={p.bread == null}
            seed={(p.numbers[0] ?? 1) + 3}
          />
          <div class="count" data-long={big.length > 6 ? "very" : big.length > 4 ? "" : undefined}>
            <b>{big}</b>
            <span
              >{left === null
                ? waitsFor
                  ? m.then_lay({ piece: pieceName(sheet, waitsFor.bread, waitsFor.number) })
                  : m.nothing_more()
                : p.lift
                  ? m.then_lift()
                  : m.then_turn()}</span
            >
          </div>
        </div>
        <div class="presses">
          {#if press}
            <button
              class="act"
              disabled={pending || !settled(press)}
              aria-keyshortcuts={key}
              onclick={(e) => (e.detail > 0 && e.currentTarget.blur(), onpress(press))}
            >
              {#if pending}<Hourglass size={22} aria-hidden="true" /><span class="sr-only">{m.waits_for_answer()}</span>{/if}
              {wordsOf(p)}{#if same(next, press)}<kbd>{m.space_key()}</kbd>{:else if key}<kbd>{key}</kbd>{/if}
            </button>
          {/if}
          {#if alone}{@render menu()}{/if}
        </div>
      </div>
    {/each}
  </div>
  {#if !alone}{@render menu()}{/if}
</section>
