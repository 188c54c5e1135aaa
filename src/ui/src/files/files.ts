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
 * @throws when the kitchen is away, or the signal says to stop
 */
export async function readKitchenFile(file: File, onstep: (step: FileStep) => void, signal: AbortSignal): Promise<FileStep> {
  const answer = await fetch("/api/files", { method: "POST", headers: { "content-type": "application/json" }, body: file, signal });
  if (!answer.ok || !answer.body) throw new Error(String(answer.status));
  const reader = answer.body.pipeThrough(new TextDecoderStream()).getReader();
  let [rest, last]: [string, FileStep | null] = ["", null];
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    const lines = (rest + part.value).split("\n");
    rest = lines.pop() ?? "";
    for (const line of lines) onstep((last = JSON.parse(line) as FileStep));
  }
  if (!last || !(last.staged || last.bad || last.problem)) throw new Error("cut short");
  return last;
}
