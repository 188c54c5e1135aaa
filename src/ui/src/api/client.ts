import createClient from "openapi-fetch";
import type { paths } from "./schema";
import type { Refusal } from "./types";

export const api = createClient<paths>({ baseUrl: location.origin });

/** The refusals inside an error answer; an answer without any gives one that says so. */
export function refusalsOf(error: unknown): Refusal[] {
  const refusals = (error as { refusals?: Refusal[] } | undefined)?.refusals;
  return refusals?.length ? refusals : [{ field: "", code: "unreadable", unit: "" }];
}
