import { door } from "../api/door.svelte";

const LOOKS_EVERY_MS = 600_000;

/**
 * Whether these pages are of the version the kitchen runs. After an update the newest are fetched by themselves; the page that is open goes on until
 * the cook has it made anew or goes to another place; what is not kept yet lies in the browser then.
 */
class Newest {
  /** A newer one is here. */
  there = $state(false);

  /** Begins to keep the pages, where the browser does. */
  begin(): void {
    // A part of the page that is fetched when it is first opened is no more where it was.
    addEventListener("vite:preloadError", () => location.reload());
    if (!("serviceWorker" in navigator) || import.meta.env.DEV) return;
    // The first worker only begins to keep what is there.
    let first = navigator.serviceWorker.controller === null;
    navigator.serviceWorker.addEventListener("controllerchange", () => {
      if (first) first = false;
      else this.there = true;
    });
    void navigator.serviceWorker.register("/sw.js").then(
      (worker) => setInterval(() => void worker.update().catch(() => undefined), LOOKS_EVERY_MS),
      () => undefined,
    );
  }

  /** What the kitchen says it is: where that is another than these pages are, the newest are looked for at once. */
  heard(): void {
    const says = door.view?.version;
    if (!says || says === __VERSION__) return;
    this.there = true;
    if ("serviceWorker" in navigator)
      void navigator.serviceWorker.getRegistration().then((worker) => worker?.update().catch(() => undefined));
  }
}

export const newest = new Newest();
