import { isRecord } from './isRecord'

/**
 * From version 4 to 5 of a project (6 to 7 of the store): a list price was in US dollars; prices are by currency. Walks any record,
 * since histories hold editions inside changes and name places inside of them. Pure; what is of this version stays as it is.
 */
export function withPricesByCurrency<T>(value: T): T {
  if (Array.isArray(value)) return value.map(withPricesByCurrency) as T
  if (!isRecord(value)) return value
  const all = Object.fromEntries(Object.entries(value).map(([key, v]) => [key, withPricesByCurrency(v)]))
  return (isOldEdition(all) ? asEdition(all) : isPricePatch(all) ? asPatch(all) : all) as T
}

type Json = Record<string, unknown>

const isOldEdition = (v: Json): boolean => Array.isArray(v.outlets) && 'style' in v && 'kind' in v && 'price' in v

const asEdition = ({ price, ...rest }: Json): Json => ({
  ...rest,
  ...(price === undefined ? {} : { prices: inDollars(price) }),
})

const inDollars = (price: unknown): Json => ({ USD: price })

/** The price of an edition, in a change: ["editions", 1, "price"]. */
const isPricePatch = ({ path }: Json): boolean =>
  Array.isArray(path) && path.length === 3 && path[0] === 'editions' && path[2] === 'price'

function asPatch({ path, before, after, ...rest }: Json): Json {
  const [editions, number] = path as unknown[]
  return {
    ...rest,
    path: [editions, number, 'prices'],
    ...(before === undefined ? {} : { before: inDollars(before) }),
    ...(after === undefined ? {} : { after: inDollars(after) }),
  }
}
