import type { BatchSheet, ClockView, Kept } from "../api/types";
import type { Stratum } from "../bench/bench.svelte";
import { m } from "../paraglide/messages";
import { hourOf, span } from "./clock";
import { amount, apart, leaves, number } from "./format";
import { restEnd } from "./names/dough";
import { fillingFeelName } from "./names/filling";
import { outlineName } from "./names/fold";
import { stageName } from "./names/stages";

/** The one or two figures each stratum carries. */
export function figuresOf(stage: Stratum, sheet: BatchSheet, view: ClockView | null): [string, string] {
  switch (stage) {
    case "clock":
      return view
        ? [keptWords[view.sheet.oldest]({ count: view.sheet.pieces.length }), m.oldest_is({ time: span(view.sheet.report.oldest) })]
        : ["", ""];
    case "dough":
      return [amount(sheet.dough.mass, "g"), m.water_share({ share: amount(sheet.dough.water.hydration, "%") })];
    case "rest":
      return [
        amount(sheet.rest.time, "min"),
        m.rest_window({ least: amount(sheet.rest.least, "min"), longest: amount(sheet.rest.longest, "min") }),
      ];
    case "balls":
      return [
        m.count_times({ count: sheet.balls.count, mass: amount(sheet.balls.mass, "g") }),
        m.within({ mass: amount(sheet.balls.within, "g") }),
      ];
    case "sheet":
      return [amount(sheet.sheet.diameter, "mm"), amount(sheet.sheet.thickness, "mm")];
    case "fold":
      if (sheet.fold.rings?.onEdge)
        return [m.rings_count({ count: number(sheet.fold.rings.count, 0) }), m.raw({ thickness: amount(sheet.roll.leaf, "mm") })];
      return sheet.fold.nominal === 1 ? [leaves(1), m.not_folded()] : [leaves(sheet.fold.effective), m.welded({ count: sheet.fold.fused })];
    case "filling":
      return sheet.filling
        ? [fillingFeelName[sheet.filling.feel](), m.filling_share({ share: amount(sheet.filling.parcel.filling, "g") })]
        : [m.filling_plain(), m.filling_none()];
    case "roll":
      return [amount(sheet.roll.across, "mm"), m.raw({ thickness: amount(sheet.roll.thickness, "mm") })];
    case "pan":
      return [staysWords(sheet), m.fat_on_pan({ mass: amount(sheet.pan.fat.pan, "g") })];
  }
}

// Many turns are said by their number: they do not fit a stratum, and nobody counts seconds then.
const staysWords = ({
  pan: {
    program: { turns },
  },
}: BatchSheet) =>
  turns.length === 0
    ? "—"
    : turns.length > 4
      ? m.stays_count({ count: turns.length })
      : apart(m.turns_s({ times: turns.map((t) => number(t.time, 0)).join(" + ") }));

/** What stands beside the stage's name. */
export function sayingOf(stage: Stratum, sheet: BatchSheet, view: ClockView | null): string {
  switch (stage) {
    case "clock":
      return view ? m.saying_clock({ from: hourOf(view, 0), to: hourOf(view, view.sheet.lead), lead: span(view.sheet.lead) }) : "";
    case "dough":
      return m.saying_dough({ count: sheet.balls.count, mass: amount(sheet.balls.mass, "g"), loss: amount(sheet.dough.loss, "g") });
    case "rest":
      return m.saying_rest({
        least: amount(sheet.rest.least, "min"),
        longest: amount(sheet.rest.longest, "min"),
        end: restEnd[sheet.rest.end](),
      });
    case "balls":
      if (pours(sheet)) return m.saying_ladle({ mass: amount(sheet.balls.mass, "g"), across: amount(sheet.roll.across, "mm") });
      return m.saying_balls({ light: amount(sheet.balls.lightest, "g"), heavy: amount(sheet.balls.heaviest, "g") });
    case "sheet":
      return m.saying_sheet();
    case "fold":
      if (sheet.fold.rings?.onEdge)
        return m.saying_fold_rings({ shape: outlineName[sheet.roll.outline](), count: number(sheet.fold.rings.count, 0) });
      return sheet.fold.nominal === 1
        ? m.saying_fold_none()
        : m.saying_fold({ shape: outlineName[sheet.roll.outline](), count: sheet.fold.nominal });
    case "filling":
      return sheet.filling
        ? m.saying_filling({
            mass: amount(sheet.filling.balance.made, "g"),
            count: sheet.balls.count,
            each: amount(sheet.filling.balance.each, "g"),
          })
        : m.saying_filling_none();
    case "roll":
      return m.saying_roll({ shape: outlineName[sheet.roll.outline]() });
    case "pan":
      return sheet.pan.program.turns.length > 0 ? m.saying_pan({ time: amount(sheet.pan.program.total, "s") }) : "";
  }
}

/** A batter is ladled, not balled: it goes through fewer stages. */
export const pours = (sheet: BatchSheet): boolean => !sheet.stages.includes("roll");

/** What a stratum is called in this batch. */
export const stratumName = (stage: Stratum, sheet: BatchSheet | null): string =>
  stage === "clock" ? m.stage_clock() : stage === "balls" && sheet && pours(sheet) ? m.stage_ladle() : stageName[stage]();

// What all pieces still are when the last is done.
const keptWords: Record<Kept, typeof m.hot_pieces> = { hot: m.hot_pieces, soft: m.soft_pieces, crisp: m.crisp_pieces, done: m.done_pieces };
