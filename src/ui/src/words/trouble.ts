import type { Trouble } from "../api/call";
import type { Keeping } from "../bench/keeper.svelte";
import { m } from "../paraglide/messages";
import { placeOf } from "./fields";
import { say } from "./refusals";

/** What went wrong, and what to do. */
export function troubleWords(trouble: Trouble): string {
  switch (trouble.kind) {
    case "refused":
      return trouble.refusals.map((r) => [placeOf(r.field), say(r)].filter(Boolean).join(": ")).join(" ");
    case "stale":
      return trouble.now === null ? m.trouble_in_trash() : m.trouble_stale();
    case "missing":
      return m.trouble_missing();
    case "outside":
      return m.trouble_outside();
    case "notForThis":
      return m.trouble_not_for_this();
    case "full":
      return m.trouble_full();
    case "fault":
      return m.trouble_fault();
    case "noRoom":
      return m.trouble_no_room();
    case "busy":
      return m.trouble_busy();
    case "away":
      return m.kitchen_away();
  }
}

/** Why a batch is not kept; nothing while nothing is wrong. */
export function keepingWords(keeping: Keeping, trouble: Trouble | null): string {
  if (keeping === "refused") return m.not_kept_refused();
  if (keeping === "elsewhere") return m.not_kept_elsewhere();
  if (keeping !== "unreachable") return "";
  if (trouble?.kind === "noRoom") return m.not_kept_no_room();
  return trouble?.kind === "fault" ? m.not_kept_fault() : m.not_kept_unreachable();
}
