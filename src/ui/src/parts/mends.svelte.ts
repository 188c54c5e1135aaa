import type { Mend, Note } from "../api/types";
import { batch } from "../bench/bench.svelte";
import { m } from "../paraglide/messages";
import { toaster } from "../toast.svelte";

/**
 * A mend changes whole parts of the batch; pressed by mistake, it is taken back whole.
 * It carries those parts as they would be, so it is taken from the newest sheet; there it is gone when its fault is.
 */
export function takeMend({ code, stage, mends }: Pick<Note, "code" | "stage" | "mends">, pressed: Pick<Mend, "code">): void {
  const alike = (mends: Mend[] | null | undefined) => (mends ?? []).filter((m) => m.code === pressed.code);
  const at = Math.max(alike(mends).indexOf(pressed as Mend), 0);
  batch.changeBy((now) => {
    const mend = alike(now.notes.find((n) => n.code === code && n.stage === stage)?.mends)[at];
    const spec = batch.spec;
    if (!spec || !mend) return;
    const { sheet, fold, roll, filling, pan, dough, rest, ladle, start } = spec;
    const before = $state.snapshot({ sheet, fold, roll, filling, pan, dough, rest, ladle, start });
    Object.assign(spec, Object.fromEntries(Object.entries(mend).filter(([part, value]) => part in before && value)));
    toaster.say(
      m.mended(),
      batch.back((spec) => Object.assign(spec, before)),
    );
  }, `mend ${code} ${stage} ${pressed.code} ${at}`);
}
