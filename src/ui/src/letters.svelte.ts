import { storage } from "./storage.svelte";

const LETTERS = "ystrata.letters";

/** Whether single letters, digits and signs are keys here. Off, nothing happens when something leans on the keyboard, or speech types. */
class Letters {
  on = $state(storage.get(LETTERS) !== "off");

  set(on: boolean): void {
    this.on = on;
    storage.set(LETTERS, on ? "on" : "off");
  }
}

export const letters = new Letters();
