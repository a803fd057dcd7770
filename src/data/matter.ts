import { isMatter, isSetting } from '@/core/archive'
import {
  ALSO_BY,
  alsoBy,
  asMatter,
  follow,
  matterState,
  type MatterState,
  placeMatter,
  saidBy,
  slugOf,
  type StandingMatter,
  unfollowed,
  withMatter,
} from '@/core/book'
import { listBooks } from './bookList'
import { getBook } from './books'
import { commitSections } from './changes'
import { db } from './db'
import type { BookRecord } from './records'
import { guarded } from './trouble'
import { writtenElsewhere } from './writer'

/** All that is kept, as it is stored: what cannot be read stays as it is. */
async function stored(): Promise<StandingMatter[]> {
  const value = (await db.settings.get('matter'))?.value
  return Array.isArray(value) ? (value as StandingMatter[]) : []
}

/** The standing matter of this library. A broken piece does not take the others along. */
export const keptMatter = async (): Promise<StandingMatter[]> => (await stored()).filter(isMatter)

async function change(how: (all: StandingMatter[]) => StandingMatter[]): Promise<void> {
  await guarded(() =>
    db.transaction('rw', db.settings, async () => {
      const value = how(await stored())
      if (!isSetting('matter', value.filter(isMatter))) throw new Error('This is more standing matter than is kept.')
      await db.settings.put({ key: 'matter', value })
    }),
  )
}

/** Keeps a section of a book as standing matter, which it follows from then on. */
export async function keepSection(bookId: string, section: string, name: string): Promise<void> {
  const taken = new Set([ALSO_BY, ...(await stored()).map(m => m?.id)])
  const base = slugOf(name, 'matter').slice(0, 50)
  let id = base
  for (let n = 2; taken.has(id); n++) id = `${base}-${n}`
  let kept: StandingMatter | undefined
  await commitSections(bookId, `Keep “${name}” as standing matter`, b => {
    const s = b.sections.find(x => x.id === section)
    if (!s) return b
    kept = asMatter(b, s, { id, name })
    const said = saidBy(kept)
    return { ...b, sections: b.sections.map(x => (x.id === section ? { ...x, matter: { id, said } } : x)) }
  })
  if (kept) await change(all => [...all, kept!])
}

/** A book that a change of standing matter did not reach, and why. */
export interface LeftBehind {
  title: string
  why: string
}

/** What came of a change of standing matter: how many books say it now. */
export interface Spread {
  books: number
  left: LeftBehind[]
}

/** What a section says now is what is kept, and every book that follows says it too; books that cannot be written now are told. */
export async function changeEverywhere(bookId: string, section: string): Promise<Spread> {
  const book = (await getBook(bookId))?.book
  const s = book?.sections.find(x => x.id === section)
  const before = (await keptMatter()).find(m => m.id === s?.matter?.id)
  if (!book || !s || !before) throw new Error('What this section followed is kept no more.')
  const kept = asMatter(book, s, before)
  await change(all => all.map(m => (m?.id === kept.id ? kept : m)))
  const said = saidBy(kept)
  await commitSections(bookId, `“${kept.name}” everywhere`, b => ({
    ...b,
    sections: b.sections.map(x => (x.id === section ? { ...x, matter: { id: kept.id, said } } : x)),
  }))
  return spread(asKept(kept))
}

/** Something that books follow: by the id that their sections name, and what each book is to say of it. */
export interface Followed {
  id: string
  name: string
  saidIn: (book: BookRecord, books: readonly BookRecord[]) => StandingMatter | undefined
}

/** A kept piece: every book says the same. */
export const asKept = (kept: StandingMatter): Followed => ({ id: kept.id, name: kept.name, saidIn: () => kept })

/** The author's other books: each book says its own list. */
export const otherBooks: Followed = { id: ALSO_BY, name: 'Also by', saidIn: alsoBy }

/** Brings every book up to date that is behind what it follows. */
export async function spread(followed: Followed): Promise<Spread> {
  const out: Spread = { books: 0, left: [] }
  for (const { book, title, states, said } of (await followersOf([followed])).get(followed.id)!) {
    if (states.includes('changed here')) out.left.push({ title, why: 'it was changed there' })
    if (!states.includes('behind')) continue
    if (await writtenElsewhere(book)) {
      out.left.push({ title, why: 'another window writes it' })
      continue
    }
    try {
      await commitSections(book, `“${followed.name}” as it is kept`, b => withMatter(b, said))
      out.books++
    } catch (e) {
      out.left.push({ title, why: (e as Error).message })
    }
  }
  return out
}

/** A book with sections that follow something. */
export interface Follower {
  book: string
  title: string
  /** The first of them. */
  section: string
  states: MatterState[]
  /** What the book is to say. */
  said: StandingMatter
}

/** The books that follow each thing, by its id, and where each stands to it. All sections are gone through once. */
export async function followersOf(all: readonly Followed[]): Promise<Map<string, Follower[]>> {
  const books = await listBooks()
  const sections = await db.sections.filter(s => !!s.matter).toArray()
  const of = (f: Followed): Follower[] =>
    books.flatMap(b => {
      const own = sections.filter(s => s.book === b.id && s.matter!.id === f.id)
      const said = own.length ? f.saidIn(b, books) : undefined
      const states = own.flatMap(s => matterState(s, said) ?? [])
      return said && states.length ? [{ book: b.id, title: b.data.title, section: own[0]!.id, states, said }] : []
    })
  return new Map(all.map(f => [f.id, of(f)]))
}

/** Puts standing matter into a book, where its kind stands; gives the section that it is there. */
export async function place(bookId: string, kept: StandingMatter): Promise<string | undefined> {
  if (await writtenElsewhere(bookId)) throw new Error('Another window writes this book: place it there.')
  let section: string | undefined
  await commitSections(bookId, `Place “${kept.name}”`, b => {
    const next = placeMatter(b, kept)
    section = next.sections.find(s => !b.sections.some(x => x.id === s.id))?.id
    return next
  })
  return section
}

/** Gives a section the words that are kept. */
export const takeKept = (bookId: string, section: string, kept: StandingMatter): Promise<void> =>
  commitSections(bookId, `“${kept.name}” as it is kept`, b => follow(b, section, kept))

/** Makes a section its book's own again. */
export const letOff = (bookId: string, section: string): Promise<void> =>
  commitSections(bookId, 'Follow standing matter no more', b => unfollowed(b, section))

export const renameMatter = (id: string, name: string): Promise<void> =>
  change(all => all.map(m => (m?.id === id ? { ...m, name } : m)))

/** Forgets a piece. What books say stays theirs. */
export const forgetMatter = (id: string): Promise<void> => change(all => all.filter(m => m?.id !== id))
