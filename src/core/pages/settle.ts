import type { Ticker } from '../trade'
import type { Interior, Setter } from './interior'
import type { PageSpec, ToSet } from './layout'
import { marginsOf } from './style'

/** How many pages an interior has with those that a plan puts in. */
export const pagesInAll = ({ pages, inserts }: Interior): number => inserts.reduce((n, i) => n + i.pages, pages.length)

/**
 * Settles gutter and page count together: more pages may ask for a wider inside margin, which makes more pages. The
 * rule is tried from the thinnest book upward, so the first margin that is legal at its own count is the smallest
 * there is, and the search cannot swing back. `rule` gives the least inside margin (points) for a page count.
 */
export async function settleInterior(
  setter: Setter,
  { book, style, spec }: Omit<ToSet, 'spec'> & { spec: Omit<PageSpec, 'inside'> },
  rule: (pages: number) => number,
  ticker?: Ticker,
): Promise<Interior> {
  let inside = Math.max(marginsOf(style).inside, rule(1))
  for (;;) {
    const interior = await setter.set(book, style, { ...spec, inside }, ticker)
    const asked = rule(pagesInAll(interior))
    if (asked <= inside + 1e-6) return interior
    inside = asked
  }
}
