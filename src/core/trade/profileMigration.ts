/**
 * From version 1 to 2 of an outlet profile: what was said in notes, in two tables of rates and in a list of shops has fields of its
 * own. A profile that was frozen into a listing keeps what it says; what it did not say is what such a profile did: it sold at home,
 * took nothing for revisions, wrote the plain columns. Anything that is no profile of version 1 is given back as it is. Pure.
 */
export function currentProfile(document: unknown): unknown {
  if (!isOld(document)) return document
  const { vat: _vat, exchange, shops, print, ...rest } = document
  return {
    ...rest,
    version: 2,
    ...(exchange ? { exchange } : {}),
    territories: territoriesOf(document),
    ...(print && typeof print === 'object' ? { print: withFinishes(print) } : {}),
    revisions: { fee: 0 },
    ...(shops?.length ? { reach: { shops, each: false } } : {}),
    statement: plainColumns,
  }
}

/** The columns of a statement where an outlet says nothing else. */
export const plainColumns = {
  month: 'month',
  title: 'title',
  edition: 'edition',
  units: 'copies',
  royalty: 'royalty total',
  currency: 'currency',
}

interface Old {
  version: 1
  currency: string
  vat?: Record<string, string>
  exchange?: Record<string, string>
  shops?: string[]
  print?: Record<string, unknown>
}

const isOld = (v: unknown): v is Old =>
  !!v &&
  typeof v === 'object' &&
  (v as Old & { format: unknown }).format === 'porchlight-outlet' &&
  (v as Old).version === 1

/** What the three territories of version 1 paid in. */
const paidIn: Record<string, [name: string, currency: string]> = {
  US: ['United States', 'USD'],
  GB: ['United Kingdom', 'GBP'],
  DE: ['Germany', 'EUR'],
}

function territoriesOf({ vat, currency }: Old): unknown[] {
  const all = Object.entries(vat ?? {}).map(([code, tax]) => {
    const [name, own] = paidIn[code] ?? [code, currency]
    return { code, name, currency: own, vat: tax }
  })
  return all.length ? all : [{ code: 'US', name: 'United States', currency, vat: '0' }]
}

function withFinishes({ finishes, bindings, ...print }: Record<string, unknown>): Record<string, unknown> {
  return {
    ...print,
    finishes: Array.isArray(finishes)
      ? finishes.map(f => (typeof f === 'string' ? { name: f } : (f as unknown)))
      : finishes,
    bindings: Array.isArray(bindings)
      ? bindings.map((b: unknown) => {
          // Whatever stands there: a broken profile is refused when it is read, and stops nothing before.
          if (!b || typeof b !== 'object') return b
          const { coverAs: _coverAs, ...kept } = b as Record<string, unknown>
          return kept
        })
      : bindings,
  }
}
