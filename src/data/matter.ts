import {
  ABOUT_AUTHOR,
  aboutAuthor,
  ALSO_BY,
  alsoBy,
  asMatter,
  derivedMatter,
  follow,
  matterState,
  type MatterState,
  type PenName,
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
import { outNow, sellingFormer } from './former'
import { keptList } from './keptList'
import type { BookRecord } from './records'
import { writtenElsewhere } from './writer'

const kept = keptList<StandingMatter>('matter', 'matter')

/** The standing matter of this library. */
export const keptMatter = kept.all

/** Keeps a section of a book as standing matter, which it follows from then on. */
export async function keepSection(bookId: string, section: string, name: string): Promise<void> {
  const book = (await getBook(bookId))?.book
  const s = book?.sections.find(x => x.id === section)
  if (!book || !s) throw new Error('This section is not in the book any more.')
  const m = await kept.add(derivedMatter.has(slugOf(name, 'matter')) ? `own ${name}` : name, id =>
    asMatter(book, s, { id, name }),
  )
  const said = saidBy(m)
  await commitSections(bookId, `Keep “${name}” as standing matter`, b => ({
    ...b,
    sections: b.sections.map(x => (x.id === section ? { ...x, matter: { id: m.id, said } } : x)),
  }))
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
  const followers = (await followersOf([asKept(before)])).get(before.id)!.map(f => f.book)
  const now = { ...asMatter(book, s, before), former: await outNow(followers) }
  await kept.change(all => all.map(m => (m?.id === now.id ? now : m)))
  const said = saidBy(now)
  await commitSections(bookId, `“${now.name}” everywhere`, b => ({
    ...b,
    sections: b.sections.map(x => (x.id === section ? { ...x, matter: { id: now.id, said } } : x)),
  }))
  return spread(asKept(now))
}

/** Something that books follow: by the id that their sections name, and what each book is to say of it. */
export interface Followed {
  id: string
  name: string
  /** Packages at outlets that hold what was said before. */
  former: readonly string[]
  saidIn: (book: BookRecord, books: readonly BookRecord[]) => StandingMatter | undefined
}

/** A kept piece: every book says the same. */
export const asKept = (m: StandingMatter): Followed => ({
  id: m.id,
  name: m.name,
  former: m.former ?? [],
  saidIn: () => m,
})

/** The author's other books: each book says its own list. */
export const otherBooks: Followed = { id: ALSO_BY, name: 'Also by', former: [], saidIn: alsoBy }

/** The notes of pen names: each book says that of its own author. */
export const authorNotes = (names: readonly PenName[]): Followed => ({
  id: ABOUT_AUTHOR,
  name: 'About the author',
  former: names.flatMap(n => n.former ?? []),
  saidIn: book => aboutAuthor(book, names),
})

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
  /** What is on sale of it says what was kept before. */
  sellsFormer: boolean
}

/** The books that follow each thing, by its id, and where each stands to it. All sections are gone through once. */
export async function followersOf(all: readonly Followed[]): Promise<Map<string, Follower[]>> {
  const books = await listBooks()
  const sections = await db.sections.filter(s => !!s.matter).toArray()
  const following = [...new Set(sections.map(s => s.book))]
  const of = async (f: Followed): Promise<Follower[]> => {
    const former = await sellingFormer(following, f.former)
    return books.flatMap(b => {
      const own = sections.filter(s => s.book === b.id && s.matter!.id === f.id)
      const said = own.length ? f.saidIn(b, books) : undefined
      const states = own.flatMap(s => matterState(s, said) ?? [])
      const sellsFormer = former.has(b.id)
      return said && states.length
        ? [{ book: b.id, title: b.data.title, section: own[0]!.id, states, said, sellsFormer }]
        : []
    })
  }
  return new Map(await Promise.all(all.map(async f => [f.id, await of(f)] as const)))
}

/** Puts standing matter into a book, where its kind stands; gives the section that it is there. */
export async function place(bookId: string, matter: StandingMatter): Promise<string | undefined> {
  if (await writtenElsewhere(bookId)) throw new Error('Another window writes this book: place it there.')
  let section: string | undefined
  await commitSections(bookId, `Place “${matter.name}”`, b => {
    const next = placeMatter(b, matter)
    section = next.sections.find(s => !b.sections.some(x => x.id === s.id))?.id
    return next
  })
  return section
}

/** Gives a section the words that are kept. */
export const takeKept = (bookId: string, section: string, matter: StandingMatter): Promise<void> =>
  commitSections(bookId, `“${matter.name}” as it is kept`, b => follow(b, section, matter))

/** Makes a section its book's own again. */
export const letOff = (bookId: string, section: string): Promise<void> =>
  commitSections(bookId, 'Follow standing matter no more', b => unfollowed(b, section))

export const renameMatter = (id: string, name: string): Promise<void> =>
  kept.change(all => all.map(m => (m?.id === id ? { ...m, name } : m)))

/** Forgets a piece. What books say stays theirs. */
export const forgetMatter = (id: string): Promise<void> => kept.change(all => all.filter(m => m?.id !== id))
