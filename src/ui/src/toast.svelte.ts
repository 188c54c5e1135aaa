import { m } from "./paraglide/messages";
import type { Answer, Trouble } from "./api/call";
import { newId } from "./ids";
import { troubleWords } from "./words/trouble";

export interface Toast {
  id: string;
  text: string;
  /** It tells of something that went wrong. */
  trouble: boolean;
  /** Until it is put away: what went wrong, and a way back. Nobody is to race a clock with floury hands. */
  stays: boolean;
  undo: (() => void | Promise<void>) | undefined;
}

/** One line at the foot of the screen, with a way back where there is one. How it comes and goes is the library's (`parts/Toasts.svelte`). */
class Toaster {
  readonly lastsMs = 10_000;
  now = $state.raw<Toast | null>(null);

  say(text: string, undo?: Toast["undo"]): void {
    this.now = { id: newId(), text, trouble: false, stays: undo !== undefined, undo };
  }

  /** What went wrong with something that was pressed, and what to do. */
  trouble(what: string, trouble: Trouble): void {
    this.now = { id: newId(), text: m.not_done({ what, why: troubleWords(trouble) }), trouble: true, stays: true, undo: undefined };
  }

  close(): void {
    this.now = null;
  }

  /** This one has gone by itself. */
  over(id: string): void {
    if (this.now?.id === id) this.now = null;
  }

  async undo(): Promise<void> {
    const undo = this.now?.undo;
    this.now = null;
    await undo?.();
  }
}

export const toaster = new Toaster();

/** Says so when an answer is none. */
export async function told<T>(what: string, answer: Promise<Answer<T>>): Promise<Answer<T>> {
  const got = await answer;
  if (got.trouble) toaster.trouble(what, got.trouble);
  return got;
}
