/** A copy with keys in order, at every depth, and without what is undefined: the same value gives the same JSON. */
export function sorted(v: unknown): unknown {
  if (Array.isArray(v)) return v.map(sorted)
  if (v && typeof v === 'object')
    return Object.fromEntries(
      Object.entries(v)
        .filter(([, x]) => x !== undefined)
        .sort(([a], [b]) => (a < b ? -1 : 1))
        .map(([k, x]) => [k, sorted(x)]),
    )
  return v
}

/** The JSON of a value, with a line's end. */
export const canonicalJson = (value: unknown): string => JSON.stringify(sorted(value), null, 1) + '\n'
