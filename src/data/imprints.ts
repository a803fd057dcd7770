import { isBehind, type KeptImprint, withImprint } from '@/core/book'
import { listBooks } from './bookList'
import { commit } from './changes'
import { outNow } from './former'
import { keptList } from './keptList'
import type { LeftBehind, Spread } from './matter'
import type { BookRecord } from './records'
import { writtenElsewhere } from './writer'

const kept = keptList<KeptImprint>('imprints', 'imprint')

/** The imprints of this library. */
export const keptImprints = kept.all

/** Keeps a new imprint; gives it. */
export const keepImprint = (name: string): Promise<KeptImprint> => kept.add(name, id => ({ id, name }))

/** Keeps what books say of one imprint, as the fullest of them has it; each of them follows it from then on, but for those that cannot be written now. */
export async function keepImprintOf(books: readonly BookRecord[]): Promise<Spread> {
  const said = ({ data }: BookRecord): number => Object.values(data.imprint).filter(Boolean).length
  const [fullest] = [...books].sort((a, b) => said(b) - said(a))
  const { kept: _kept, logo, ...own } = fullest!.data.imprint
  const asset = logo ? fullest!.assets.find(a => a.id === logo) : undefined
  const { id } = await kept.add(own.name, id => ({ id, ...own, ...(asset ? { logo: asset } : {}) }))
  // It may be changed while they take it.
  return eachTakes(books, async () => (await kept.all()).find(i => i.id === id))
}

/** Books take an imprint one after the other, as it is then; one that cannot stops no other. */
async function eachTakes(
  books: readonly BookRecord[],
  imprint: () => Promise<KeptImprint | undefined>,
): Promise<Spread> {
  const left: LeftBehind[] = []
  let taken = 0
  for (const { id, data } of books)
    try {
      const now = await imprint()
      if (!now) throw new Error('the imprint is kept no more')
      await takeImprint(id, now)
      taken++
    } catch (e) {
      left.push({ title: data.title, why: (e as Error).message })
    }
  return { books: taken, left }
}

/** A book says an imprint, and follows it. Throws where another window writes the book. */
export async function takeImprint(bookId: string, imprint: KeptImprint): Promise<void> {
  if (await writtenElsewhere(bookId)) throw new Error('another window writes it')
  await commit(bookId, `Imprint ${imprint.name}`, r => withImprint(r, imprint))
}

/** Changes an imprint, and every book that follows it; books that cannot be written now are told. */
export async function changeImprint(id: string, patch: Partial<Omit<KeptImprint, 'id'>>): Promise<Spread> {
  const before = (await kept.all()).find(i => i.id === id)
  if (!before) throw new Error('This imprint is kept no more.')
  const former = await outNow((await followersOfImprint(before)).map(b => b.id))
  let now: KeptImprint | undefined
  await kept.change(all =>
    all.map(i => {
      if (i?.id !== id) return i
      const { logo, place, site, ...said } = { ...i, ...patch, former }
      return (now = { ...said, ...(place ? { place } : {}), ...(site ? { site } : {}), ...(logo ? { logo } : {}) })
    }),
  )
  return now ? spreadImprint(now) : { books: 0, left: [] }
}

/** Brings every book up to date that follows an imprint and says what it said before. */
export const spreadImprint = async (imprint: KeptImprint): Promise<Spread> =>
  eachTakes(
    (await followersOfImprint(imprint)).filter(b => isBehind(b, imprint)),
    async () => imprint,
  )

export const followersOfImprint = async ({ id }: KeptImprint): Promise<BookRecord[]> =>
  (await listBooks()).filter(b => b.data.imprint.kept === id)

/** Forgets an imprint. What books say stays theirs. */
export const forgetImprint = (id: string): Promise<void> => kept.change(all => all.filter(i => i?.id !== id))
