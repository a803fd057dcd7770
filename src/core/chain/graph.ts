import { Cancelled } from '../trade'

/**
 * A graph of pure, memoised functions over named inputs. A value is computed when asked for and kept; it is computed again
 * only when something it read has become another value (by identity). What did not depend on a changed input does not move.
 */
export interface Graph<V extends object> {
  /** Replaces an input; nothing happens where it is the same. */
  set<K extends keyof V>(name: K, value: V[K]): void
  get<K extends keyof V>(name: K): Promise<V[K]>
  /** Names of the values that are derived. */
  readonly derived: readonly (keyof V)[]
  /** How often a derived value was computed: for tests and for the curious. */
  runs(name: keyof V): number
}

/**
 * Derives one value from others; `get` may be called in any order, also conditionally. `wanted` says whether the inputs that were
 * read are still what they were: long work stops by throwing `Cancelled` where they are not, and who asked gets the newer value.
 */
export type Derive<V extends object, K extends keyof V> = (
  get: <N extends keyof V>(name: N) => Promise<V[N]>,
  wanted: () => boolean,
) => Promise<V[K]> | V[K]

interface Cell {
  value: unknown
  reads: Map<PropertyKey, unknown>
}

/**
 * `linked` are values of another graph: they are asked for there each time, which remembers them, and are compared like any other.
 */
export function createGraph<V extends object>(
  inputs: Partial<V>,
  derived: { [K in keyof V]?: Derive<V, K> },
  linked: { [K in keyof V]?: () => Promise<V[K]> } = {},
): Graph<V> {
  const given = new Map<PropertyKey, unknown>(Object.entries(inputs))
  const cells = new Map<PropertyKey, Cell>()
  const pending = new Map<PropertyKey, Promise<unknown>>()
  const counts = new Map<PropertyKey, number>()

  const get = (name: PropertyKey): Promise<unknown> => {
    if (given.has(name)) return Promise.resolve(given.get(name))
    const link = linked[name as keyof V]
    if (link) return link()
    // Two askers of one value wait for the same computation.
    let p = pending.get(name)
    if (!p) {
      const own = compute(name).finally(() => pending.get(name) === own && pending.delete(name))
      pending.set(name, (p = own))
    }
    return p
  }

  const compute = async (name: PropertyKey): Promise<unknown> => {
    const derive = derived[name as keyof V]
    if (!derive) throw new Error(`nothing gives ${String(name)}`)
    const cell = cells.get(name)
    if (cell && (await current(cell))) return cell.value
    const reads = new Map<PropertyKey, unknown>()
    counts.set(name, (counts.get(name) ?? 0) + 1)
    const wanted = (): boolean => [...reads].every(([n, v]) => !given.has(n) || given.get(n) === v)
    let value: unknown
    try {
      value = await derive(
        (async (n: keyof V) => {
          const v = await get(n as PropertyKey)
          reads.set(n as PropertyKey, v)
          return v
        }) as never,
        wanted,
      )
    } catch (e) {
      if (e instanceof Cancelled && !wanted()) return get(name)
      throw e
    }
    // A value equal to the old one keeps its identity, so that what reads it stays, too.
    const kept = cell && same(cell.value, value) ? cell.value : value
    cells.set(name, { value: kept, reads })
    return kept
  }

  const current = async (cell: Cell): Promise<boolean> => {
    for (const [n, v] of cell.reads) if ((await get(n)) !== v) return false
    return true
  }

  return {
    set(name, value) {
      if (given.get(name as PropertyKey) === value && given.has(name as PropertyKey)) return
      given.set(name as PropertyKey, value)
      // Who asks from now on does not wait for what is computed of the old value.
      pending.clear()
    },
    get: name => get(name as PropertyKey) as never,
    derived: Object.keys(derived) as (keyof V)[],
    runs: name => counts.get(name as PropertyKey) ?? 0,
  }
}

/** Equal plain values: numbers, strings, and small records of them. Large things are compared by identity. */
function same(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true
  if (!a || !b || typeof a !== 'object' || typeof b !== 'object') return false
  const [x, y] = [a as Record<string, unknown>, b as Record<string, unknown>]
  const keys = Object.keys(x)
  return (
    keys.length <= 12 &&
    keys.length === Object.keys(y).length &&
    Object.getPrototypeOf(x) === Object.prototype &&
    keys.every(k => Object.is(x[k], y[k]))
  )
}
