import { live } from "../live/live.svelte";
import { storage } from "../storage.svelte";
import type { DoorView } from "./types";

export const HEADER = "X-Ystrata";
const NOT_FROM_HERE = "urn:ystrata:problem:not-from-here";
/** An answer takes milliseconds: one that takes this long is lost on the way. */
export const ANSWERED_WITHIN_MS = 8000;
const DRAWER = "ystrata.door";

/** Whether this screen is in the kitchen, as what, and what its writes carry. */
class Door {
  view = $state.raw<DoorView | null>(null);
  /** It was not let in, or was sent away: nothing else is answered. */
  outside = $state(false);
  private asking: Promise<void> | null = null;

  /** Nothing but the stove is for it. */
  get stoveOnly(): boolean {
    return this.view?.me?.kind === "stove";
  }

  /** Asks the kitchen who this is. */
  look(): Promise<void> {
    return (this.asking ??= this.ask().finally(() => (this.asking = null)));
  }

  /**
   * Sends what the kitchen is asked; a write carries the program's own header.
   * @throws where that has to say something else now: what is sent again carries it
   */
  async send(request: Request, signal: AbortSignal): Promise<Response> {
    if (request.method !== "GET") request.headers.set(HEADER, await this.token());
    const answer = await fetch(request, { signal });
    live.readAt(answer.headers.get("X-Ystrata-Mark"));
    if (answer.status === 401) this.outside = true;
    if (answer.status !== 403 || !(await isNotFromHere(answer.clone()))) return answer;
    this.view = null;
    throw new TypeError("the token is old");
  }

  /** What a write has to carry. */
  async token(): Promise<string> {
    if (!this.view?.token) await this.look();
    return this.view?.token ?? "";
  }

  private async ask(): Promise<void> {
    const answer = await fetch("/api/door", { signal: AbortSignal.timeout(ANSWERED_WITHIN_MS) }).catch(() => null);
    // While the kitchen is away this screen is what it was; what it writes then is asked for its token again.
    if (!answer?.ok) return void (this.view ??= storage.read<DoorView>(DRAWER));
    this.view = (await answer.json()) as DoorView;
    this.outside = !this.view.machine && !this.view.me;
    storage.set(DRAWER, JSON.stringify({ ...this.view, token: "" }));
  }
}

const isNotFromHere = async (answer: Response) => {
  const said = (await answer.json().catch(() => null)) as { type?: string } | null;
  return said?.type === NOT_FROM_HERE;
};

export const door = new Door();
