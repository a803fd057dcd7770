import { db } from './db'

/** Packages that are at outlets now, the last sent of each listing that was not withdrawn, by the book: hashes of their bytes. */
export async function packagesOut(books: readonly string[]): Promise<Map<string, string[]>> {
  const out = new Map<string, string[]>()
  for (const { book, events } of await db.listings.where('book').anyOf(books).toArray()) {
    const last = events.findLast(e => e.kind === 'sent' || e.kind === 'withdrawn')
    if (last?.kind === 'sent') out.set(book, [...(out.get(book) ?? []), last.submission.zip])
  }
  return out
}

/** Packages of these books that hold what was kept until now: whoever keeps something else remembers them by it. */
export const outNow = async (books: readonly string[]): Promise<string[]> => [
  ...new Set([...(await packagesOut(books)).values()].flat()),
]

/** The books whose packages at outlets still hold what was kept before. */
export async function sellingFormer(books: readonly string[], former: readonly string[]): Promise<Set<string>> {
  const out = await packagesOut(former.length ? books : [])
  return new Set([...out].filter(([, zips]) => zips.some(z => former.includes(z))).map(([book]) => book))
}
