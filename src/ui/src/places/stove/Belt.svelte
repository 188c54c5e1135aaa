<script lang="ts">
  import type { PieceAt, PressBody, StoveSheet } from "../../api/types";
  import Toggle from "../../parts/Toggle.svelte";
  import { m } from "../../paraglide/messages";
  import Dialog from "../../parts/Dialog.svelte";
  import DialogClose from "../../parts/DialogClose.svelte";
  import { span } from "../../words/clock";
  import { number } from "../../words/format";
  import { pieceAtName, pieceName } from "../../words/stove";

  type Press = Omit<PressBody, "id" | "ago">;
  /** Every piece on its way from ball to table. A group opens to name one piece. */
  let { sheet, now, onpress }: { sheet: StoveSheet; now: number; onpress: (press: Press) => void } = $props();
  const order: PieceAt[] = ["ball", "folded", "rolled", "onPan", "dry", "hot", "served", "lost"];
  const look: Record<PieceAt, string> = {
    ball: "var(--color-at-ball)",
    folded: "var(--color-at-folded)",
    rolled: "var(--color-at-rolled)",
    onPan: "var(--color-at-pan)",
    dry: "var(--color-at-dry)",
    hot: "var(--color-at-hot)",
    served: "var(--color-at-served)",
    lost: "var(--color-at-lost)",
  };
  const MOST = 12;
  const groups = $derived(
    order
      .map((at) => ({ at, pieces: sheet.breads.flatMap((b, bread) => b.belt.filter((p) => p.at === at).map((p) => ({ ...p, bread }))) }))
      .filter((g) => g.pieces.length > 0),
  );
  let open = $state<PieceAt | null>(null);
  let picked = $state<{ bread: number; number: number } | null>(null);
  const shown = $derived(groups.find((g) => g.at === open) ?? null);
  function choose(press: Press) {
    open = null;
    picked = null;
    onpress(press);
  }
</script>

<footer class="belt" aria-label={m.the_belt()} data-testid="belt">
  {#each groups as group (group.at)}
    <button class="lane" data-group={group.at} onclick={() => ((open = group.at), (picked = null))}>
      <span class="block text-body font-semibold whitespace-nowrap text-night-mute sm:mb-2"
        >{m.belt_group({ at: pieceAtName[group.at](), count: number(group.pieces.length, 0) })}</span
      >
      <span class="flex flex-wrap gap-1.5 max-sm:hidden">
        {#each group.pieces.slice(0, MOST) as piece (`${piece.bread}-${piece.number}`)}
          <span
            class="piece"
            class:other={piece.bread > 0}
            style:background={look[group.at]}
            style:color={["served", "lost"].includes(group.at) ? "var(--color-night-ink)" : "var(--color-on-bread)"}>{piece.number}</span
          >
        {/each}
        {#if group.pieces.length > MOST}<span class="piece text-night-mute">+{group.pieces.length - MOST}</span>{/if}
      </span>
    </button>
  {/each}
</footer>

<Dialog
  night
  open={shown !== null}
  title={shown ? m.belt_group({ at: pieceAtName[shown.at](), count: number(shown.pieces.length, 0) }) : ""}
  onclose={() => (open = null)}
>
  {#if shown}
    <div class="flex flex-wrap gap-2">
      {#each shown.pieces as piece (`${piece.bread}-${piece.number}`)}
        <Toggle
          class="act plain min-w-16 px-3"
          pressed={picked?.bread === piece.bread && picked.number === piece.number}
          onpress={() => (picked = { bread: piece.bread, number: piece.number })}
          >{pieceName(sheet, piece.bread, piece.number)}{#if piece.since != null}<span class="text-small font-medium text-night-mute"
              >{span(Math.max(now - piece.since, 0))}</span
            >{/if}</Toggle
        >
      {/each}
    </div>
    <div class="flex flex-wrap gap-2.5">
      {#if shown.at === "hot"}<button class="act" onclick={() => choose({ act: "served" })}>{m.press_served_all()}</button>{/if}
      {#if picked}
        {@const name = pieceName(sheet, picked.bread, picked.number)}
        {#if shown.at === "hot"}<button class="act plain" onclick={() => choose({ act: "served", ...picked! })}
            >{m.press_served({ piece: name })}</button
          >{/if}
        {#if shown.at !== "lost" && shown.at !== "served"}
          <button class="act plain" onclick={() => choose({ act: "dropped", ...picked! })}>{m.press_dropped({ piece: name })}</button>
          {#if sheet.breads[picked.bread]?.stuffed}<button class="act plain" onclick={() => choose({ act: "burst", ...picked! })}
              >{m.press_burst({ piece: name })}</button
            >{/if}
        {/if}
      {/if}
      <DialogClose class="act plain" />
    </div>
  {/if}
</Dialog>
