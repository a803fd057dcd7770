/** A value with all its parts that say the same as parts of the old one at the same place being those very objects: what follows from them is not worked out again. */
export function withSameParts<T>(old: unknown, fresh: T): T {
  if (Object.is(old, fresh) || !isHolder(old) || !isHolder(fresh) || Array.isArray(old) !== Array.isArray(fresh))
    return fresh
  const [a, b] = [old as Record<string, unknown>, fresh as Record<string, unknown>]
  const names = Object.keys(b)
  let same = names.length === Object.keys(a).length
  for (const name of names) {
    // What every object has is no part of the old one: a part may be called as that is.
    const was = Object.hasOwn(a, name) ? a[name] : undefined
    b[name] = withSameParts(was, b[name])
    same &&= Object.is(was, b[name]) && Object.hasOwn(a, name)
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
