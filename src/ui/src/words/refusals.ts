import type { Refusal, StartBy } from "../api/types";
import { m } from "../paraglide/messages";
import { number } from "./format";
import { nameOf, shortWithin } from "./names/items";
import { startName } from "./names/stages";
import { viewOf } from "./units";

/** A figure of a refusal in the unit its field is read in. */
const shown = (r: Refusal, value: number | null | undefined) => {
  if (value == null) return "";
  const view = viewOf(r.unit === "mm" && /(diameter|width|length|across|rim|\])$/.test(r.field) ? "cm" : (r.unit ?? ""));
  return `${number(view.to(value), 1 + view.finer)} ${view.symbol}`.trim();
};

/** A refusal in kitchen words: what is allowed, and what stands in the way. */
export function say(r: Refusal): string {
  const range = { least: shown(r, r.least), most: shown(r, r.most) };
  const given = shown(r, r.given);
  switch (r.code) {
    case "outOfRange":
      return r.field === "balls.thickness" && r.unit === "g" ? m.refuse_ball({ given, ...range }) : m.refuse_range(range);
    case "notANumber":
      return m.refuse_number(range);
    case "missing":
      return m.refuse_missing();
    case "unknownIngredient":
      return m.refuse_unknown({ item: r.item ?? "" });
    case "wrongKind":
      return m.refuse_kind({ item: nameOf(r.item ?? "") });
    case "tooMany":
      return m.refuse_many({ most: range.most });
    case "tooManyLeaves":
      return m.refuse_leaves({ given, most: range.most });
    case "needsRope":
      return m.refuse_rope();
    case "needsFlat":
      return m.refuse_flat();
    case "needsStrip":
      return m.refuse_strip({ given, most: range.most });
    case "stripsTooNarrow":
      return m.refuse_narrow({ most: range.most });
    case "rimTooWide":
      return m.refuse_rim({ given, most: range.most });
    case "tooManyPiecesOfOne":
      return m.refuse_of_one({ given, most: range.most });
    case "tooMuchWaterCarried":
      return m.refuse_water({ least: range.least });
    case "tooMuchLiquid":
      return m.refuse_liquid({ item: nameOf(r.item ?? "") });
    case "tooMuchSaltCarried":
      return m.refuse_salt({ least: range.least });
    case "liquidDoesNotFit":
      return m.refuse_fits({ most: range.most, item: shortWithin(r.item ?? ""), over: shown(r, (r.given ?? 0) - (r.most ?? 0)) });
    case "fixedOutweighs":
      return m.refuse_outweighs();
    case "tooManyPieces":
      return m.refuse_pieces({ given, most: range.most });
    case "tooManyPins":
      return m.refuse_pins({ size: startName[r.item as StartBy]?.() ?? "" });
    case "frozenBatter":
      return m.refuse_frozen_batter();
    case "twoRests":
      return m.refuse_rests();
    case "nothingSetsWater":
      return m.refuse_sets_water();
    case "namedTwice":
      return m.refuse_twice({ item: nameOf(r.item ?? "") });
    case "noSolids":
      return m.refuse_no_solids({ item: nameOf(r.item ?? "") });
    case "wetBinder":
      return m.refuse_wet_binder({ item: nameOf(r.item ?? ""), given, most: range.most });
    case "heavier":
      return m.refuse_heavier({ given, most: range.most });
    case "noWaterLeft":
      return m.refuse_no_water_left({ given, least: range.least });
    case "nothingLeft":
      return m.refuse_nothing_left();
    case "noWall":
      return m.refuse_no_wall({ given, least: range.least });
    case "fillingTooBig":
      return m.refuse_too_big({ most: range.most });
    case "together":
      return m.refuse_together({ given });
    case "nameTaken":
      return m.refuse_name_taken({ item: r.item ?? "" });
    case "notUtf8":
      return m.refuse_utf8();
    case "wrongColumns":
      return m.refuse_columns({ item: r.item ?? "" });
    case "notInList":
      return m.refuse_in_list({ item: r.item ?? "" });
    case "foreignFile":
      return m.file_foreign();
    case "newerFile":
      return m.file_newer();
    case "brokenFile":
      return r.given == null ? m.file_broken() : m.file_broken_at({ line: r.given });
    case "noRecipe":
      return m.file_no_recipe();
    case "notAPhoto":
      return m.photo_bad();
    case "tooLong":
      return m.refuse_long({ most: range.most });
    case "unreadable":
      return r.item ? m.refuse_read({ item: r.item }) : m.refuse_unreadable();
  }
}
