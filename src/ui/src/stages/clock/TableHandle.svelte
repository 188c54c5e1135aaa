<script lang="ts">
  import { m } from "../../paraglide/messages";
  import { TOP, type Lanes } from "./lanes.svelte";

  /** The table's hour, dragged by mouse or finger, or moved by keys. */
  interface Props {
    lanes: Lanes;
    /** The hour it stands at. */
    said: string;
    /** Moves it by so many minutes. */
    ontable: (minutes: number) => void;
  }
  let { lanes, said, ontable }: Props = $props();
  const x = $derived(lanes.x(lanes.sheet.lead));
  const high = $derived(lanes.height - TOP);

  let dragged: { x: number; minutes: number; scale: number } | null = null;
  function grab(event: PointerEvent) {
    dragged = { x: event.clientX, minutes: 0, scale: lanes.minutesAPoint };
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
  }
  function drag(event: PointerEvent) {
    if (!dragged) return;
    const minutes = Math.round((event.clientX - dragged.x) * dragged.scale);
    if (minutes !== dragged.minutes) ontable(minutes - dragged.minutes);
    dragged.minutes = minutes;
  }
  function key(event: KeyboardEvent) {
    const by = { ArrowLeft: -5, ArrowDown: -5, ArrowRight: 5, ArrowUp: 5, PageUp: 30, PageDown: -30 }[event.key];
    if (!by) return;
    event.preventDefault();
    event.stopPropagation();
    ontable(event.shiftKey ? Math.sign(by) : by);
  }
</script>

<g
  role="slider"
  tabindex="0"
  class="handle cursor-ew-resize touch-none"
  aria-label={m.table_time()}
  aria-valuemin={-1440}
  aria-valuemax={1440}
  aria-valuenow={0}
  aria-valuetext={said}
  onpointerdown={grab}
  onpointermove={drag}
  onpointerup={() => (dragged = null)}
  onpointercancel={() => (dragged = null)}
  onkeydown={key}
>
  <rect x={x - 30} y={TOP - 20} width="44" height={high} fill="transparent" />
  <circle cx={x} cy={TOP} r="10" fill="white" stroke="var(--color-rim)" stroke-width="2.5" />
  <path d="M{x - 5} {TOP}h10m-7-3l-3 3l3 3m4-6l3 3l-3 3" fill="none" stroke="var(--color-rim)" stroke-width="1.8" />
</g>
