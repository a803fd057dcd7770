/** What differs between two JSON values, as small as it can be said: the deepest places that changed, with both sides. */
export interface Patch {
  path: (string | number)[]
  /** Absent where there was, or is, nothing. */
  before?: unknown
  after?: unknown
}

type Plain = Record<string, unknown>
const isPlain = (v: unknown): v is Plain => !!v && typeof v === 'object' && !Array.isArray(v)

/** Patches that lead from one JSON value to another. Lists of one length are compared item by item, others change as a whole. What is undefined is as if it were not there. */
export function patchesBetween(before: unknown, after: unknown): Patch[] {
  const out: Patch[] = []
  const walk = (a: unknown, b: unknown, path: (string | number)[]): void => {
    if (a === b) return
    if (isPlain(a) && isPlain(b)) {
      for (const k of new Set([...Object.keys(a), ...Object.keys(b)])) walk(a[k], b[k], [...path, k])
    } else if (Array.isArray(a) && Array.isArray(b) && a.length === b.length && path.length) {
      a.forEach((x, i) => walk(x, b[i], [...path, i]))
    } else if (JSON.stringify(a) !== JSON.stringify(b))
      out.push({ path, ...(a === undefined ? {} : { before: a }), ...(b === undefined ? {} : { after: b }) })
  }
  walk(before, after, [])
  return out
}

/** The value with patches applied, forward or back. What they do not touch is shared. Places that are not there are made. */
export function patched<T>(value: T, patches: readonly Patch[], back = false): T {
  return patches.reduce((v, p) => put(v, p.path, back ? p.before : p.after) as T, value)
}

function put(value: unknown, path: (string | number)[], to: unknown): unknown {
  if (!path.length) return to
  const [key, ...rest] = path as [string | number, ...(string | number)[]]
  if (Array.isArray(value)) return value.map((x, i) => (i === key ? put(x, rest, to) : x))
  const old = isPlain(value) ? value : {}
  const next = put(Object.hasOwn(old, key) ? old[key] : undefined, rest, to)
  if (next !== undefined) return { ...old, [key]: next }
  const { [key]: _gone, ...others } = old
  return others
}

/** Whether two lists of patches touch the very same places. */
export const samePlaces = (a: readonly Patch[], b: readonly Patch[]): boolean =>
  a.length === b.length && a.every((p, i) => p.path.join('\0') === b[i]!.path.join('\0'))
