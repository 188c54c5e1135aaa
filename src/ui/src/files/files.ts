import { door, HEADER } from "../api/door.svelte";
import type { FileStep } from "../api/types";

/** Hands a file to the cook's own machine. */
export function save(blob: Blob, name: string): void {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}

/** Fetches what the kitchen makes a file of, under the name it gives it. */
export function fetchFile(path: string): void {
  const link = document.createElement("a");
  link.href = path;
  link.download = "";
  link.click();
}

/**
 * Sends a kitchen's file to be read; every line of the answer says how far it is, the last how it ended.
 * @param onsent the share of it that has been sent
 * @throws when the kitchen is away, or the signal says to stop
 */
export async function readKitchenFile(
  file: File,
  onsent: (share: number) => void,
  onstep: (step: FileStep) => void,
  signal: AbortSignal,
): Promise<FileStep> {
  const token = await door.token();
  return new Promise((resolve, reject) => {
    // What was sent so far is something only this kind of request tells.
    const request = new XMLHttpRequest();
    let [read, last]: [number, FileStep | null] = [0, null];
    const steps = () => {
      for (let end; (end = request.responseText.indexOf("\n", read)) >= 0; read = end + 1)
        onstep((last = JSON.parse(request.responseText.slice(read, end)) as FileStep));
    };
    const fail = () => reject(new Error("cut short"));
    request.upload.onprogress = (e) => onsent(e.loaded / Math.max(e.total, 1));
    request.onprogress = () => request.status === 200 && steps();
    request.onload = () => {
      if (request.status === 200) steps();
      if (last && (last.staged || last.bad || last.problem)) resolve(last);
      else fail();
    };
    request.onerror = request.onabort = fail;
    signal.addEventListener("abort", () => request.abort());
    request.open("POST", "/api/files");
    request.setRequestHeader("content-type", "application/json");
    request.setRequestHeader(HEADER, token);
    request.send(file);
  });
}
