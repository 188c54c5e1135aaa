import { call, newest, type Trouble } from "../../api/call";
import { api } from "../../api/client";
import type { LogLine, Symptom } from "../../api/types";

const FIND_AFTER_MS = 150;

/** The log as it is looked through: what is asked for, and the lines that were found so far. */
export class LogList {
  find = $state("");
  bread = $state("");
  flour = $state("");
  fault = $state<Symptom | "">("");
  lines = $state.raw<LogLine[]>([]);
  count = $state(0);
  next = $state<string | null>(null);
  fetched = $state(false);
  trouble = $state.raw<Trouble | null>(null);
  private only = newest();
  private timer: ReturnType<typeof setTimeout> | undefined;

  get filtered(): boolean {
    return !!(this.find.trim() || this.bread || this.flour || this.fault);
  }

  /** Asks soon: letters typed one after another are one question. */
  soon(): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.fetch(), FIND_AFTER_MS);
  }

  /** The first page anew, or the one after what is there. */
  async fetch(more = false): Promise<void> {
    const query = {
      ...(this.find.trim() && { find: this.find.trim() }),
      ...(this.bread && { bread: this.bread }),
      ...(this.flour && { flour: this.flour }),
      ...(this.fault && { fault: this.fault }),
      ...(more && this.next && { after: this.next }),
    };
    // With the kitchen away the lines stay as they are.
    const answer = await this.only(call(() => api.GET("/api/log", { params: { query } })));
    // Another question came meanwhile: its answer is on its way.
    if (!answer) return;
    this.trouble = answer.trouble;
    const { data } = answer;
    if (!data) return;
    this.lines = more ? [...this.lines, ...data.lines] : data.lines;
    this.count = data.count;
    this.next = data.next ?? null;
    this.fetched = true;
  }
}
