import { m } from "../../paraglide/messages";
import { storage } from "../../storage.svelte";

const KEY = "ystrata.bell";
const SOUND = "/bell.wav";

/** The bell of this screen: a shipped sound that can be muted. */
class Bell {
  on = $state(storage.get(KEY) !== "off");
  private sound: HTMLAudioElement | null = null;

  toggle(): void {
    this.on = !this.on;
    storage.set(KEY, this.on ? "on" : "off");
    if (this.on) this.ring();
  }

  ring(): void {
    if (!this.on) return;
    this.sound ??= new Audio(SOUND);
    this.sound.currentTime = 0;
    // A browser that was not touched yet lets nothing ring; the flash is seen all the same.
    this.sound.play().catch(() => undefined);
  }
}

export const bell = new Bell();
export const bellWords = () => (bell.on ? m.bell_on() : m.bell_off());

/** Keeps the screen awake while the page shows; where the browser cannot, nothing is said. */
export function stayAwake(): () => void {
  let lock: WakeLockSentinel | null = null;
  const ask = async () => {
    if (document.visibilityState === "visible") lock = (await navigator.wakeLock?.request("screen").catch(() => null)) ?? null;
  };
  void ask();
  document.addEventListener("visibilitychange", ask);
  return () => {
    document.removeEventListener("visibilitychange", ask);
    void lock?.release();
  };
}
