import { strToU8 } from 'fflate'
import { canonicalJson, readVersion } from '@/core/archive'
import {
  authorLine,
  type Book,
  filesOf,
  hashOf,
  type Return,
  type ReviewCopy,
  type Round,
  type RoundForm,
  type Section,
} from '@/core/book'
import {
  type Returned,
  returnedCopy,
  reviewCopyOf,
  type ReviewOf,
  type Told,
  wholeCopyOf,
  withKnownNames,
  withRemarks,
} from '@/core/review'
import { Fault } from '@/core/trade'
import { blobBytes, putBlobs } from './blobs'
import { getBook, type StoredBook } from './books'
import { commit, commitSections } from './changes'
import { db } from './db'
import { guarded } from './trouble'
import { keepBook } from './versions'

/** How a round goes out: for whom, as what, and which sections, all where none are named. */
export interface Sending {
  to: string
  form: RoundForm
  only?: readonly string[]
}

/** What is to be handed over: the book as it goes out, with its files, and the round that it is on. */
export interface SentOut extends StoredBook {
  round: Round
}

/** Sends a text out: the book as it is now is kept, so that what returns can be held against it. Nothing goes anywhere by itself: the author hands the file over. */
export async function sendRound(bookId: string, { to, form, only }: Sending): Promise<SentOut | undefined> {
  const stored = await getBook(bookId)
  if (!stored) return undefined
  const { book } = stored
  const rounds = book.rounds ?? []
  const number = Math.max(0, ...rounds.map(r => Number(r.id.slice(1)))) + 1
  const sent = await kept(book, `Given to ${to}`)
  const round: Round = {
    ...{ id: `r${number}`, to, at: Date.now(), form, ...(only && { sections: [...only] }) },
    ...{ sent, returns: [] },
  }
  await commit(bookId, `Give it to ${to}`, record => ({ rounds: [...(record.rounds ?? []), round] }))
  return goingOut(stored, round)
}

/** What is handed over of a book on a round: all of it, or a copy that has nothing but its text. */
function goingOut({ book, pictures }: StoredBook, round: Round): SentOut {
  if (round.form === 'docx') return { book, pictures, round }
  const review: ReviewCopy = {
    ...{ of: book.uid ?? book.id, round: round.id, from: authorLine(book.data), at: round.at, by: round.to },
  }
  const copy = round.form === 'whole' ? wholeCopyOf(book, review) : reviewCopyOf(book, review, round.sections)
  const files = new Set(filesOf(copy))
  return { book: copy, pictures: new Map([...pictures].filter(([id]) => files.has(id))), round }
}

/** What went out on a round, once more: as it was then. Throws a Fault where it is kept no more. */
export async function sendAgain(bookId: string, round: Round): Promise<SentOut> {
  const { whole } = await wentOn(round)
  const found = await db.blobs.bulkGet(filesOf(whole))
  const pictures = new Map(found.flatMap(b => (b ? [[b.hash, b.bytes] as const] : [])))
  const uid = whole.uid ?? (await db.books.get(bookId))?.uid
  return goingOut({ book: { ...whole, ...(uid && { uid }) }, pictures }, round)
}

/** Keeps a version for good, and gives the hash by which it is read. */
async function kept(book: Book, label: string, beside?: ReadonlyMap<string, Uint8Array>): Promise<string> {
  const id = await keepBook(book, { label, ...(beside && { beside }) })
  const version = id === undefined ? undefined : await db.versions.get(id)
  if (!version) throw new Fault('unkept', 'What goes out could not be kept: it is not given out.')
  return version.manifest
}

/** What went out on a round: the whole book as it was, and the sections of it that went. */
interface Went {
  whole: Book
  sent: Book
}

/** Throws a Fault where it is kept no more. */
async function wentOn({ sent: manifest, sections }: Round): Promise<Went> {
  const whole = await readVersion(manifest, blobBytes)
  const went = whole.sections.filter(s => !s.made && (!sections || sections.includes(s.id)))
  return { whole, sent: { ...whole, sections: went } }
}

/** A return as it is held against the book. Throws a Fault where a part of it is kept no more. */
export async function returnOf(round: Round, { state, told, by, at }: Return): Promise<ReviewOf> {
  const [{ whole, sent }, back, bytes] = await Promise.all([
    wentOn(round),
    readVersion(state, blobBytes),
    blobBytes(told),
  ])
  const known = bytes ? (JSON.parse(new TextDecoder().decode(bytes)) as Record<string, Told[]>) : {}
  const stayed = new Set(stayedOf(whole, sent).map(s => s.id))
  return { sent, back: { ...back, sections: back.sections.filter(s => !stayed.has(s.id)) }, told: known, by, when: at }
}

/** Sections that did not go: those that are made, and those that nobody was asked to read. */
const stayedOf = (whole: Book, sent: Book): Section[] =>
  whole.sections.filter(s => !sent.sections.some(x => x.id === s.id))

