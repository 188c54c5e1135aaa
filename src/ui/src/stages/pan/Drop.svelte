<script lang="ts">
  import { m } from "../../paraglide/messages";
  import { amount } from "../../words/format";

  /** The fat of a stay as a drop on the face that gets it; held, it goes to another stay. */
  interface Props {
    stay: number;
    fat: number;
    stays: number;
    x: number;
    y: number;
    /** Nothing where it only stands there to be read. */
    held?: {
      grab: (event: PointerEvent) => void;
      move: (event: PointerEvent) => void;
      leave: () => void;
      /** By keys: to another stay. */
      to: (stay: number) => void;
    };
  }
  let { stay, fat, stays, x, y, held }: Props = $props();

  function key(event: KeyboardEvent) {
    const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key];
    if (!by || !held || stay + by < 0 || stay + by >= stays) return;
    event.preventDefault();
    held.to(stay + by);
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<g
  role={held ? "slider" : "img"}
  tabindex={held ? 0 : undefined}
  data-drop={stay}
  aria-label={m.drop_of({ fat: amount(fat, "g") })}
  aria-valuemin={held ? 1 : undefined}
  aria-valuemax={held ? stays : undefined}
  aria-valuenow={held ? stay + 1 : undefined}
  aria-valuetext={held ? m.before_stay({ number: stay + 1 }) : undefined}
  class={held ? "handle cursor-grab touch-none" : ""}
  onpointerdown={held?.grab}
  onpointermove={held?.move}
  onpointerup={held?.leave}
  onpointercancel={held?.leave}
  onkeydown={key}
>
  <rect x={x - 13} y={y - 9} width="52" height="44" fill="transparent" />
  <path
    d="M{x} {y + 1}c5 7 8 11 8 15a8 8 0 0 1-16 0c0-4 3-8 8-15z"
    fill="var(--color-ghee)"
    stroke="var(--color-ghee-deep)"
    stroke-width="1.5"
  />
  <text x={x + 11} y={y + 18} class="fill-ink text-fine font-semibold">{amount(fat, "g")}</text>
</g>
