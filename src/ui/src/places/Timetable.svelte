<script lang="ts">
  import Printer from "@lucide/svelte/icons/printer";
  import type { HandSlot } from "../api/types";
  import { batch } from "../batch.svelte";
  import { m } from "../paraglide/messages";
  import { breachWords, clockRestName, hourOf, span, workName } from "../words/clock";
  import { clock, day } from "../words/format";

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

  const place = (h: HandSlot) => (h.pan == null ? m.hands_lane({ number: h.person + 1 }) : m.pan_lane({ number: h.pan + 1 }));
  // What follows each other of the same kind is one line: fold 1 to 6.
  function linesOf(slots: HandSlot[]): Line[] {
    const open: Record<string, Line> = {};
    const lines: Line[] = [];
    for (const h of slots.filter((s) => s.parts.length > 0 && (s.pan == null || s.work === "lay" || s.work === "fry"))) {
      const key = `${place(h)}-${h.work}-${h.bread}`;
      const [from, to] = [h.parts[0]!.from, h.parts.at(-1)!.to];
      const last = open[key];
      if (last && from - last.to < 600) {
        last.to = Math.max(last.to, to);
        last.last = Math.max(last.last, h.number);
      } else {
        const line = { from, to, who: place(h), what: workName[h.work](), first: h.number, last: h.number, bread: h.bread, key };
        open[key] = line;
        lines.push(line);
      }
    }
    return lines.toSorted((a, b) => a.from - b.from);
  }
  const lines = $derived(view ? linesOf(view.sheet.hands) : []);
</script>

<div class="mx-auto max-w-[190mm] bg-white p-6 print:p-0" data-testid="printed-timetable">
  {#if view}
    <div class="flex flex-wrap items-baseline justify-between gap-x-6">
      <h1 class="text-title font-bold">{view.names.join(", ")}</h1>
      <button class="button print:hidden" onclick={() => print()}><Printer size={18} aria-hidden="true" />{m.print_timetable()}</button>
    </div>
    <p class="mb-3 text-[16px]">
      <b>{m.begin_at()} {clock(view.zero)}</b> · <b>{m.table_at({ time: clock(view.table) })}</b> · {day(view.table)} · {m.oldest_is({
        time: span(view.sheet.report.oldest),
      })}
    </p>
    {#each view.sheet.report.breaches as b (`${b.code}-${b.bread}`)}<p class="refusal">{breachWords(b)}</p>{/each}
    <table class="w-full text-[15px]">
      <thead>
        <tr class="border-b-2 border-ink text-start text-[13px]"
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
    <h2 class="mt-4 text-[17px] font-bold">{m.rests_head()}</h2>
    <ul>
      {#each view.sheet.rests as r (`${r.bread}-${r.rest}`)}
        <li>
          {clockRestName[r.rest]()}{view.names.length > 1 ? ` · ${view.names[r.bread]}` : ""}: {hourOf(view, r.from)} – {hourOf(
            view,
            r.to,
          )}, {span(r.shortest)} ({m.from_to({ least: span(r.bounds.least * 60), most: span(r.bounds.longest * 60) })})
        </li>
      {/each}
    </ul>
  {:else}
    <p class="p-8">{here ? m.working_it_out() : m.no_batch()}</p>
  {/if}
</div>
