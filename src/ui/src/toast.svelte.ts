interface Toast {
  text: string;
  undo?: () => void | Promise<void>;
}

const LASTS_MS = 10_000;

/** One line at the foot of the screen, with a way back where there is one. */
class Toaster {
  now = $state.raw<Toast | null>(null);
  private timer: ReturnType<typeof setTimeout> | undefined;

  say(text: string, undo?: Toast["undo"]): void {
    clearTimeout(this.timer);
    this.now = { text, undo };
    this.timer = setTimeout(() => (this.now = null), LASTS_MS);
  }

  async undo(): Promise<void> {
    const undo = this.now?.undo;
    this.now = null;
    await undo?.();
  }
}

export const toaster = new Toaster();
