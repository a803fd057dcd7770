import type { Edition } from './book'

/** Prices with one of them set, or taken away; undefined where none is left. */
export function pricesWith(
  prices: Edition['prices'],
  currency: string,
  price: number | undefined,
): Record<string, number> | undefined {
  const { [currency]: _old, ...others } = prices ?? {}
  const next = price === undefined ? others : { ...others, [currency]: price }
  return Object.keys(next).length ? next : undefined
}
