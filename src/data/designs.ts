import { withoutPictures } from '@/core/archive'
import type { CoverDesign } from '@/core/book'
import { db } from './db'
import { keptList } from './keptList'

const kept = keptList<CoverDesign>('designs', 'design')

/** Designs of covers that the author kept, for all books of this library. */
export const keptDesigns = kept.all

/** Keeps a design under an id that no other has; gives it, and how many of its parts stayed behind because they show pictures. */
export async function keepDesign(design: CoverDesign, name: string): Promise<{ design: CoverDesign; left: number }> {
  const { design: bare, left } = withoutPictures(design)
  return { design: await kept.add(`own ${name}`, id => ({ ...bare, id, name })), left }
}

/** Forgets a kept design. Covers that were made by it stay as they are. */
export const forgetDesign = (id: string): Promise<void> => kept.change(all => all.filter(d => d?.id !== id))

/** A cover of another book of the same series. */
export interface SeriesCover {
  book: string
  title: string
  design: CoverDesign
}

/** The covers of the other books of a series that have one of their own, without their pictures. */
export async function seriesCovers(bookId: string, series: string | undefined): Promise<SeriesCover[]> {
  if (!series) return []
  const books = await db.books.toArray()
  return books.flatMap(b =>
    b.id !== bookId && b.takenDown === undefined && b.cover && b.data?.series?.name === series
      ? [{ book: b.id, title: b.data.title, design: withoutPictures(b.cover).design }]
      : [],
  )
}
