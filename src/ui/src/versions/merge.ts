/** A place where both were changed, each in its own way. */
export interface Clash {
  /** As in a refusal: `spec.fold.steps[2].mass`. */
  field: string;
  mine: unknown;
  theirs: unknown;
}

/** Two changes of one thing laid together. */
export interface Merged<T> {
  clashes: Clash[];
  /** Both changes, and where they clash this one. */
  with: (prefer: "mine" | "theirs") => T;
}

type Tree = Record<string, unknown>;
/** What it was before is not known: then whatever differs is a clash. */
const UNKNOWN = Symbol("unknown");

const isTree = (value: unknown): value is Tree => typeof value === "object" && value !== null && !Array.isArray(value);
const keysOf = (...trees: Tree[]) => [...new Set(trees.flatMap((t) => Object.keys(t)))];

/** Alike but for what is left out or nothing. */
export function same(a: unknown, b: unknown): boolean {
  if (a == null || b == null) return a == b;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((x, i) => same(x, b[i]));
  if (isTree(a) && isTree(b)) return keysOf(a, b).every((key) => same(a[key], b[key]));
  return a === b;
}

const kindOf = (value: unknown) => (isTree(value) ? (value.kind ?? value.id) : undefined);
/** Whether two can be laid together part by part: things of one kind, or lists of the same things. */
function alike(a: unknown, b: unknown): boolean {
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((x, i) => isTree(x) && alike(x, b[i]));
  return isTree(a) && isTree(b) && kindOf(a) === kindOf(b);
}

/**
 * Lays two changes of one thing together: what only one of them changed is taken from it, and where both changed the same it is a clash.
 * @param base What both began from; nothing when that is not known.
 * @param whole Fields that are one decision: changed by both they clash, in whatever parts.
 */
export function merge<T extends object>(base: T | null, mine: T, theirs: T, whole: readonly string[] = []): Merged<T> {
  const clashes: Clash[] = [];

  function leaves(field: string, a: unknown, b: unknown): void {
    if (same(a, b)) return;
    if (isTree(a) && isTree(b)) for (const key of keysOf(a, b)) leaves(field ? `${field}.${key}` : key, a[key], b[key]);
    else if (Array.isArray(a) && Array.isArray(b))
      for (let i = 0; i < Math.max(a.length, b.length); i++) leaves(`${field}[${i}]`, a[i], b[i]);
    else clashes.push({ field, mine: a, theirs: b });
  }

  function weave(field: string, was: unknown, a: unknown, b: unknown, prefer: "mine" | "theirs"): unknown {
    if (same(a, b) || same(was, b)) return a;
    if (same(was, a)) return b;
    const known = was === UNKNOWN || alike(was, a);
    const part = (key: string | number) => (was === UNKNOWN ? UNKNOWN : (was as Tree)[key]);
    if (known && alike(a, b) && !whole.includes(field)) {
      if (Array.isArray(a)) return a.map((x, i) => weave(`${field}[${i}]`, part(i), x, (b as unknown[])[i], prefer));
      const [x, y] = [a as Tree, b as Tree];
      return Object.fromEntries(
        keysOf(x, y).map((key) => [key, weave(field ? `${field}.${key}` : key, part(key), x[key], y[key], prefer)]),
      );
    }
    if (prefer === "mine") leaves(field, a, b);
    return prefer === "mine" ? a : b;
  }

  const made = weave("", base ?? UNKNOWN, mine, theirs, "mine") as T;
  return { clashes, with: (prefer) => (prefer === "mine" ? made : (weave("", base ?? UNKNOWN, mine, theirs, prefer) as T)) };
}
