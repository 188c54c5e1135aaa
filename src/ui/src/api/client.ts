import createClient from "openapi-fetch";
import { ANSWERED_WITHIN_MS, door } from "./door.svelte";
import type { paths } from "./schema";
import type { Refusal } from "./types";

/** A whole file, or a search, may take longer. */
export const WORKED_WITHIN_MS = 120_000;

const within =
  (ms: number) =>
  (request: Request): Promise<Response> =>
    door.send(request, AbortSignal.any([request.signal, AbortSignal.timeout(ms)]));

export const api = createClient<paths>({ baseUrl: location.origin, fetch: within(ANSWERED_WITHIN_MS) });
/** For what takes the kitchen a while. */
export const patient = createClient<paths>({ baseUrl: location.origin, fetch: within(WORKED_WITHIN_MS) });

/** For what is no JSON: files and photos. */
export const sendFile = (path: string, how: RequestInit = {}): Promise<Response> =>
  within(how.body ? WORKED_WITHIN_MS : ANSWERED_WITHIN_MS)(new Request(path, how));

/** The refusals inside an error answer; an answer without any gives one that says so. */
export function refusalsOf(error: unknown): Refusal[] {
  const refusals = (error as { refusals?: Refusal[] } | undefined)?.refusals;
  return refusals?.length ? refusals : [{ field: "", code: "unreadable", unit: "" }];
}

/** What a change or a delete is meant for: the version of what was on the screen. */
export const meant = (version: string) => ({ "If-Match": `"${version}"` });
