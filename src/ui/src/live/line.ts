/** What of the live words is wanted, besides what was changed. */
export interface Wants {
  services: string[];
  scale: boolean;
  probe: boolean;
}

/** How the line to the kitchen is: `full` when as many screens listen as can, `outside` when this one was not let in, or was sent away. */
export type LineState = "new" | "up" | "down" | "full" | "outside";

export type Word =
  | { kind: "changed" | "service" | "missing" | "scale" | "probe"; data: string }
  | { kind: "line"; state: LineState }
  /** The newest change this line knows of. */
  | { kind: "here"; mark: string }
  /** Opened anew: what comes now is in the order of another stream. */
  | { kind: "opened" };

const KINDS = ["changed", "service", "missing", "scale", "probe"] as const;
const TRY_AGAIN_MS = 1500;
const SETTLES_MS = 40;
const LOOKS_EVERY_MS = 2000;
// The kitchen speaks every five seconds: silent for longer than this, the line is dead.
const SILENT_MS = 12_000;

/** Whether something read at one mark was older than where a line begins: a change lies between the two. A mark is `life.count`. */
export function isOlder(read: string, line: string): boolean {
  const [life, count] = read.split(".");
  const [lineLife, lineCount] = line.split(".");
  return life !== lineLife || Number(count) < Number(lineCount);
}

const alike = (a: Wants, b: Wants) =>
  a.scale === b.scale && a.probe === b.probe && a.services.length === b.services.length && a.services.every((s) => b.services.includes(s));

/** One event stream to the kitchen, opened anew when it breaks, falls silent or something else is wanted, with what was missed. */
export class Line {
  state: LineState = "new";
  private source: EventSource | null = null;
  private wants: Wants | null = null;
  private heard: string | null = null;
  private lastWord = 0;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private looking: ReturnType<typeof setInterval> | undefined;

  constructor(private told: (word: Word) => void) {}

  /** @param wants Nothing: nobody looks, and the stream is closed. */
  want(wants: Wants | null): void {
    if (this.wants && wants ? alike(this.wants, wants) : this.wants === wants) return;
    this.wants = wants;
    // A bench that gives way to another changes its mind twice.
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.open(), wants ? SETTLES_MS : 0);
  }

  private open(): void {
    this.close();
    if (!this.wants) return this.say("new");
    const query = new URLSearchParams(this.wants.services.map((id) => ["service", id]));
    if (this.wants.scale) query.set("scale", "true");
    if (this.wants.probe) query.set("probe", "true");
    if (this.heard) query.set("after", this.heard);
    const source = (this.source = new EventSource(`/api/live?${query}`));
    this.lastWord = performance.now();
    source.onopen = () => {
      this.told({ kind: "opened" });
      this.say("up");
    };
    source.onerror = () => void this.broke(source);
    source.addEventListener("beat", () => (this.lastWord = performance.now()));
    source.addEventListener("here", (event) => this.mark(event));
    for (const kind of KINDS)
      source.addEventListener(kind, (event) => {
        if (kind === "changed") this.mark(event);
        this.lastWord = performance.now();
        this.told({ kind, data: event.data as string });
      });
    this.looking = setInterval(() => {
      if (performance.now() - this.lastWord < SILENT_MS) return;
      this.say("down");
      this.open();
    }, LOOKS_EVERY_MS);
  }

  private mark(event: MessageEvent): void {
    this.lastWord = performance.now();
    if (!event.lastEventId) return;
    this.heard = event.lastEventId;
    this.told({ kind: "here", mark: this.heard });
  }

  private async broke(source: EventSource): Promise<void> {
    if (source !== this.source) return;
    const refused = source.readyState === EventSource.CLOSED;
    this.close();
    this.timer = setTimeout(() => this.open(), TRY_AGAIN_MS);
    // A stream that is refused does not say why.
    const state = refused ? await why() : "down";
    if (!this.source) this.say(state);
  }

  private close(): void {
    clearTimeout(this.timer);
    clearInterval(this.looking);
    this.source?.close();
    this.source = null;
  }

  private say(state: LineState): void {
    if (state === this.state) return;
    this.state = state;
    this.told({ kind: "line", state });
  }
}

async function why(): Promise<LineState> {
  const answer = await fetch("/api/live/room").catch(() => null);
  if (answer?.status === 401) return "outside";
  const room = (await answer?.json().catch(() => null)) as { open: number; most: number } | null | undefined;
  return room && room.open >= room.most ? "full" : "down";
}
