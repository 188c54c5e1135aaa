import { m } from "./paraglide/messages";
import type { Answer, Trouble } from "./api/call";
import { troubleWords } from "./words/trouble";

interface Toast {
  text: string;
  /** It tells of something that went wrong, and stays until it is closed. */
  trouble?: boolean;
  undo?: () => void | Promise<void>;
}

const LASTS_MS = 10_000;

/** One line at the foot of the screen, with a way back where there is one. */
class Toaster {
  now = $state.raw<Toast | null>(null);
  private timer: ReturnType<typeof setTimeout> | undefined;

  say(text: string, undo?: Toast["undo"]): void {
    clearTimeout(this.timer);
    this.now = undo ? { text, undo } : { text };
    // A way back stays until it is taken or put away: nobody is to race a clock with floury hands.
    if (!undo) this.timer = setTimeout(() => (this.now = null), LASTS_MS);
  }

  /** What went wrong with something that was pressed, and what to do. */
  trouble(what: string, trouble: Trouble): void {
    clearTimeout(this.timer);
    this.now = { text: m.not_done({ what, why: troubleWords(trouble) }), trouble: true };
  }

  close(): void {
    this.now = null;
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
