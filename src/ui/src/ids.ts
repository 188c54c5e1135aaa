/** A random id (RFC 9562, version 4): browsers make one themselves only for pages of this machine or over TLS, and a phone may come by plain HTTP. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6]! & 0x0f) | 0x40;
  bytes[8] = (bytes[8]! & 0x3f) | 0x80;
  const hex = [...bytes].map((b) => b.toString(16).padStart(2, "0")).join("");
  return [0, 8, 12, 16, 20].map((from, i, all) => hex.slice(from, all[i + 1])).join("-");
}
