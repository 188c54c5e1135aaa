<script lang="ts">
  import Printer from "@lucide/svelte/icons/printer";
  import type { ClockSheet } from "../api/types";
  import { batch } from "../bench/bench.svelte";
  import { m } from "../paraglide/messages";
  import Trouble from "../parts/Trouble.svelte";
  import { breachTone, breachWords, clockRestName, hourOf, span, workName } from "../words/clock";
  import { beside, clock, day, listed } from "../words/format";

  /** The timetable for the wall: one line for each stretch of like work. */
  interface Line {
    from: number;
    to: number;
    who: string;
    what: string;
    first: number;
    last: number;
    bread: number;
    key: string;
  }
  const here = batch.recover();
  const view = $derived(batch.clock);

  // What follows each other of the same kind is one line: fold 1 to 6.
  const BREAK_S = 600;
  function linesOf({ hands, pans }: ClockSheet): Line[] {
    const all: Omit<Line, "key">[] = [
      ...hands
        .filter((h) => h.pan == null && h.parts.length > 0)
        .map((h) => ({
          from: h.parts[0]!.from,
          to: h.parts.at(-1)!.to,
          who: m.hands_lane({ number: h.person + 1 }),
          what: workName[h.work](),
          first: h.number,
          last: h.number,
          bread: h.bread,
        })),
      ...pans.map((p) => ({
        from: p.laid,
        to: p.lifted,
        who: m.pan_lane({ number: p.pan + 1 }),
        what: p.fry ? m.work_fry() : m.work_roast(),
        first: p.pieces[0]!,
        last: p.pieces.at(-1)!,
        bread: p.bread,
      })),
    ].toSorted((a, b) => a.from - b.from);
    const open: Record<string, Line> = {};
    const lines: Line[] = [];
    for (const stretch of all) {
      const key = `${stretch.who}-${stretch.what}-${stretch.bread}`;
      const last = open[key];
      if (last && stretch.from - last.to < BREAK_S) {
        last.to = Math.max(last.to, stretch.to);
        last.last = Math.max(last.last, stretch.last);
      } else lines.push((open[key] = { ...stretch, key }));
    }
    return lines;
  }
  const lines = $derived(view ? linesOf(view.sheet) : []);
</script>

<div class="mx-auto max-w-[190mm] bg-white p-6 print:p-0" data-testid="printed-timetable">
  {#if view}
    <div class="flex flex-wrap items-baseline justify-between gap-x-6">
      <h1 class="text-title font-bold">{listed(view.names)}</h1>
      <button class="button print:hidden" onclick={() => print()}><Printer size={18} aria-hidden="true" />{m.print_timetable()}</button>
    </div>
    <p class="mb-3 text-body">
      <b>{m.begin_at()} {clock(view.zero)}</b> · <b>{m.table_at({ time: clock(view.table) })}</b> · {day(view.table)} · {m.oldest_is({
        time: span(view.sheet.report.oldest),
      })}
    </p>
    {#each view.sheet.report.breaches as b (`${b.code}-${b.bread}`)}<p class={breachTone(b)}>{breachWords(b)}</p>{/each}
    <table class="w-full text-body">
      <thead>
        <tr class="border-b-2 border-ink text-start text-fine"
          ><th class="py-1 text-start">{m.column_from()}</th><th class="text-start">{m.column_to()}</th><th class="text-start"
            >{m.column_who()}</th
          ><th class="text-start">{m.column_what()}</th></tr
        >
      </thead>
      <tbody>
        {#each lines as line (`${line.key}-${line.from}`)}
          <tr class="border-b border-line">
            <td class="py-1 font-head font-bold">{hourOf(view, line.from)}</td>
            <td>{hourOf(view, line.to)}</td>
            <td>{line.who}</td>
            <td
              >{line.what}
              {line.first === line.last ? line.first : `${line.first}–${line.last}`}{view.names.length > 1
                ? ` · ${view.names[line.bread]}`
                : ""}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
    <h2 class="mt-4 text-lead font-bold">{m.rests_head()}</h2>
    <ul>
      {#each view.sheet.rests as r (`${r.bread}-${r.rest}`)}
        <li>
          {beside(clockRestName[r.rest](), view.names.length > 1 && view.names[r.bread])}: {hourOf(view, r.from)} – {hourOf(view, r.to)}, {span(
            r.shortest,
          )} ({m.from_to({ least: span(r.bounds.least * 60), most: span(r.bounds.longest * 60) })})
        </li>
      {/each}
    </ul>
  {:else if here && (batch.trouble ?? batch.clockTrouble)}
    <Trouble trouble={batch.trouble ?? batch.clockTrouble} again={() => batch.again()} />
  {:else}
    <p class="p-8">{here ? m.working_it_out() : m.no_batch()}</p>
  {/if}
</div>
