<script lang="ts">
  import type { ClockView, PieceLife } from "../../api/types";
  import { batch } from "../../bench/bench.svelte";
  import { m } from "../../paraglide/messages";
  import { clockRestName, hourOf, lifeWords, slotWords, span } from "../../words/clock";
  import { axisOf, place } from "./axis";

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

  let width = $state(640);
  const left = 66;
  const lane = 30;
  const gap = 5;
  const top = 20;
  const sheet = $derived(view.sheet);
  const people = $derived(Math.max(...sheet.hands.map((h) => h.person), 0) + 1);
  const places = $derived(
    [...new Map(sheet.pans.map((p) => [`${p.pan}-${p.place}`, { pan: p.pan, place: p.place }])).values()].toSorted(
      (a, b) => a.pan - b.pan || a.place - b.place,
    ),
  );
  const onePlace = $derived(places.every((p) => p.place === 0));
  const from = $derived(
    close
      ? Math.max(Math.min(...sheet.hands.filter((h) => h.work === "roll" || h.work === "lay").map((h) => h.parts[0]?.from ?? 0)) - 30, 0)
      : 0,
  );
  const axis = $derived(axisOf(sheet, from, sheet.lead, left, width - left - 14));
  const x = $derived((at: number) => place(axis, at));
  const handY = (person: number) => top + person * (lane + gap);
  const panY = $derived(
    (pan: number, at: number) => top + (people + places.findIndex((p) => p.pan === pan && p.place === at)) * (lane + gap) + 4,
  );
  const restY = $derived(top + (people + places.length) * (lane + gap) + 10);
  const height = $derived(restY + sheet.rests.length * 19 + 22);
  const ticks = $derived(
    axis
      .filter((p) => !p.rest)
      .flatMap((p) => {
        const step = [60, 120, 300, 600, 900, 1800, 3600].find((s) => (s / Math.max(p.to - p.from, 1)) * p.width >= 58) ?? 7200;
        const zero = Date.parse(view.zero) / 1000;
        const first = Math.ceil((zero + p.from) / step) * step - zero;
        return Array.from({ length: Math.max(Math.floor((p.to - first) / step) + 1, 0) }, (_, i) => first + i * step);
      }),
  );
  const tint: Record<string, string> = {
    mix: "var(--color-work-mix)",
    divide: "var(--color-strata-3)",
    filling: "var(--color-work-filling)",
    fold: "var(--color-raw)",
    roll: "var(--color-work-roll)",
  };
  const isPicked = (bread: number, number: number) => picked !== null && picked.bread === bread && picked.number === number;
  const each = $derived(
    sheet.pieces.length / Math.max(new Set(sheet.hands.filter((h) => h.work === "fold").map((h) => `${h.bread}-${h.number}`)).size, 1),
  );
  const lives = $derived(new Map(sheet.pieces.map((p) => [`${p.bread}-${p.number}`, p])));
  function pick(bread: number, number: number) {
    const life = lives.get(`${bread}-${number}`);
    if (life) onpick(life);
  }
  // A ball that becomes several pieces is the first of them.
  const pieceOf = (number: number) => (each > 1 ? Math.round((number - 1) * each) + 1 : number);
  function step(event: KeyboardEvent) {
    const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageUp: 10, PageDown: -10 }[event.key];
    if (!by) return;
    event.preventDefault();
    const now = picked ? sheet.pieces.findIndex((p) => isPicked(p.bread, p.number)) : -1;
    const next = sheet.pieces[Math.min(Math.max(now + by, 0), sheet.pieces.length - 1)];
    if (next) onpick(next);
  }

  let dragged: { x: number; minutes: number } | null = null;
  function drag(event: PointerEvent) {
    if (!dragged) return;
    const busy = axis.filter((p) => !p.rest);
    const scale =
      busy.reduce((sum, p) => sum + p.to - p.from, 0) /
      Math.max(
        busy.reduce((sum, p) => sum + p.width, 0),
        1,
      ) /
      60;
    const minutes = Math.round((event.clientX - dragged.x) * scale);
    if (minutes !== dragged.minutes) ontable?.(minutes - dragged.minutes);
    dragged.minutes = minutes;
  }
  function keyTable(event: KeyboardEvent) {
    const by = { ArrowLeft: -5, ArrowDown: -5, ArrowRight: 5, ArrowUp: 5, PageUp: 30, PageDown: -30 }[event.key];
    if (!by) return;
    event.preventDefault();
    event.stopPropagation();
    ontable?.(event.shiftKey ? Math.sign(by) : by);
  }
  const over = $derived(batch.refusals.length > 0);
