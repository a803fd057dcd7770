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

/** Keeps what a book says of its imprint; the book follows it from then on. */
export async function keepImprintOf(book: Pick<BookRecord, 'id' | 'data' | 'assets'>): Promise<KeptImprint> {
  const { kept: _kept, logo, ...said } = book.data.imprint
  const asset = logo ? book.assets.find(a => a.id === logo) : undefined
  const own = await kept.add(said.name, id => ({ id, ...said, ...(asset ? { logo: asset } : {}) }))
  await takeImprint(book.id, own)
  return own
}

/** Keeps what books say of one imprint, as the fullest of them has it; each of them follows it from then on. */
export async function keepImprintOfAll(books: readonly BookRecord[]): Promise<void> {
  const said = ({ data }: BookRecord): number => Object.values(data.imprint).filter(Boolean).length
  const [fullest, ...others] = [...books].sort((a, b) => said(b) - said(a))
  const { id } = await keepImprintOf(fullest!)
  for (const b of others) {
    // It may have been changed meanwhile.
    const now = (await kept.all()).find(i => i.id === id)
    if (now) await takeImprint(b.id, now)
  }
}

/** A book says an imprint, and follows it. Throws where another window writes the book. */
export async function takeImprint(bookId: string, imprint: KeptImprint): Promise<void> {
  if (await writtenElsewhere(bookId)) throw new Error('Another window writes this book: say it there.')
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
export async function spreadImprint(imprint: KeptImprint): Promise<Spread> {
  const left: LeftBehind[] = []
  let books = 0
  for (const b of await followersOfImprint(imprint)) {
    if (!isBehind(b, imprint)) continue
    if (await writtenElsewhere(b.id)) {
      left.push({ title: b.data.title, why: 'another window writes it' })
      continue
    }
    try {
      await takeImprint(b.id, imprint)
      books++
    } catch (e) {
      left.push({ title: b.data.title, why: (e as Error).message })
    }
  }
  return { books, left }
}

export const followersOfImprint = async ({ id }: KeptImprint): Promise<BookRecord[]> =>
  (await listBooks()).filter(b => b.data.imprint.kept === id)

/** Forgets an imprint. What books say stays theirs. */
export const forgetImprint = (id: string): Promise<void> => kept.change(all => all.filter(i => i?.id !== id))
