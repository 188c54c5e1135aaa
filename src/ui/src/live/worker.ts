import { Line, type Wants, type Word } from "./line";

/** What a page tells: what it wants, nothing while it is hidden, or that it goes. */
export type FromPage = { wants: Wants | null } | { gone: true };

interface Page {
  wants: Wants | null;
  seen: number;
}

const LOOKS_EVERY_MS = 10_000;
// A page that shows says so every ten seconds; one that fell over says nothing.
const GONE_MS = 45_000;

/** One stream for all pages of this browser. */
const pages = new Map<MessagePort, Page>();
/** The newest word of each thing, for a page that comes to it later. */
const newest = new Map<string, Word>();
const line = new Line(tell);

const keyOf = (word: Word) =>
  word.kind === "service" || word.kind === "missing" ? (JSON.parse(word.data) as { id: string }).id : word.kind;

function wants(page: Page, word: Word): boolean {
  switch (word.kind) {
    case "service":
    case "missing":
      return page.wants?.services.includes(keyOf(word)) ?? false;
    case "scale":
      return page.wants?.scale ?? false;
    case "probe":
      return page.wants?.probe ?? false;
    default:
      return true;
  }
}

function tell(word: Word): void {
  // How the line is stays as it was said last; what the services were comes anew.
  if (word.kind === "opened") for (const key of newest.keys()) if (key !== "line" && key !== "here") newest.delete(key);
  // A reading is old at once, and a weight that was taken is not to be taken again.
  if (word.kind === "service" || word.kind === "missing" || word.kind === "line" || word.kind === "here") newest.set(keyOf(word), word);
  for (const [port, page] of pages) if (wants(page, word)) port.postMessage(word);
}

function settle(): void {
  const now = [...pages.values()].flatMap((page) => page.wants ?? []);
  line.want(
    now.length === 0
      ? null
      : {
          services: [...new Set(now.flatMap((w) => w.services))].toSorted(),
          scale: now.some((w) => w.scale),
          probe: now.some((w) => w.probe),
        },
  );
}

(self as unknown as { onconnect: (event: MessageEvent) => void }).onconnect = ({ ports: [port] }) => {
  if (!port) return;
  port.onmessage = ({ data }: MessageEvent<FromPage>) => {
    if ("gone" in data) pages.delete(port);
    else {
      const before = pages.get(port);
      const page = { wants: data.wants, seen: performance.now() };
      pages.set(port, page);
      for (const word of newest.values()) if (wants(page, word) && !(before && wants(before, word))) port.postMessage(word);
    }
    settle();
  };
};

setInterval(() => {
  for (const page of pages.values()) if (page.wants && performance.now() - page.seen > GONE_MS) page.wants = null;
  settle();
}, LOOKS_EVERY_MS);
