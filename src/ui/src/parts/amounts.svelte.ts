import { call, newest } from "../api/call";
import { api } from "../api/client";
import { larder } from "../api/larder.svelte";
import type { AmountRead } from "../api/types";
import { m } from "../paraglide/messages";
import { troubleWords } from "../words/trouble";
import { amount } from "../words/format";

const trouble: Record<AmountRead["trouble"], (word: string) => string> = {
  none: () => "",
  notRead: () => m.read_not({ mass: amount(250, "g") }),
  unknownVessel: (word) => m.read_vessel({ word }),
  twoWays: () => m.read_two_ways(),
  outOfRange: () => m.read_range({ most: amount(100_000, "g") }),
};

/** Reads amounts in any words a cook types, of a line of the larder; of dough itself by an empty id. Only the newest words count. */
export class Wording {
  /** Why the words mean nothing here; nothing while they do, or are no amount at all. */
  problem = $state("");
  /** They are no amount at all. */
  unread = $state(false);
  private only = newest();

  /** Nothing has to be asked, and no older answer counts. */
  forget(): void {
    [this.problem, this.unread] = ["", false];
    void this.only(Promise.resolve());
  }

  /** @param take gets grams and, for a powder in a vessel nobody has said the filling of, how tight it was taken to lie */
  async read(text: string, item: string, take: (grams: number, packing?: number) => void): Promise<void> {
    const body = { text, item, ounces: larder.view?.units.mass === "ounces" };
    const answer = await this.only(call(() => api.POST("/api/measure", { body })));
    if (!answer) return;
    const { data } = answer;
    this.unread = data ? data.trouble === "notRead" : !answer.trouble;
    this.problem = answer.trouble ? troubleWords(answer.trouble) : trouble[data?.trouble ?? "notRead"](data?.word ?? "");
    if (data?.mass != null) take(data.mass, data.packing ?? undefined);
  }
}
