import type { BatchSheet, BatchSpec, FillingState, FillingStep, FillingStepKind } from "../../api/types";
import { larder } from "../../api/larder.svelte";
import { batch } from "../../bench/bench.svelte";
import { m } from "../../paraglide/messages";
import { toaster } from "../../toast.svelte";
import { fillingStepName } from "../../words/names/filling";
import { shortName } from "../../words/names/items";
import { Ladder } from "../ladder/ladder.svelte";
import { pathOf, stepsOf, type Where } from "./steps";

interface Group {
  where: Where;
  name: string;
  /** Of its solids. */
  hue: string | undefined;
  start: FillingState;
  rows: NonNullable<BatchSheet["filling"]>["rows"];
  steps: FillingStep[];
}

/** How a filling is made: a ladder for each part and one for what is done once they are joined, and what of them is open. */
export class Making {
  /** A step, a part, or the choice of a new step; nothing shows salt and liquor. */
  open = $state<{ where: Where; at: number | null; adding: boolean } | null>(null);
  private ladders: Partial<Record<Where, Ladder<FillingStep>>> = {};

  constructor(
    private readonly spec: () => BatchSpec,
    private readonly sheet: () => BatchSheet,
  ) {}

  private get filling() {
    return this.spec().filling!;
  }
  private get made() {
    return this.sheet().filling!;
  }

  /** The parts, and what is done once they are joined. The sheet is a moment older than the spec: a part that was just taken out is not drawn. */
  get groups(): Group[] {
    const { parts, together } = this.filling;
    return [
      ...this.made.parts.flatMap((p, i) =>
        parts[i] ? [{ where: i, name: shortName(p.id), hue: p.hue, start: p.start, rows: p.rows, steps: parts[i].steps }] : [],
      ),
      {
        where: "together",
        name: m.all_together(),
        hue: this.sheet().section.look?.filling?.hue,
        start: this.made.together,
        rows: this.made.rows,
        steps: together,
      },
    ];
  }
  /** The heaviest it ever is: what the bars are drawn against. */
  get full(): number {
    return Math.max(...this.groups.flatMap((g) => [g.start.mass, ...g.rows.map((r) => r.state.mass)]));
  }
  get step(): FillingStep | undefined {
    return this.open && this.open.at !== null ? stepsOf(this.filling, this.open.where)[this.open.at] : undefined;
  }
  /** What of the spec is in sight, so that only the refusals of what is not are told above. */
  get inSight(): string {
    const { open } = this;
    if (open?.at != null) return `${pathOf(open.where)}[${open.at}]`;
    return typeof open?.where === "number" && !open.adding ? `filling.parts[${open.where}]` : "filling.saltWanted";
  }

  /** Which of a ladder's steps is open. */
  at(where: Where): number | null {
    return this.open?.where === where && !this.open.adding ? this.open.at : null;
  }
  isPart(where: Where): boolean {
    return this.open?.where === where && this.open.at === null && !this.open.adding;
  }

  press(where: Where, at: number | null): void {
    const same = this.open && this.open.where === where && this.open.at === at && !this.open.adding;
    this.open = same ? null : { where, at, adding: false };
  }

  ladder(where: Where): Ladder<FillingStep> {
    return (this.ladders[where] ??= new Ladder<FillingStep>({
      steps: () => stepsOf(this.filling, where),
      put: ({ filling }, steps) => {
        const of = where === "together" ? filling : filling?.parts[where];
        if (!of) return;
        if ("together" in of) of.together = steps;
        else of.steps = steps;
      },
      name: (step) => fillingStepName[step.kind](),
      open: (at) => (this.open = at === null ? null : { where, at, adding: false }),
      path: `${where}-`,
    }));
  }

  add(where: Where, kind: FillingStepKind): void {
    const begun = larder.view?.fillingSteps.find((s) => s.kind === kind);
    if (begun) this.ladder(where).insert(structuredClone(begun), stepsOf(this.filling, where).length);
  }

  removePart(at: number): void {
    const before = $state.snapshot(this.filling.parts);
    this.open = null;
    batch.change(() => this.filling.parts.splice(at, 1));
    toaster.say(
      m.part_gone({ item: shortName(before[at]?.id ?? "") }),
      batch.back((spec) => spec.filling && (spec.filling.parts = before)),
    );
  }

  unstuff(): void {
    const before = $state.snapshot(this.filling);
    batch.change(() => (this.spec().filling = undefined));
    toaster.say(
      m.unstuffed(),
      batch.back((spec) => (spec.filling = before)),
    );
  }
}
