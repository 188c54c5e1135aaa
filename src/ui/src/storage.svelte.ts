/**
 * What this browser keeps for itself: for the whole browser, or for one tab alone. Where that is full or forbidden nothing breaks: it is said
 * (`works`), and what the kitchen has not yet lives as long as the page.
 */
class Storage {
  /** False once the browser would not take something. */
  works = $state(true);

  get(key: string, tab = false): string | null {
    return this.with(tab, (store) => store.getItem(key)) ?? null;
  }

  /** What was kept as JSON; nothing where there is none, or none that can be read. */
  read<T>(key: string): T | null {
    try {
      return JSON.parse(this.get(key) ?? "null") as T | null;
    } catch {
      return null;
    }
  }

  set(key: string, value: string, tab = false): void {
    this.with(tab, (store) => {
      store.setItem(key, value);
      this.works = true;
    });
  }

  remove(key: string, tab = false): void {
    this.with(tab, (store) => store.removeItem(key));
  }

  /** Keys that begin so. */
  keys(prefix: string): string[] {
    return this.with(false, (store) => Object.keys(store).filter((key) => key.startsWith(prefix))) ?? [];
  }

  private with<T>(tab: boolean, what: (store: globalThis.Storage) => T): T | undefined {
    try {
      return what(tab ? sessionStorage : localStorage);
    } catch {
      this.works = false;
      return undefined;
    }
  }
}

export const storage = new Storage();
