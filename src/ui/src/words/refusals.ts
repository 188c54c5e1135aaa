import type { Refusal } from "../api/types";
import { m } from "../paraglide/messages";
import { number } from "./format";
import { nameOf } from "./names";

/** Fields that are shown in another unit than they are kept in. */
const shown = (r: Refusal, value: number | null | undefined) => {
  if (value == null) return "";
  const centimetres = r.unit === "mm" && r.field.endsWith("diameter");
  return centimetres ? `${number(value / 10, 1)} cm` : `${number(value, 1)} ${r.unit ?? ""}`.trim();
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
    case "tooMuchWaterCarried":
      return m.refuse_water({ least: range.least });
    case "tooMuchLiquid":
      return m.refuse_liquid({ item: nameOf(r.item ?? "") });
    case "tooMuchSaltCarried":
      return m.refuse_salt({ least: range.least });
    case "tooLong":
      return m.refuse_long({ most: range.most });
    case "unreadable":
      return m.refuse_unreadable();
  }
}