</script>

<div class="min-w-0" bind:clientWidth={width} class:opacity-50={over}>
  <svg {width} {height} class="block select-none" role="group" aria-label={m.tab_timetable()} data-testid="lanes">
    <g
      role="slider"
      tabindex="0"
      aria-label={m.follow_piece()}
      aria-valuemin={1}
      aria-valuemax={sheet.pieces.length}
      aria-valuenow={picked ? sheet.pieces.findIndex((p) => isPicked(p.bread, p.number)) + 1 : 1}
      aria-valuetext={picked ? `${m.piece_number({ number: picked.number })}: ${lifeWords(view, picked)}` : m.no_piece()}
      class="handle"
      onkeydown={step}
    >
      <rect x={left} y={top - 4} width={Math.max(width - left, 1)} height={Math.max(restY - top, 1)} fill="transparent" />
      {#each ticks as t (t)}
        <line x1={x(t)} x2={x(t)} y1={top - 4} y2={height - 20} stroke="var(--color-line)" />
        {#if x(t) > left + 4 && x(t) < width - 30 && axis.every((p) => !p.rest || x(t) < p.x - 24 || x(t) > p.x + p.width + 24)}<text
            x={x(t)}
            y={12}
            text-anchor="middle"
            class="fill-mute text-fine">{hourOf(view, t)}</text
          >{/if}
      {/each}
      {#each axis.filter((p) => p.rest) as p (p.from)}
        <rect x={p.x} y={top - 4} width={p.width} height={restY - top} fill="url(#rest-hatch)" />
        <text x={p.x + p.width / 2} y={12} text-anchor="middle" class="fill-mute text-fine font-semibold">{span(p.to - p.from)}</text>
      {/each}
      <defs>
        <pattern id="rest-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="7" height="7" fill="var(--color-idle)" /><rect width="2" height="7" fill="var(--color-idle-line)" />
        </pattern>
      </defs>
      {#each { length: people }, person (person)}
        <text x={left - 8} y={handY(person) + 20} text-anchor="end" class="fill-ink text-fine font-semibold"
          >{m.hands_lane({ number: person + 1 })}</text
        >
      {/each}
      {#each places as p (`${p.pan}-${p.place}`)}
        <text x={left - 8} y={panY(p.pan, p.place) + 20} text-anchor="end" class="fill-ink text-fine font-semibold"
          >{onePlace ? m.pan_lane({ number: p.pan + 1 }) : m.place_lane({ pan: p.pan + 1, place: p.place + 1 })}</text
        >
      {/each}
      {#each sheet.hands as slot, i (i)}
        {#each slot.parts as part, k (k)}
          {@const w = x(part.to) - x(part.from)}
          {@const own = slot.work === "fold" ? pieceOf(slot.number) : slot.number}
          {@const piece = !["mix", "divide", "filling"].includes(slot.work)}
          {#if part.to > from && part.to > part.from}
            <!-- svelte-ignore a11y_no_static_element_interactions -->
            <g
              opacity={picked && !(piece && isPicked(slot.bread, own)) ? 0.5 : 1}
              data-slot={slot.work}
              onpointerenter={() => piece && pick(slot.bread, own)}
              onpointerdown={() => piece && pick(slot.bread, own)}
            >
              <title>{slotWords(slot)}</title>
              <rect
                x={x(part.from)}
                y={handY(slot.person)}
                width={Math.max(w - 0.6, 1)}
                height={lane}
                rx={w > 8 ? 4 : 0}
                fill={slot.pan == null ? tint[slot.work] : "var(--color-crust)"}
                stroke={piece && isPicked(slot.bread, own) ? "var(--color-rim)" : slot.bread > 0 ? "var(--color-leaf)" : "none"}
                stroke-width={piece && isPicked(slot.bread, own) ? 2.5 : 1}
              />
              {#if slot.pan == null && k === 0}
                {@const label = piece ? String(slot.number) : slotWords(slot)}
                {#if w > label.length * 7.4 + 5}<text
                    x={x(part.from) + w / 2}
                    y={handY(slot.person) + 20}
                    text-anchor="middle"
                    class="fill-ink text-fine font-semibold">{label}</text
                  >{/if}
              {/if}
            </g>
          {/if}
        {/each}
      {/each}
      {#each sheet.pans as stay, i (i)}
        {@const w = x(stay.lifted) - x(stay.laid)}
        {@const y = panY(stay.pan, stay.place)}
        {@const own = stay.pieces.some((n) => isPicked(stay.bread, n))}
        {#if stay.lifted > from}
          <!-- svelte-ignore a11y_no_static_element_interactions -->
          <g
            opacity={picked && !own ? 0.5 : 1}
            data-stay
            onpointerenter={() => pick(stay.bread, stay.pieces[0]!)}
            onpointerdown={() => pick(stay.bread, stay.pieces[0]!)}
          >
            <rect
              x={x(stay.laid)}
              {y}
              width={Math.max(w - 0.8, 1)}
              height={lane}
              rx="4"
              fill={stay.fry ? "var(--color-stay-fried)" : "var(--color-stay)"}
              stroke={own ? "var(--color-rim)" : stay.bread > 0 ? "var(--color-leaf)" : "none"}
              stroke-width={own ? 2.5 : 1}
            />
            {#each stay.turns as turn (turn)}<line
                x1={x(turn)}
                x2={x(turn)}
                y1={y}
                y2={y + 7}
                stroke="var(--color-ink)"
                stroke-width="1.5"
              />{/each}
            {#if stay.wiped}<circle cx={x(stay.laid)} cy={y + lane - 3} r="2.5" fill="var(--color-rim)" />{/if}
            {#if w > (stay.pieces.length > 1 ? 5 : String(stay.pieces[0]).length) * 7.4}
              <text x={x(stay.laid) + w / 2} y={y + 22} text-anchor="middle" class="fill-ink text-fine font-bold"
                >{stay.pieces.length > 1 ? `${stay.pieces[0]}–${stay.pieces.at(-1)}` : stay.pieces[0]}</text
              >
            {/if}
          </g>
        {/if}
      {/each}
      {#each sheet.rests as rest, i (i)}
        {@const y = restY + i * 19}
        {#if rest.to > from}
          <rect x={x(rest.from)} {y} width={Math.max(x(rest.to) - x(rest.from), 2)} height="14" rx="7" fill="var(--color-work-rest)" />
          <text x={Math.min(x(rest.from) + 8, width - 250)} y={y + 11.5} class="fill-ink text-fine"
            >{m.rest_bar({
              rest: clockRestName[rest.rest](),
              is:
                rest.longest - rest.shortest > 90
                  ? m.from_to({ least: span(rest.shortest), most: span(rest.longest) })
                  : span(rest.shortest),
              least: span(rest.bounds.least * 60),
              best: span(rest.bounds.best * 60),
              longest: span(rest.bounds.longest * 60),
            })}</text
          >
        {/if}
      {/each}
      <line x1={x(sheet.lead)} x2={x(sheet.lead)} y1={top - 6} y2={height - 18} stroke="var(--color-rim)" stroke-width="2.5" />
      <text x={x(sheet.lead) - 6} y={height - 5} text-anchor="end" class="fill-rim text-small font-bold" data-testid="table-hour"
        >{m.table_at({ time: hourOf(view, sheet.lead) })}</text
      >
    </g>
    {#if ontable}
      <g
        role="slider"
        tabindex="0"
        class="handle cursor-ew-resize"
        aria-label={m.table_time()}
        aria-valuemin={-1440}
        aria-valuemax={1440}
        aria-valuenow={0}
        aria-valuetext={hourOf(view, sheet.lead)}
        onpointerdown={(e) => {
          dragged = { x: e.clientX, minutes: 0 };
          (e.currentTarget as Element).setPointerCapture(e.pointerId);
        }}
        onpointermove={drag}
        onpointerup={() => (dragged = null)}
        onpointercancel={() => (dragged = null)}
        onkeydown={keyTable}
      >
        <rect x={x(sheet.lead) - 22} y={top - 16} width="36" height={height - top} fill="transparent" />
        <circle cx={x(sheet.lead)} cy={top} r="10" fill="white" stroke="var(--color-rim)" stroke-width="2.5" />
        <path d="M{x(sheet.lead) - 5} {top}h10m-7-3l-3 3l3 3m4-6l3 3l-3 3" fill="none" stroke="var(--color-rim)" stroke-width="1.8" />
      </g>
    {/if}
  </svg>
</div>

<style>
  .handle:focus-visible {
    outline: 3px solid var(--color-rim);
    outline-offset: -2px;
    border-radius: 8px;
  }
</style>
