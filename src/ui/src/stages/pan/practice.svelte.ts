import { changes } from "../../api/changes.svelte";
import { call, type Trouble } from "../../api/call";
import { api } from "../../api/client";
import type { PracticePlay } from "../../api/types";
import { newId } from "../../ids";

export const QUICK = 4;

/** A pan, a bread and a flame by lot: turn and lift by eye. Seconds are counted here, what they do is the kitchen's to say. */
export class Practice {
  play = $state.raw<PracticePlay | null>(null);
  turns = $state<number[]>([]);
  second = $state(0);
  running = $state(false);
  busy = $state(false);
  unkept = $state.raw<Trouble | null>(null);
  trouble = $state.raw<Trouble | null>(null);
  /** What the cook took the pan for; nothing until it was said. */
  guess = $state<number | null>(null);
  private quickly = $state(false);
  private id = newId();
  private timer: ReturnType<typeof setInterval> | undefined;

  readonly frame = $derived(this.play?.frames[Math.min(this.second - this.play.from, this.play.frames.length - 1)]);
  readonly end = $derived(this.play?.end);
  /** When it was turned, and lifted. */
  readonly events = $derived(this.end ? [...this.turns, this.second] : this.turns);

  get quick(): boolean {
    return this.quickly;
  }
  set quick(quick: boolean) {
    this.quickly = quick;
    if (this.running) this.tick();
  }

  async ask(lift?: number): Promise<void> {
    this.busy = true;
    const body = { ...this.round(), turns: this.turns, ...(lift != null && { lift }) };
    const { data, trouble } = await call(() => api.POST("/api/practice", { body }));
    this.play = data ?? this.play;
    this.trouble = trouble;
    this.busy = false;
  }

  async deal(): Promise<void> {
    this.stop();
    [this.play, this.turns, this.second, this.unkept, this.guess, this.id] = [null, [], 0, null, null, newId()];
    await this.ask();
  }

  lay(): void {
    this.running = true;
    this.tick();
  }

  stop(): void {
    this.running = false;
    clearInterval(this.timer);
  }

  async turn(): Promise<void> {
    if (this.tooSoon) return;
    this.turns = [...this.turns, this.second];
    await this.ask();
  }

  async lift(): Promise<void> {
    if (this.tooSoon) return;
    this.stop();
    await this.ask(this.second);
    if (!this.play?.end) return this.lay();
    await this.keepScore();
  }

  async keepScore(): Promise<void> {
    const body = { ...this.round(), turns: this.turns, lift: this.second, id: this.id };
    ({ trouble: this.unkept } = await call(() => api.POST("/api/practice/scores", { body })));
    changes.tell("practice");
  }

  private get tooSoon(): boolean {
    return this.busy || this.second <= (this.turns.at(-1) ?? 0);
  }

  private tick(): void {
    clearInterval(this.timer);
    this.timer = setInterval(
      () => {
        // The clock waits for the answer to a turn, so that nothing is missed.
        if (!this.busy && this.play && this.second - this.play.from < this.play.frames.length - 1) this.second++;
      },
      1000 / (this.quick ? QUICK : 1),
    );
  }

  // A level that was reached meanwhile is for the next round.
  private round() {
    const { play, guess } = this;
    const seed = play?.task.seed ?? crypto.getRandomValues(new Uint32Array(1))[0]! >>> 1;
    return { seed, ...(play && { level: play.task.level }), ...(guess != null && { guess }) };
  }
}
