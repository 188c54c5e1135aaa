<script lang="ts">
  import type { DayLoad, DayView } from "../../api/types";
  import { m } from "../../paraglide/messages";
  import { clock, number, later } from "../../words/format";

  /** The day as lanes: a line for each batch, and under them how much of the hands and pans is wanted when. */
  let { view }: { view: DayView } = $props();
  const [ROW, LOAD, TOP, FOOT, PAD] = [44, 52, 22, 4, 8];
  const NAMES = 210;
  const HOUR = 3600;
  let box = $state.raw<DOMRectReadOnly>();
  const width = $derived(Math.round(box?.width ?? 900));
  const id = $props.id();
  const sheet = $derived(view.sheet);
  // On a phone names stand over their lines.
  const beside = $derived(width >= 640);
  const down = $derived(beside ? 0 : 4);
  const left = $derived(beside ? NAMES : 6);
  const from = $derived(Math.floor(Math.min(...sheet.bars.map((b) => b.from)) / HOUR) * HOUR);
  const to = $derived(Math.ceil(Math.max(...sheet.bars.map((b) => b.to)) / HOUR) * HOUR);
  const x = (at: number) => left + ((at - from) / Math.max(to - from, 1)) * (width - left - 14);
  const hour = (seconds: number) => clock(later(view.from, seconds));
  const hours = $derived(Array.from({ length: (to - from) / HOUR + 1 }, (_, i) => from + i * HOUR));
  // So many hours apart that their names do not touch.
  const every = $derived(Math.ceil((58 * hours.length) / Math.max(width - left, 1)));
  const row = (i: number) => TOP + PAD + i * ROW;
  const loads = $derived([
    { name: m.day_load_hands({ count: sheet.people }), all: sheet.hands },
    { name: m.day_load_pans({ count: sheet.pans }), all: sheet.onPans },
  ]);
  const loadY = (i: number) => row(sheet.bars.length) + 6 + i * (LOAD + 8);
  const height = $derived(loadY(loads.length) + FOOT);
  const most = (all: DayLoad[]) => Math.max(150, ...all.map((l) => l.wanted));
  const up = (all: DayLoad[], wanted: number) => (wanted / most(all)) * LOAD;
  const batchName = (number: number) => view.batches.find((b) => b.number === number)?.name ?? "";
  const numbers = (batch: number) => sheet.breads.flatMap((b, i) => (b.batch === batch ? [number(i + 1, 0)] : [])).join(" ");
</script>

<div class="min-w-0" bind:contentRect={box}>
  <svg
    {width}
    {height}
    viewBox="0 0 {width} {height}"
    class="block h-auto max-w-full"
    role="img"
    aria-label={m.day_lanes_say({ count: sheet.bars.length })}
    data-testid="day-lanes"
  >
    <defs>
      <pattern id="{id}-over" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="6" height="6" fill="var(--color-chilli-soft)" /><rect width="2.5" height="6" fill="var(--color-chilli)" />
      </pattern>
      <pattern id="{id}-pan" width="7" height="7" patternUnits="userSpaceOnUse">
        <rect width="7" height="7" fill="var(--color-stay)" /><rect width="2" height="7" fill="var(--color-crust-deep)" />
      </pattern>
    </defs>
    {#each hours as t, i (t)}
      <line x1={x(t)} x2={x(t)} y1={TOP} y2={height - FOOT} stroke="var(--color-line)" />
      {#if i % every === 0}<text
          x={x(t)}
          y={14}
          text-anchor={i === 0 && !beside ? "start" : i === hours.length - 1 ? "end" : "middle"}
          class="fill-mute text-fine">{hour(t)}</text
        >{/if}
    {/each}
    {#each sheet.clashes as c (`${c.of}-${c.from}`)}
      <rect
        x={x(c.from)}
        y={TOP}
        width={Math.max(x(c.to) - x(c.from), 2)}
        height={row(sheet.bars.length) - TOP}
        fill="var(--color-chilli-soft)"
      />
    {/each}
    {#each sheet.bars as bar, i (bar.batch)}
      {@const y = row(i)}
      <!-- Names keep clear of what runs behind them. -->
      <text x={beside ? 0 : left} y={beside ? y + 15 : y + 9} class="fill-ink text-small font-semibold"
        ><tspan class="font-head font-bold">{numbers(bar.batch)}</tspan><tspan dx="8">{batchName(bar.batch)}</tspan></text
      >
      <rect
        x={x(bar.from)}
        y={y + down + 13}
        width={Math.max(x(bar.to) - x(bar.from), 2)}
        height="3"
        fill="var(--color-ink)"
        opacity="0.35"
      />
      {#each bar.hands as h (h.from)}
        <rect x={x(h.from)} y={y + down + 12} width={Math.max(x(h.to) - x(h.from), 2)} height="11" rx="2" fill="var(--color-rim)" />
      {/each}
      {#if bar.pans}<rect
          x={x(bar.pans.from)}
          y={y + down + 25}
          width={Math.max(x(bar.pans.to) - x(bar.pans.from), 2)}
          height="9"
          rx="2"
          fill="url(#{id}-pan)"
        />{/if}
    {/each}
    {#each loads as load, i (load.name)}
      {@const foot = loadY(i) + LOAD}
      <text x={beside ? 0 : left} y={beside ? foot - 10 : loadY(i) + 10} class="fill-ink text-small font-semibold">{load.name}</text>
      {#each load.all as l (l.from)}
        {@const within = Math.min(l.wanted, 100)}
        <rect
          x={x(l.from)}
          y={foot - up(load.all, within)}
          width={x(l.to) - x(l.from)}
          height={up(load.all, within)}
          fill="var(--color-rim-soft)"
        />
        {#if l.wanted > 105}<rect
            x={x(l.from)}
            y={foot - up(load.all, l.wanted)}
            width={x(l.to) - x(l.from)}
            height={up(load.all, l.wanted - 100)}
            fill="url(#{id}-over)"
          />{/if}
      {/each}
      <line
        x1={left}
        x2={width - 14}
        y1={foot - up(load.all, 100)}
        y2={foot - up(load.all, 100)}
        stroke="var(--color-ink)"
        stroke-width="1.5"
        stroke-dasharray="5 3"
      />
      <line x1={left} x2={width - 14} y1={foot} y2={foot} stroke="var(--color-ink)" />
    {/each}
  </svg>
  <p class="flex flex-wrap gap-x-5 text-fine text-mute" aria-hidden="true">
    <span class="inline-flex items-center gap-1.5"><span class="inline-block h-2.5 w-5 rounded-xs bg-rim"></span>{m.day_key_hands()}</span>
    <span class="inline-flex items-center gap-1.5"
      ><svg width="20" height="9"><rect width="20" height="9" rx="2" fill="url(#{id}-pan)" /></svg>{m.day_key_pans()}</span
    >
    <span class="inline-flex items-center gap-1.5"
      ><svg width="20" height="10"><rect width="20" height="10" fill="url(#{id}-over)" /></svg>{m.day_key_over()}</span
    >
  </p>
</div>
