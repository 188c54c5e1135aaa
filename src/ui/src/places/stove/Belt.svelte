<script lang="ts">
  import { Dialog } from "bits-ui";
  import type { PieceAt, PressBody, StoveSheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { span } from "../../words/clock";
  import { pieceAtName, pieceName } from "../../words/stove";

  type Press = Omit<PressBody, "id" | "ago">;
  /** Every piece on its way from ball to table. A group opens to name one piece. */
  let { sheet, now, onpress }: { sheet: StoveSheet; now: number; onpress: (press: Press) => void } = $props();
  const order: PieceAt[] = ["ball", "folded", "rolled", "onPan", "dry", "hot", "served", "lost"];
  const look: Record<PieceAt, string> = {
    ball: "#b9ab8e",
    folded: "#d8c7a2",
    rolled: "#f3e6c9",
    onPan: "#e9b65c",
    dry: "#e2c08a",
    hot: "#d39a55",
    served: "#6b5339",
    lost: "#4a3340",
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
      <span class="mb-2 block text-[15px] font-semibold text-(--mute)">{pieceAtName[group.at]()} · {group.pieces.length}</span>
      <span class="flex flex-wrap gap-1.5">
        {#each group.pieces.slice(0, MOST) as piece (`${piece.bread}-${piece.number}`)}
          <span
            class="piece"
            class:other={piece.bread > 0}
            style:background={look[group.at]}
            style:color={["served", "lost"].includes(group.at) ? "#f6f4ea" : "#2a1c08"}>{piece.number}</span
          >
        {/each}
        {#if group.pieces.length > MOST}<span class="piece text-(--mute)">+{group.pieces.length - MOST}</span>{/if}
      </span>
    </button>
  {/each}
</footer>

<Dialog.Root open={shown !== null} onOpenChange={(o) => !o && (open = null)}>
  <Dialog.Portal to="main">
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/60" />
    <Dialog.Content class="stove-menu fixed inset-x-4 top-16 z-50 mx-auto max-h-[80vh] max-w-2xl overflow-y-auto">
      {#if shown}
        <Dialog.Title class="text-[22px] font-bold">{pieceAtName[shown.at]()} · {shown.pieces.length}</Dialog.Title>
        <div class="flex flex-wrap gap-2">
          {#each shown.pieces as piece (`${piece.bread}-${piece.number}`)}
            <button
              class="act plain !min-w-16 !px-3"
              aria-pressed={picked?.bread === piece.bread && picked.number === piece.number}
              onclick={() => (picked = { bread: piece.bread, number: piece.number })}
              >{pieceName(sheet, piece.bread, piece.number)}{#if piece.since != null}<span class="text-[14px] font-medium text-(--mute)"
                  >{span(Math.max(now - piece.since, 0))}</span
                >{/if}</button
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
          <Dialog.Close class="act plain">{m.close()}</Dialog.Close>
        </div>
      {/if}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
