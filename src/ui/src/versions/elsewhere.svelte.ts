import type { Answer } from "../api/call";
import type { BatchSpec, BreadView } from "../api/types";
import { type Clash, merge, same } from "./merge";

/** Whose figures go on, or both as two things. Nothing: it is put off. */
export type Choice = "mine" | "theirs" | "both" | null;

export interface Question {
  name: string;
  clashes: Clash[];
  /** Whether both can be kept as two. */
  two: boolean;
  /** What each would be, to be drawn. */
  specs?: { mine: BatchSpec; theirs: BatchSpec } | undefined;
  answer: (choice: Choice) => void;
}

/** What was changed on two screens and has to be settled by the cook: one question at a time. */
class Elsewhere {
  question = $state.raw<Question | null>(null);

  ask(question: Omit<Question, "answer">): Promise<Choice> {
    this.question?.answer(null);
    return new Promise((resolve) => {
      this.question = {
        ...question,
        answer: (choice) => {
          this.question = null;
          resolve(choice);
        },
      };
    });
  }
}

export const elsewhere = new Elsewhere();

export interface Row<T> {
  version: string;
  figures: T;
}

export const breadRow = ({
  version,
  name,
  about,
  tags,
  spec,
}: BreadView): Row<{ name: string; about: string; tags: string[]; spec: BatchSpec }> => ({
  version,
  figures: { name, about, tags, spec },
});

interface Change<T, V> {
  /** What it was when it came to the screen. */
  from: Row<T>;
  to: T;
  send: (version: string, figures: T) => Promise<Answer<V>>;
  rowOf: (view: V, version: string) => Row<T>;
  /** How it is called when it has to be asked about. */
  name: string;
  /** Keeps the screen's own figures as a second thing, where that can be. */
  second?: ((figures: T) => Promise<Answer<V>>) | undefined;
  whole?: readonly string[];
  specOf?: (figures: T) => BatchSpec;
}

/**
 * Keeps a change of something that another screen may have changed meanwhile: changes of different places are laid together, the cook is
 * asked where both changed the same, and what the kitchen then has comes back.
 */
export async function keepOver<T extends object, V>({
  from,
  to,
  send,
  rowOf,
  name,
  second,
  whole,
  specOf,
}: Change<T, V>): Promise<Answer<V>> {
  let row = from;
  let mine = to;
  for (;;) {
    const answer = await send(row.version, mine);
    if (answer.trouble?.kind !== "stale" || answer.trouble.now === null) return answer;
    const { now, version } = answer.trouble as { now: V; version: string };
    const theirs = rowOf(now, version);
    const { clashes, with: made } = merge(row.figures, mine, theirs.figures, whole);
    let prefer: "mine" | "theirs" = "mine";
    if (clashes.length > 0) {
      const specs = specOf && { mine: specOf(made("mine")), theirs: specOf(made("theirs")) };
      const choice = await elsewhere.ask({ name, clashes, two: second !== undefined, specs });
      if (choice === null) return answer;
      if (choice === "both") return await second!(mine);
      prefer = choice;
    }
    mine = made(prefer);
    row = theirs;
    if (same(mine, theirs.figures)) return { data: now, version, trouble: null };
  }
}
