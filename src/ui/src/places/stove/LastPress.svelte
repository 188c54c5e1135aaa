<script lang="ts">
  import type { PressBody, StoveSheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { eventWords } from "../../words/stove";

  type Press = Omit<PressBody, "id" | "ago">;
  /** What was pressed last, and the way back. */
  interface Props {
    sheet: StoveSheet;
    waits: (part: Partial<Press>) => boolean;
    onpress: (press: Press) => void;
    onhistory: () => void;
  }
  let { sheet, waits, onpress, onhistory }: Props = $props();
  // One that is about to be taken back makes room for the one before it.
  const last = $derived(sheet.past.find((p) => !p.undone && !waits({ act: "undo", undoes: p.event.id })));
</script>

{#if last}
  <div class="last flex items-center gap-2.5 text-body" data-testid="last-event">
    <span class="min-w-0 flex-1 leading-tight text-night-mute max-sm:sr-only">{eventWords(sheet, last.event)}</span>
    <button class="act plain" onclick={() => onpress({ act: "undo", undoes: last.event.id })}>{m.undo()}<kbd>U</kbd></button>
    <button class="act plain" onclick={onhistory}>{m.earlier_presses()}</button>
  </div>
{/if}
