import type { Book, ListingDraft } from './book'

/** The name of an edition at an outlet within its book: what is kept of the pair is kept under it. */
export const pairKey = (editionId: string, outletId: string): string => `${editionId}/${outletId}`

/** The edition and the outlet that a name of a pair is of. */
export function pairOf(key: string): { edition: string; outlet: string } {
  const [edition, outlet] = key.split('/')
  return { edition: edition!, outlet: outlet! }
}

/** What is stated of an edition at an outlet. */
export const draftOf = (book: Pick<Book, 'listings'>, editionId: string, outletId: string): ListingDraft =>
  book.listings?.[pairKey(editionId, outletId)] ?? {}
