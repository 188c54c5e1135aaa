<script lang="ts">
  import type { StoveSheet } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import DayTime from "../../parts/DayTime.svelte";
  import Dialog from "../../parts/Dialog.svelte";
  import DialogClose from "../../parts/DialogClose.svelte";
  import type { StoveScreen } from "../../stove/screen.svelte";
  import { number } from "../../words/format";

  /** When the table is, and how many hands there are. */
  interface Props {
    screen: StoveScreen;
    sheet: StoveSheet;
    openedAt: string;
    onclose: () => void;
  }
  let { screen, sheet, openedAt, onclose }: Props = $props();
  const MOST_HANDS = 12;

  function setTable(iso: string) {
    const seconds = (Date.parse(iso) - Date.parse(openedAt)) / 1000;
    screen.press({ act: "table", value: Math.max(Math.round(seconds), 0) });
  }
  const setHands = (value: number) => screen.press({ act: "hands", value });
</script>

<Dialog night open title={m.service_settings()} {onclose}>
  <DayTime label={m.table_time()} big value={new Date(Date.parse(openedAt) + sheet.table * 1000).toISOString()} onchange={setTable} />
  <div class="flex items-center justify-between gap-3 text-lead">
    <span>{m.hands_at_work({ count: number(screen.people, 0) })}</span>
    <span class="flex gap-2.5">
      <button class="act plain" disabled={screen.people <= 0} aria-label={m.one_hand_less()} onclick={() => setHands(screen.people - 1)}
        >−</button
      >
      <button
        class="act plain"
        disabled={screen.people >= MOST_HANDS}
        aria-label={m.one_hand_more()}
        onclick={() => setHands(screen.people + 1)}>+</button
      >
    </span>
  </div>
  <button class="act plain" onclick={() => (onclose(), screen.press({ act: "end" }))}>{m.close_service()}</button>
  <DialogClose class="act plain" />
</Dialog>
