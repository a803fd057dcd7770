import { shippedProfiles } from '@/core/outlets'
import { type Book, pairKey, slugOf } from '@/core/book'
import { Fault, type OutletProfile } from '@/core/trade'
import { db } from './db'
import { allOutlets } from './outlets'
import type { BookRecord } from './records'
import { guarded } from './trouble'

const same = (a: OutletProfile, b: OutletProfile): boolean => JSON.stringify(a) === JSON.stringify(b)

/** Whether an outlet stands as it shipped, ships and was changed, or is the author's own. */
export type Origin = 'shipped' | 'changed' | 'own'
export function originOf(profile: OutletProfile): Origin {
  const first = shippedProfiles.find(p => p.id === profile.id)
  return !first ? 'own' : same(first, profile) ? 'shipped' : 'changed'
}

/** Shipped outlets that are not there any more. */
export const missingShipped = (known: readonly OutletProfile[]): OutletProfile[] =>
  shippedProfiles.filter(s => !known.some(p => p.id === s.id))

const change = <T>(work: () => Promise<T>): Promise<T> =>
  guarded(() => db.transaction('rw', [db.outlets, db.books, db.listings], work))

/** Puts an outlet there: in the place of the one with its id, or behind all others. */
export const putOutlet = (profile: OutletProfile): Promise<void> =>
  change(async () => {
    const old = await db.outlets.get(profile.id)
    const last = await db.outlets.orderBy('place').last()
    await db.outlets.put({ id: profile.id, place: old?.place ?? (last?.place ?? -1) + 1, profile })
  })

/** Changes an outlet: worked out of the profile as the store has it when it is written, so that two figures left one after the other do not take each other back. */
export const changeOutlet = (id: string, next: (p: OutletProfile) => OutletProfile): Promise<void> =>
  change(async () => {
    const old = await db.outlets.get(id)
    if (!old) throw new Fault('no-outlet', 'This outlet is not here any more.')
    await db.outlets.put({ ...old, profile: next(old.profile) })
  })

/** Puts an outlet beside those that are there, under a name and an id of its own. Gives it. */
export const putBeside = (profile: OutletProfile): Promise<OutletProfile> =>
  change(async () => {
    const known = await allOutlets()
    const name = freeName(profile.name, known)
    const fresh = { ...profile, name, id: freeId(name, known) }
    await putOutlet(fresh)
    return fresh
  })

/** A name that no outlet has: "Ostrevane 2". */
function freeName(name: string, known: readonly OutletProfile[]): string {
  const taken = new Set(known.map(p => p.name))
  let free = name
  for (let n = 2; taken.has(free); n++) free = `${name} ${n}`
  return free
}

function freeId(name: string, known: readonly OutletProfile[]): string {
  const base = slugOf(name, 'outlet', 36)
  const taken = new Set(known.map(p => p.id))
  let id = base
  for (let n = 2; taken.has(id); n++) id = `${base}-${n}`
  return id
}

/** Puts a shipped outlet back as it shipped. */
export async function restoreOutlet(id: string): Promise<void> {
  const shipped = shippedProfiles.find(p => p.id === id)
  if (!shipped) throw new Fault('no-outlet', 'This outlet is the author’s own: there is nothing to put back.')
  await putOutlet(shipped)
}

/** Titles of the books that go to an outlet. */
export const usersOf = (id: string, books: readonly BookRecord[]): string[] =>
  books.filter(b => editionsOf(b).some(e => e?.outlets?.includes(id))).map(b => b.data?.title || b.id)

/** A record may be broken. */
const editionsOf = (b: BookRecord): BookRecord['editions'] => (Array.isArray(b.editions) ? b.editions : [])

/** Takes an outlet out. Refused while a book goes there, and where it is the last: a book is made for an outlet. */
export const removeOutlet = (id: string): Promise<void> =>
  change(async () => {
    const users = usersOf(id, await db.books.toArray())
    if (users.length)
      throw new Fault(
        'outlet-used',
        `${users.map(t => `“${t}”`).join(', ')} ${users.length === 1 ? 'goes' : 'go'} there: take ${users.length === 1 ? 'it' : 'them'} elsewhere first.`,
      )
    if ((await db.outlets.count()) < 2)
      throw new Fault('last-outlet', 'This is the last outlet: a book is made for one.')
    await db.outlets.delete(id)
  })

/** The profiles of the outlets that a book goes to, as far as they are not those that ship: a project carries them. */
export const ownOutletsOf = (book: Pick<BookRecord, 'editions'>, known: readonly OutletProfile[]): OutletProfile[] =>
  known.filter(p => originOf(p) !== 'shipped' && book.editions.some(e => e.outlets.includes(p.id)))

/**
 * A book as it came, at the outlets it came with: those that are not here come, too. Where one of the same id is here with other
 * figures, the book's own comes beside it under a name of its own, and the book goes there.
 */
export const settledBook = (book: Book, brought: readonly OutletProfile[]): Promise<Book> =>
  change(async () => {
    const moved = new Map<string, string>()
    for (const p of brought) {
      const here = (await allOutlets()).find(k => k.id === p.id)
      if (!here) await putOutlet(p)
      else if (!same(here, p)) moved.set(p.id, (await putBeside(p)).id)
    }
    return moved.size ? withOutlets(book, id => moved.get(id) ?? id) : book
  })

/** A book whose outlets go by other ids: in its editions, and where listings say what is stated there. */
function withOutlets(book: Book, idOf: (id: string) => string): Book {
  const { listings } = book
  return {
    ...book,
    editions: book.editions.map(e => ({ ...e, outlets: e.outlets.map(idOf) })),
    ...(listings
      ? {
          listings: Object.fromEntries(
            Object.entries(listings).map(([key, draft]) => {
              const [edition, outlet] = key.split('/') as [string, string]
              return [pairKey(edition, idOf(outlet)), draft]
            }),
          ),
        }
      : {}),
  }
}

/**
 * Takes the outlets of a backup, over those that stand here as they shipped: they were changed where it was made. Others of the same
 * id stay as they are here; gives their names.
 */
export const takeOutlets = (brought: readonly OutletProfile[]): Promise<string[]> =>
  change(async () => {
    const known = await allOutlets()
    const other: string[] = []
    for (const p of brought) {
      const here = known.find(k => k.id === p.id)
      if (!here || originOf(here) === 'shipped') await putOutlet(p)
      else if (!same(here, p)) other.push(here.name)
    }
    return other
  })
