import { onDestroy } from "svelte";
import { type Answer, newest, passes, type Trouble } from "./call";

const ASK_AGAIN_MS = 3000;

/**
 * Something that is fetched for a place: not there yet, there, or in trouble. What was there stays while the kitchen is away, and is asked for
 * again by itself for as long as the place stands.
 */
export class Fetched<T> {
  data = $state.raw<T | null>(null);
  trouble = $state.raw<Trouble | null>(null);
  /** Of a list: there is more than is there. */
  more = $state(false);
  private only = newest();
  private timer: ReturnType<typeof setTimeout> | undefined;
  private left = false;

  constructor(private ask: () => Promise<Answer<T>>) {
    onDestroy(() => {
      this.left = true;
      clearTimeout(this.timer);
    });
  }

  /** Asks for it, again. */
  fetch = async (): Promise<void> => {
    clearTimeout(this.timer);
    const answer = await this.only(this.ask());
    if (!answer || this.left) return;
    this.trouble = answer.trouble;
    if (!answer.trouble) [this.data, this.more] = [answer.data, answer.next !== undefined];
    if (answer.trouble && passes(answer.trouble)) this.timer = setTimeout(() => void this.fetch(), ASK_AGAIN_MS);
  };
}

/** Several answers as one: all there, or the first trouble. Whether there is more, the second one says. */
export async function all<A, B>(a: Promise<Answer<A>>, b: Promise<Answer<B>>): Promise<Answer<[A, B]>> {
  const [first, second] = await Promise.all([a, b]);
  if (first.trouble) return first;
  return second.trouble ? second : { data: [first.data, second.data], version: "", next: second.next, trouble: null };
}
