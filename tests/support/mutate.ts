import fc from 'fast-check'

/** What may befall one place of a JSON value. */
export interface Mutation {
  /** Which place, of all there are. */
  at: number
  kind: 'value' | 'remove' | 'double' | 'key'
  value: unknown
}

const odd = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    true,
    -1,
    0,
    1e9,
    1e300,
    0.5,
    '',
    'x',
    '"/><script>',
    '../../x',
    '\u202egnp.exe',
    'a'.repeat(3000),
    [],
    {},
    [[]],
    { a: { b: {} } },
    [null],
    { __proto__x: 1 },
  ),
  fc.jsonValue({ maxDepth: 2 }) as fc.Arbitrary<unknown>,
)
export const mutation: fc.Arbitrary<Mutation[]> = fc.array(
  fc.record({ at: fc.nat(1e6), kind: fc.constantFrom('value', 'value', 'remove', 'double', 'key'), value: odd }),
  { minLength: 1, maxLength: 4 },
)

/** The value with mutations done to it, in place. */
export function mutated(value: unknown, mutations: Mutation[]): unknown {
  for (const m of mutations) {
    const places: [Record<string, unknown> | unknown[], string][] = []
    const walk = (v: unknown): void => {
      if (!v || typeof v !== 'object') return
      for (const k of Object.keys(v)) {
        places.push([v as Record<string, unknown>, k])
        walk((v as Record<string, unknown>)[k])
      }
    }
    walk(value)
    if (!places.length) continue
    const [holder, key] = places[m.at % places.length]!
    const object = holder as Record<string, unknown>
    if (m.kind === 'value') object[key] = structuredClone(m.value)
    else if (m.kind === 'remove' && Array.isArray(holder)) holder.splice(Number(key), 1)
    else if (m.kind === 'remove') delete object[key]
    else if (m.kind === 'double' && Array.isArray(holder)) holder.push(structuredClone(holder[Number(key)]))
    else if (!Array.isArray(holder)) object[m.kind === 'key' ? 'constructor' : `${key}x`] = structuredClone(m.value)
  }
  return value
}
