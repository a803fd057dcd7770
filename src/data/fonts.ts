import type { OwnFamily } from '@/core/book'
import { ownFamily, type ReadFont } from '@/core/type'
import { press } from '@/workers/client'
import { commit } from './changes'
import { putBlobs } from './blobs'
import { db } from './db'
import { fitting } from './room'
import { guarded } from './trouble'

/** What a file picker offers as a font. */
export const fontTypes = '.ttf,font/ttf'

/**
 * Brings the cuts of a family into a book and sets the edition in it. Files of a family that the book has already are added to it.
 * Throws with the reason where one of them cannot be used; then nothing is changed.
 */
export async function bringInFonts(bookId: string, editionId: string, files: File[]): Promise<OwnFamily> {
  const read: (ReadFont & { bytes: Uint8Array<ArrayBuffer> })[] = []
  for (const file of files) {
    const bytes = new Uint8Array(await file.arrayBuffer())
    try {
      read.push({ ...(await press().readFont(bytes)), bytes })
    } catch (e) {
      throw new Error(`${file.name}: ${(e as Error).message}`)
    }
  }
  const names = [...new Set(read.map(r => r.family))]
  if (names.length > 1)
    throw new Error(`These are fonts of several families (${names.join(', ')}): bring in one family at a time.`)
  const book = await db.books.get(bookId)
  const before = book?.fonts?.find(f => f.name === names[0])
  const family = ownFamily(read, before)
  await fitting(
    `“${family.name}”`,
    read.reduce((n, r) => n + r.bytes.length, 0),
    async () => void (await guarded(() => putBlobs(read.map(r => [r.hash, r.bytes])))),
  )
  await commit(bookId, `Typeface ${family.name}`, r => ({
    fonts: [...(r.fonts ?? []).filter(f => f.id !== before?.id), family],
    // Editions that were set in the family before it grew are set in what it is now.
    editions: r.editions.map(e =>
      e.id === editionId || (before && e.styleChanges?.['text.family'] === before.id)
        ? { ...e, styleChanges: { ...e.styleChanges, 'text.family': family.id } }
        : e,
    ),
  }))
  return family
}
