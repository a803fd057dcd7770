/** A value with all its parts that say the same as parts of the old one at the same place being those very objects: what follows from them is not worked out again. */
export function withSameParts<T>(old: unknown, fresh: T): T {
  if (Object.is(old, fresh) || !isHolder(old) || !isHolder(fresh) || Array.isArray(old) !== Array.isArray(fresh))
    return fresh
  const [a, b] = [old as Record<string, unknown>, fresh as Record<string, unknown>]
  const names = Object.keys(b)
  let same = names.length === Object.keys(a).length
  for (const name of names) {
    b[name] = withSameParts(a[name], b[name])
    same &&= Object.is(a[name], b[name]) && name in a
  }
  return same ? (old as T) : fresh
}

/** An array or a plain record, whichever window it was made in. */
function isHolder(value: unknown): boolean {
  if (Array.isArray(value)) return true
  if (!value || typeof value !== 'object') return false
  const made: unknown = Object.getPrototypeOf(value)
  return made === null || Object.getPrototypeOf(made) === null
}
