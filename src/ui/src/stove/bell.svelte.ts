import { m } from "../paraglide/messages";
import { storage } from "../storage.svelte";

const BELL = "ystrata.bell";
const VOICE = "ystrata.voice";
const SOUND = "/bell.wav";

/** The bell of this screen: a shipped sound that can be muted, and says when the browser will not let it ring. */
class Bell {
  on = $state(storage.get(BELL) !== "off");
  /** The browser lets nothing ring until somebody touches this screen. */
  blocked = $state(false);
  private sound: HTMLAudioElement | null = null;

  toggle(): void {
    this.on = !this.on;
    storage.set(BELL, this.on ? "on" : "off");
    if (this.on) this.ring();
  }

  ring(): void {
    if (this.on) this.play(1);
  }

  /** Finds out whether it could ring, without a sound. */
  try(): void {
    if (this.on) this.play(0);
  }

  private play(volume: number): void {
    this.sound ??= new Audio(SOUND);
    this.sound.volume = volume;
    this.sound.currentTime = 0;
    this.sound.play().then(
      () => (this.blocked = false),
      (why: unknown) => {
        if ((why as DOMException).name !== "AbortError") this.blocked = true;
      },
    );
  }
}

export const bell = new Bell();
export const bellWords = () => (!bell.on ? m.bell_off() : bell.blocked ? m.bell_blocked() : m.bell_on());

/** Says the next press aloud with the browser's own voice; off at first, and not offered where there is none. */
class Voice {
  on = $state(storage.get(VOICE) === "on");
  /** Whether this browser has a voice at all. */
  there = $state(false);

  /** Voices come a while after the page. @returns a way to stop */
  look(): () => void {
    const synth = globalThis.speechSynthesis as SpeechSynthesis | undefined;
    if (!synth) return () => {};
    const look = () => (this.there = synth.getVoices().length > 0);
    look();
    synth.addEventListener?.("voiceschanged", look);
    return () => {
      synth.removeEventListener?.("voiceschanged", look);
      synth.cancel();
    };
  }

  toggle(): void {
    this.on = !this.on;
    storage.set(VOICE, this.on ? "on" : "off");
    if (!this.on) speechSynthesis.cancel();
  }

  say(text: string): void {
    if (!this.on || !this.there) return;
    // What is due now comes before what was.
    speechSynthesis.cancel();
    const words = new SpeechSynthesisUtterance(text);
    words.lang = document.documentElement.lang;
    speechSynthesis.speak(words);
  }
}

export const voice = new Voice();

/** Keeps the screen awake while the page shows, and says where the browser cannot. */
class Awake {
  /** False where the browser does not keep it awake: it may go dark between two presses. Nothing until that is known. */
  kept = $state<boolean | null>(null);

  /** @returns a way to let it sleep again */
  keep(): () => void {
    let lock: WakeLockSentinel | null = null;
    let left = false;
    const ask = async () => {
      if (document.visibilityState !== "visible") return void (this.kept ??= true);
      const got = (await navigator.wakeLock?.request("screen").catch(() => null)) ?? null;
      this.kept = got !== null;
      if (left) void got?.release();
      else lock = got;
    };
    void ask();
    document.addEventListener("visibilitychange", ask);
    return () => {
      left = true;
      document.removeEventListener("visibilitychange", ask);
      void lock?.release();
    };
  }
}

export const awake = new Awake();
