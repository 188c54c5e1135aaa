import { isOlder, Line, type LineState, type Wants, type Word } from "./line";
import type { FromPage } from "./worker";

const SAYS_EVERY_MS = 10_000;

type Kind = Exclude<Word["kind"], "line" | "opened" | "here">;

/**
 * All live words of this page: what was changed, and what it wants of services, scale and probe. They come over one stream a browser, which
 * its pages share where the browser lets them (a shared worker); a page that is hidden wants nothing and hears what it missed when it shows.
 */
class Live {
  line = $state<LineState>("new");
  private heard: { kind: Kind | "opened"; told: (data: never) => void }[] = [];
  private wanted: Partial<Wants>[] = [];
  private port: MessagePort | null = null;
  private own: Line | null = null;
  // Where this page first read the kitchen, and where its line begins: what was changed between the two nobody tells it.
  private read: string | null = null;
  private joined: string | null = null;

  /** Begins to listen. */
  begin(): void {
    try {
      const worker = new SharedWorker(new URL("./worker.ts", import.meta.url), { type: "module", name: "ystrata" });
      this.port = worker.port;
      this.port.onmessage = ({ data }: MessageEvent<Word>) => this.tell(data);
    } catch {
      this.own = new Line((word) => this.tell(word));
    }
    document.addEventListener("visibilitychange", () => this.say());
    addEventListener("pageshow", () => this.say());
    addEventListener("pagehide", () => this.send({ gone: true }));
    setInterval(() => {
      if (this.port && !document.hidden) this.say();
    }, SAYS_EVERY_MS);
    this.say();
  }

  /** The kitchen was read at this mark. */
  readAt(mark: string | null): void {
    if (this.read !== null || mark === null) return;
    this.read = mark;
    this.compare();
  }

  private joinedAt(mark: string): void {
    if (this.joined !== null) return;
    this.joined = mark;
    this.compare();
  }

  private compare(): void {
    if (this.read !== null && this.joined !== null && isOlder(this.read, this.joined))
      this.tell({ kind: "changed", data: JSON.stringify({ what: "kitchen" }) });
  }

  /** @returns a way to stop */
  on<T>(kind: Kind | "opened", told: (data: T) => void): () => void {
    const one = { kind, told };
    this.heard.push(one);
    return () => {
      this.heard = this.heard.filter((h) => h !== one);
    };
  }

  /** @returns a way to want it no more */
  want(what: Partial<Wants>): () => void {
    this.wanted.push(what);
    this.say();
    return () => {
      this.wanted = this.wanted.filter((w) => w !== what);
      this.say();
    };
  }

  private say(): void {
    const wants = document.hidden
      ? null
      : {
          services: this.wanted.flatMap((w) => w.services ?? []),
          scale: this.wanted.some((w) => w.scale),
          probe: this.wanted.some((w) => w.probe),
        };
    this.send({ wants });
  }

  private send(said: FromPage): void {
    this.port?.postMessage(said);
    this.own?.want("gone" in said ? null : said.wants);
  }

  private tell(word: Word): void {
    if (word.kind === "line") this.line = word.state;
    else if (word.kind === "here") this.joinedAt(word.mark);
    else {
      const data = word.kind === "opened" ? undefined : (JSON.parse(word.data) as unknown);
      for (const { kind, told } of this.heard) if (kind === word.kind) told(data as never);
    }
  }
}

export const live = new Live();
