<script lang="ts">
  import { larder } from "../../api/larder.svelte";
  import { m } from "../../paraglide/messages";
  import { amount } from "../../words/format";

  /** The moment of a turn, or of the lifting, as a handle. */
  interface Props {
    stay: number;
    /** It is the lifting. */
    last: boolean;
    /** Seconds: where this stay begins and ends, and where the next one ends. */
    from: number;
    to: number;
    next: number | null;
    /** Points: where it stands, and from where down to where. */
    x: number;
    top: number;
    foot: number;
    ongrab: (event: PointerEvent) => void;
    onmove: (event: PointerEvent) => void;
    onleave: () => void;
    /** By keys: so many seconds later. */
    onby: (seconds: number) => void;
  }
  let { stay, last, from, to, next, x, top, foot, ongrab, onmove, onleave, onby }: Props = $props();
  const bounds = $derived(larder.limit("pan.own[].time"));

  function key(event: KeyboardEvent) {
    const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageUp: 10, PageDown: -10 }[event.key];
    if (!by) return;
    event.preventDefault();
    onby(by * (event.shiftKey ? 5 : 1));
  }
</script>

<g
  role="slider"
  tabindex="0"
  data-turn={stay}
  aria-label={last ? m.handle_lift() : m.handle_turn({ number: stay + 1 })}
  aria-valuemin={Math.round(from) + bounds.least}
  aria-valuemax={Math.round(next === null ? from + bounds.most : next - bounds.least)}
  aria-valuenow={Math.round(to)}
  aria-valuetext={amount(to, "s")}
  class="handle cursor-ew-resize touch-none"
  onpointerdown={ongrab}
  onpointermove={onmove}
  onpointerup={onleave}
  onpointercancel={onleave}
  onkeydown={key}
>
  <rect x={x - 22} y={top - 18} width="44" height={foot - top + 18} fill="transparent" />
  <line x1={x} x2={x} y1="0" y2={foot} stroke="var(--color-rim)" stroke-width="2" />
  <circle cx={x} cy={top} r="10" fill="white" stroke="var(--color-rim)" stroke-width="2.5" />
  <path
    d={last ? `M${x} ${top + 5}v-9m-4 4l4-4l4 4` : `M${x - 4} ${top}a4 4 0 1 1 4 4m-2.5-2.5l2.5 2.5l-2.5 2.5`}
    fill="none"
    stroke="var(--color-rim)"
    stroke-width="2"
  />
</g>
