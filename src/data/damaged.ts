import { commit } from './changes'
import { db } from './db'

/** Pictures that this window has looked at, by their hash. */
const looked = new Set<string>()

/**
 * Looks at those pictures of a book that never passed the door's check, having come before there was one: what cannot be decoded
 * is marked, so that it is a finding. `decodes` tries one. Gives how many were marked.
 */
export async function markDamaged(
  bookId: string,
  decodes: (id: string, bytes: Uint8Array) => Promise<boolean>,
): Promise<number> {
  const record = await db.books.get(bookId)
  const damaged = new Set<string>()
  for (const { id, damaged: known } of record?.assets ?? []) {
    if (known || looked.has(id)) continue
    // Once, also where looking breaks the press.
    looked.add(id)
    if (!(await db.previews.get(id))) {
      const bytes = (await db.blobs.get(id))?.bytes
      if (bytes && !(await decodes(id, bytes))) damaged.add(id)
    }
  }
  if (damaged.size)
    await commit(
      bookId,
      damaged.size === 1 ? 'Mark a damaged picture' : `Mark ${damaged.size} damaged pictures`,
      r => ({ assets: r.assets.map(a => (damaged.has(a.id) ? { ...a, damaged: true } : a)) }),
    )
  return damaged.size
}
