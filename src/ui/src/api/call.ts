import { refusalsOf } from "./client";
import type { Refusal } from "./types";

/** Why an answer is none. */
export type Trouble =
  /** What was sent cannot be: each field says what is allowed. */
  | { kind: "refused"; refusals: Refusal[]; code?: string }
  /** It was changed on another screen meanwhile; what stands now and its version. Nothing when it lies in the trash. */
  | { kind: "stale"; now: unknown; version: string }
  | { kind: "missing" }
  /** This screen was not let into the kitchen, or was sent away. */
  | { kind: "outside" }
  /** This screen sees, and presses at the stove; this is not for it. */
  | { kind: "notForThis" }
  /** As many screens listen as can. */
  | { kind: "full" }
  /** The kitchen answered, and stumbled. */
  | { kind: "fault" }
  /** There is no room left on its disk. */
  | { kind: "noRoom" }
  /** It is busy with as much of this as it does at once. */
  | { kind: "busy" }
  /** No answer, or none in time. */
  | { kind: "away" };

/**
 * @property version of what came, where it has one
 * @property next the last thing of this page of a list, where there is another page
 */
export type Answer<T> = { data: T; version: string; next?: string; trouble: null } | { data: null; trouble: Trouble };

/** What passes by itself, so that asking again is worth it. */
export const passes = (trouble: Trouble): boolean => ["away", "fault", "full", "noRoom", "busy"].includes(trouble.kind);

interface Said<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

const TRY_AGAIN_MS = 400;

/**
 * The one way to ask the kitchen for something. What never arrived is sent a second time, unless that would do it twice; whatever else goes
 * wrong comes back as a trouble for the place that asked, in whose words it is told there.
 */
export async function call<T>(send: () => Promise<Said<T>>, { once = false } = {}): Promise<Answer<T>> {
  for (let last = once; ; last = true) {
    try {
      const said = await send();
      const version = (said.response.headers.get("etag") ?? "").replaceAll('"', "");
      return said.response.ok
        ? { data: said.data as T, version, next: nextOf(said.response), trouble: null }
        : { data: null, trouble: troubleOf(said.response.status, said.error, version) };
    } catch {
      if (last) return { data: null, trouble: { kind: "away" } };
      await new Promise((later) => setTimeout(later, TRY_AGAIN_MS));
    }
  }
}

/** The same for what goes by its own fetch: files and photos. */
export const callFile = <T>(send: () => Promise<Response>, options?: { once?: boolean }): Promise<Answer<T>> =>
  call(async () => {
    const response = await send();
    const text = await response.text();
    const json = /json/.test(response.headers.get("content-type") ?? "") && text ? (JSON.parse(text) as unknown) : undefined;
    return response.ok ? { data: json as T, response } : { error: json, response };
  }, options);

function troubleOf(status: number, error: unknown, version: string): Trouble {
  const told = (error ?? {}) as { now?: unknown; code?: string };
  if (status === 412 || (status === 409 && "now" in told)) return { kind: "stale", now: told.now ?? null, version };
  if (status === 401) return { kind: "outside" };
  if (status === 403 && !told.code) return { kind: "notForThis" };
  if (status === 404) return { kind: "missing" };
  if (status === 429) return { kind: "busy" };
  if (status === 503) return { kind: "full" };
  if (status === 507) return { kind: "noRoom" };
  if (status >= 500) return { kind: "fault" };
  return { kind: "refused", refusals: refusalsOf(error), ...(told.code && { code: told.code }) };
}

function nextOf(response: Response): string | undefined {
  const after = /[?&]after=([^&>]+).*rel="next"/.exec(response.headers.get("link") ?? "")?.[1];
  return after && decodeURIComponent(after);
}

/**
 * A list from its pages, one after the other: all of them, or as many as are wanted.
 * @returns with `next` where there are more
 */
export async function callPages<T>(page: (after?: string) => Promise<Answer<T[]>>, pages = Infinity): Promise<Answer<T[]>> {
  const things: T[] = [];
  let after: string | undefined;
  for (let n = 0; n < pages; n++) {
    const answer = await page(after);
    if (answer.trouble) return answer;
    things.push(...answer.data);
    after = answer.next;
    if (!after) break;
  }
  return { data: things, version: "", next: after, trouble: null };
}

/** For an asker whose newer question overtakes the older: gives each answer, or nothing when another was asked for meanwhile. */
export function newest(): <T>(answer: Promise<T>) => Promise<T | undefined> {
  let asked = 0;
  return async (answer) => {
    const mine = ++asked;
    const got = await answer;
    return mine === asked ? got : undefined;
  };
}
