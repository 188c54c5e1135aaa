<script lang="ts">
  import type { StoveSheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import Dialog from "../../parts/Dialog.svelte";
  import DialogClose from "../../parts/DialogClose.svelte";
  import type { StoveScreen } from "../../stove/screen.svelte";
  import { eventWords } from "../../words/stove";

  /** What was pressed so far, each to be taken back. */
  interface Props {
    screen: StoveScreen;
    sheet: StoveSheet;
    /** The hour of a moment of the service. */
    at: (seconds: number) => string;
    onclose: () => void;
  }
  let { screen, sheet, at, onclose }: Props = $props();
</script>

<Dialog night open title={m.pressed_so_far()} {onclose}>
  {#each sheet.past as past (past.event.id)}
    <div class="flex items-center justify-between gap-3 text-lead">
      <span class:line-through={past.undone}>{m.pressed_at({ time: at(past.event.at), what: eventWords(sheet, past.event) })}</span>
      {#if !past.undone}<button class="act plain" onclick={() => screen.press({ act: "undo", undoes: past.event.id })}>{m.undo()}</button
        >{/if}
    </div>
  {/each}
  <DialogClose class="act plain" />
</Dialog>
