/** A timer that goes off on time also in a page that is hidden: the browser slows timers there, but not those of a worker. */
export class Alarm {
  private worker: Worker | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(private ring: () => void) {
    try {
      this.worker = new Worker(new URL("./alarm.worker.ts", import.meta.url), { type: "module" });
      this.worker.onmessage = () => this.ring();
    } catch {
      // Where there is no worker the page's own timer has to do.
    }
  }

  /** @param ms from now; nothing for no more alarm */
  set(ms: number | null): void {
    if (this.worker) return this.worker.postMessage(ms);
    clearTimeout(this.timer);
    if (ms !== null) this.timer = setTimeout(this.ring, ms);
  }

  end(): void {
    clearTimeout(this.timer);
    this.worker?.terminate();
  }
}
