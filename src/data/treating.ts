import { type Asset, type CoverDesign, hashOf } from '@/core/book'
import { isTreatment, type Treatment, treatmentWord } from '@/core/cover'
import { Fault } from '@/core/trade'
import { press } from '@/workers/client'
import { putBlobs } from './blobs'
import { commit } from './changes'
import { withMade } from './cleaning'
import { db } from './db'
import type { BookRecord } from './records'
import { fitting } from './room'
import { guarded } from './trouble'

/** Treatments that no cover shows any more and that are kept all the same: an author goes back and forth between a few. */
const FORMER = 4

const designsOf = ({ cover, coverDrafts = [] }: Pick<BookRecord, 'cover' | 'coverDrafts'>): CoverDesign[] =>
  cover ? [cover, ...coverDrafts] : coverDrafts

/** A book's pictures without what was made of one for its covers and is shown by none of them, but for the newest: every stroke of a brush makes another. */
function unshown(assets: Asset[], id: string, designs: readonly CoverDesign[]): Asset[] {
  const shown = new Set(
    designs.flatMap(d => d.pieces.flatMap(p => (p.kind === 'picture' && p.asset === id ? [treatmentWord(p)] : []))),
  )
  const former = (assets.find(a => a.id === id)?.cleaned ?? []).filter(c => isTreatment(c.how) && !shown.has(c.how))
  const going = new Set(former.slice(0, -FORMER).map(c => c.how))
  if (!going.size) return assets
  const left = assets.map(a => (a.id === id ? { ...a, cleaned: a.cleaned!.filter(c => !going.has(c.how)) } : a))
  // Made the same of another picture, or in another way, it stays.
  const needed = new Set(left.flatMap(a => (a.cleaned ?? []).map(c => c.id)))
  const gone = new Set(
    former
      .slice(0, -FORMER)
      .map(c => c.id)
      .filter(made => !needed.has(made)),
  )
  return left.filter(a => !(a.made && gone.has(a.id)))
}

/** Treats a book's picture as its cover asks: a picture of its own beside the original, which stays. Throws a Fault where it cannot be decoded. */
export async function treatPicture(bookId: string, id: string, how: Treatment): Promise<void> {
  const word = treatmentWord(how)
  if (word === undefined) return
  const name = (await db.books.get(bookId))?.assets.find(a => a.id === id)?.name ?? 'a picture'
  const made = await press().treatPicture(id, how)
  if (!made) throw new Fault('picture', `“${name}” is damaged: it cannot be decoded.`)
  const { bytes, type, width, height } = made
  const said = how.cut ? 'cut out' : 'in other tones'
  const asset: Asset = { id: hashOf(bytes), type, width, height, name: `${name}, ${said}`, made: true }
  await fitting(`“${asset.name}”`, bytes.length, async () => {
    await guarded(() => putBlobs([[asset.id, bytes]]))
    await commit(
      bookId,
      'Treat a picture',
      r => ({ assets: unshown(withMade(r.assets, { id, word, asset }), id, designsOf(r)) }),
      true,
    )
  })
}
