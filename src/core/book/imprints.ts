import type { Asset, Book, Imprint } from './book'

/** A publisher's name as it is kept once for all books, with the logo that stands on title page, spine and back. */
export interface KeptImprint {
  id: string
  name: string
  place?: string
  site?: string
  logo?: Asset
  /** Packages at outlets, by the hash of their bytes, that hold what was kept before. */
  former?: string[]
}

/** What a book says of an imprint that it follows. */
export const imprintOf = ({ id, name, place, site, logo }: KeptImprint): Imprint => ({
  name,
  ...(place ? { place } : {}),
  ...(site ? { site } : {}),
  ...(logo ? { logo: logo.id } : {}),
  kept: id,
})

/** Whether a book that follows an imprint says something else than is kept. */
export function isBehind({ data: { imprint } }: Pick<Book, 'data'>, kept: KeptImprint): boolean {
  const is = imprintOf(kept)
  return (['name', 'place', 'site', 'logo'] as const).some(k => (imprint[k] ?? '') !== (is[k] ?? ''))
}

/** What of a book changes that takes an imprint: its data, and the logo among its pictures. */
export function withImprint<B extends Pick<Book, 'data' | 'assets'>>(
  book: B,
  kept: KeptImprint,
): Pick<B, 'data' | 'assets'> {
  const { logo } = kept
  const there = !logo || book.assets.some(a => a.id === logo.id)
  return {
    data: { ...book.data, imprint: imprintOf(kept) },
    assets: there ? book.assets : [...book.assets, logo],
  }
}
