<script lang="ts">
  import type { ClockView, PieceLife } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import { hourOf, lifeWords, span } from "../../words/clock";
  import HandSlots from "./HandSlots.svelte";
  import { Lanes, TOP } from "./lanes.svelte";
  import PanSlots from "./PanSlots.svelte";
  import RestBars from "./RestBars.svelte";
  import TableHandle from "./TableHandle.svelte";

  /** The service as lanes of hands, pans and rests; one piece can be followed through all of them. */
  interface Props {
    view: ClockView;
    /** From the first roll on, larger. */
    close: boolean;
    picked: PieceLife | null;
    onpick: (life: PieceLife) => void;
    /** Moves the table by so many minutes; nothing where the clock counts forwards. */
    ontable?: ((minutes: number) => void) | undefined;
  }
  let { view, close, picked, onpick, ontable }: Props = $props();

  let box = $state.raw<DOMRectReadOnly>();
  const width = $derived(Math.round(box?.width ?? 640));
  const lanes = new Lanes(() => ({ view, close, picked, width }));
  const { sheet, height, restY, x, left } = $derived(lanes);
  const over = $derived(batch.refusals.length > 0);

  function pick(bread: number, number: number) {
    const life = lanes.life(bread, number);
    if (life) onpick(life);
  }
  function step(event: KeyboardEvent) {
    const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageUp: 10, PageDown: -10 }[event.key];
    if (!by) return;
    event.preventDefault();
    const next = sheet.pieces[Math.min(Math.max(lanes.followed - 1 + by, 0), sheet.pieces.length - 1)];
    if (next) onpick(next);
  }
</script>

<div class="min-w-0" bind:contentRect={box} class:stale={over}>
  <svg {width} {height} class="block select-none" role="group" aria-label={m.tab_timetable()} data-testid="lanes">
    <defs>
      <pattern id="rest-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="7" height="7" fill="var(--color-idle)" /><rect width="2" height="7" fill="var(--color-idle-line)" />
      </pattern>
    </defs>
    <g
      role="slider"
      tabindex="0"
      aria-label={m.follow_piece()}
      aria-valuemin={1}
      aria-valuemax={sheet.pieces.length}
      aria-valuenow={lanes.followed || 1}
      aria-valuetext={picked
        ? m.choice_of({ label: m.piece_number({ number: picked.number }), value: lifeWords(view, picked) })
        : m.no_piece()}
      class="handle"
      onkeydown={step}
    >
      <rect x={left} y={TOP - 4} width={Math.max(width - left, 1)} height={Math.max(restY - TOP, 1)} fill="transparent" />
      {#each lanes.ticks as t (t)}
        <line x1={x(t)} x2={x(t)} y1={TOP - 4} y2={height - 20} stroke="var(--color-line)" />
        {#if lanes.named(t)}<text x={x(t)} y={12} text-anchor="middle" class="fill-mute text-fine">{hourOf(view, t)}</text>{/if}
      {/each}
      {#each lanes.axis.filter((p) => p.rest) as p (p.from)}
        <rect x={p.x} y={TOP - 4} width={p.width} height={restY - TOP} fill="url(#rest-hatch)" />
        <text x={p.x + p.width / 2} y={12} text-anchor="middle" class="fill-mute text-fine font-semibold">{span(p.to - p.from)}</text>
      {/each}
      {#each lanes.handNames as name, person (person)}
        <text x={left - 8} y={lanes.handY(person) + 20} text-anchor="end" class="fill-ink text-fine font-semibold">{name}</text>
      {/each}
      {#each lanes.places as p, i (`${p.pan}-${p.place}`)}
        <text x={left - 8} y={lanes.panY(p.pan, p.place) + 20} text-anchor="end" class="fill-ink text-fine font-semibold"
          >{lanes.panNames[i]}</text
        >
      {/each}
      <HandSlots {lanes} onpick={pick} />
      <PanSlots {lanes} onpick={pick} />
      <RestBars {lanes} />
      <line x1={x(sheet.lead)} x2={x(sheet.lead)} y1={TOP - 6} y2={height - 18} stroke="var(--color-rim)" stroke-width="2.5" />
      <text x={x(sheet.lead) - 6} y={height - 5} text-anchor="end" class="fill-rim text-small font-bold" data-testid="table-hour"
        >{m.table_at({ time: hourOf(view, sheet.lead) })}</text
      >
    </g>
    {#if ontable}<TableHandle {lanes} said={hourOf(view, sheet.lead)} {ontable} />{/if}
  </svg>
</div>