/** The whole book as it came back: what did not go stands where it stood. */
function completed(whole: Book, sent: Book, back: readonly Section[]): Section[] {
  const out = [...back]
  for (const s of stayedOf(whole, sent)) {
    const before = whole.sections.slice(0, whole.sections.indexOf(s)).findLast(x => out.some(o => o.id === x.id))
    out.splice(before ? out.findIndex(o => o.id === before.id) + 1 : 0, 0, s)
  }
  return out
}

/** What came in: how many remarks, how many of them stand elsewhere than they were made, and what the file had that a book has not. */
export interface CameBack {
  id: string
  remarks: number
  elsewhere: number
  dropped: Returned['dropped']
}

/** Takes in what came back on a round: it is kept, its remarks stand at their words, its changes wait to be taken or refused. */
export async function takeReturn(
  bookId: string,
  round: Round,
  by: string,
  reading: (sent: Book, lastId: number) => Promise<Returned & { record?: Book }>,
): Promise<CameBack> {
  const stored = await getBook(bookId)
  if (!stored) throw new Fault('gone', 'This book is not here any more.')
  const { whole, sent } = await wentOn(round)
  // What came before, as far as it is kept: what comes once more is known by it.
  const before = await Promise.all(round.returns.map(r => readVersion(r.state, blobBytes).catch(() => undefined)))
  const others = [stored.book, ...before.filter(b => b !== undefined)]
  const read = await reading(sent, stored.book.lastId)
  const returned = { ...read, ...withKnownNames(read, { sent, others }) }
  const { sections, assets, pictures, told, lastId, record } = returned
  // Of a whole book all that it says of itself came back; of a text, nothing but that.
  const state: Book = {
    ...(record ?? sent),
    id: bookId,
    lastId,
    sections: completed(whole, sent, sections),
    assets: [...sent.assets, ...assets],
  }
  await guarded(() => putBlobs(pictures))
  const bytes = strToU8(canonicalJson(told))
  const toldHash = hashOf(bytes)
  const manifest = await kept(state, `From ${by}`, new Map([[toldHash, bytes]]))
  const id = `${round.id}-${round.returns.length + 1}`
  const entry: Return = { id, by, at: Date.now(), state: manifest, told: toldHash, left: [] }
  const came = { id, remarks: 0, elsewhere: 0, dropped: returned.dropped }
  await commitSections(bookId, `Take in what ${by} sent back`, book => {
    const placed = withRemarks(book, sent, { ...state, sections })
    Object.assign(came, { remarks: placed.came, elsewhere: placed.elsewhere })
    return {
      ...placed.book,
      lastId: Math.max(placed.book.lastId, lastId),
      rounds: withReturns(placed.book.rounds, round.id, all => [...all, entry]),
    }
  })
  return came
}

const withReturns = (rounds: Book['rounds'], id: string, make: (all: readonly Return[]) => Return[]): Round[] =>
  (rounds ?? []).map(r => (r.id === id ? { ...r, returns: make(r.returns) } : r))

/** Changes what is known of a return: a step of the book. */
export const changeReturn = (bookId: string, label: string, id: string, change: (r: Return) => Return): Promise<void> =>
  commit(bookId, label, record => ({
    rounds: withReturns(record.rounds, id.split('-')[0]!, all => all.map(r => (r.id === id ? change(r) : r))),
  }))

/** Who reads a review copy here: their name goes back with it. */
export const nameReader = (bookId: string, by: string): Promise<void> =>
  commit(bookId, 'Who reads it', ({ review }) => (review ? { review: { ...review, by } } : {}))

/** A review copy as it goes back: with when each section was last changed here. */
export async function copyGoingBack(bookId: string): Promise<StoredBook | undefined> {
  const stored = await getBook(bookId)
  if (!stored?.book.review) return undefined
  const changed: Record<string, number> = {}
  await db.changes
    .where('[book+state+id]')
    .between([bookId, 0, 0], [bookId, 0, Infinity])
    .each(c => {
      for (const id of [c.text?.section, ...(c.sections ?? []).map(s => s.id)]) if (id) changed[id] = c.at
    })
  return { ...stored, book: { ...stored.book, review: { ...stored.book.review, changed } } }
}

/** The book of this library, and its round, that a copy is of; undefined where there is none. */
export async function homeOf({
  of,
  round,
}: Pick<ReviewCopy, 'of' | 'round'>): Promise<{ id: string; round: Round } | undefined> {
  for (const record of await db.books.toArray()) {
    if ((record.uid ?? record.id) !== of || record.review) continue
    const found = record.rounds?.find(r => r.id === round)
    if (found) return { id: record.id, round: found }
  }
  return undefined
}

/** Takes in a copy that came back from another Porchlight. */
export const takeCopy = (bookId: string, round: Round, { book, pictures }: StoredBook): Promise<CameBack> =>
  takeReturn(bookId, round, book.review?.by || round.to, (sent, lastId) => {
    const returned = returnedCopy(book, sent, lastId)
    const had = new Set(filesOf(sent))
    return Promise.resolve({
      ...returned,
      pictures: new Map([...pictures].filter(([id]) => !had.has(id))),
      ...(book.review?.whole && { record: book }),
    })
  })
