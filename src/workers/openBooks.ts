import { type Book, filesOf, type Section } from '@/core/book'
import { Fault } from '@/core/trade'
import { callThem } from './decoding'
import { lend, originalBytes } from './pictureShelf'
import { shelf } from './fontShelf'
import { knownOutlets } from './outlets'

/** A change of a book as the page sends it: its record, the order of its sections, those sections that are new. */
export interface BookUpdate {
  head: Omit<Book, 'sections'>
  order: string[]
  sections: Section[]
  /** The state this one follows (0: none), and its own number: a change that was missed is asked for again, never guessed at. */
  after: number
  turn: number
  /** Pictures and fonts that are not in the store: of a manuscript that is looked over before it becomes a book. */
  lent?: Map<string, Uint8Array>
}

/** A book open at the press. `text` is what pages and covers depend on: it stays the same object while only prices or words change. */
export interface OpenedBook {
  book: Book
  text: Book
  turn: number
}

/** Fetched while the first book is on its way; whoever opens one is told where it cannot be read. */
const bookCheck = import('./bookCheck')
bookCheck.catch(() => undefined)

const opened = new Map<string, OpenedBook>()

/** Those who keep what follows from open books. */
interface Follower {
  /** A book was opened or brought up to date. */
  taken?(b: OpenedBook): void
  closed?(id: string): void
}
const followers: Follower[] = []
export const follow = (f: Follower): void => void followers.push(f)

export function bookOf(id: string): OpenedBook {
  const b = opened.get(id)
  if (!b) throw new Fault('closed', 'This book is not open.')
  return b
}

/** The parts of each book's record as they were last found in order, without texts, as JSON by name. */
const sound = new Map<string, Map<string, string>>()
const queues = new Map<string, Promise<void>>()

/**
 * Opens a book, or brings it up to date: what did not change keeps its identity, so that nothing follows from it anew. Updates of
 * one book are taken one after the other, and each whole or not at all. Throws a Fault `gap` where one before it is missing, and
 * `book` where the record is not in order: then the press keeps what it had.
 */
export function openBook(update: BookUpdate): Promise<void> {
  const { id } = update.head
  const next = (queues.get(id) ?? Promise.resolve()).then(() => take(update))
  queues.set(
    id,
    next.catch(() => undefined),
  )
  return next
}

/** Waits until all that was sent of a book is taken. */
export const takenOf = async (id: string): Promise<void> => queues.get(id)

async function take(update: BookUpdate): Promise<void> {
  const { head } = update
  const before = opened.get(head.id)
  if (update.after !== (before?.turn ?? 0) && update.after !== 0)
    throw new Fault('gap', 'The press has missed a change of this book.')
  const old = update.after === 0 ? undefined : before
  const sections = new Map(old?.book.sections.map(s => [s.id, s]))
  for (const s of update.sections) sections.set(s.id, s)
  const book: Book = { ...head, sections: update.order.map(id => sections.get(id)).filter(s => s !== undefined) }
  const record = { ...head, sections: book.sections.map(({ doc: _doc, ...s }) => s) }
  const parts = new Map(Object.entries(record).map(([name, part]) => [name, JSON.stringify(part)]))
  const known = sound.get(head.id)
  const unchanged = known ? [...parts.keys()].filter(name => known.get(name) === parts.get(name)) : []
  if (unchanged.length < Math.max(parts.size, known?.size ?? 1)) {
    const [trouble] = (await bookCheck).recordTroubles(record, knownOutlets(), unchanged)
    if (trouble) throw new Fault('book', trouble.sentence, trouble.place)
    sound.set(head.id, parts)
  }
  if (update.lent) lend(update.lent)
  callThem(book.assets)
  const fonts = new Map<string, Uint8Array>()
  for (const f of filesOf({ assets: [], fonts: book.fonts })) {
    const bytes = await originalBytes(f)
    if (bytes) fonts.set(f, bytes)
  }
  // From here on nothing waits: either all of it is taken, or none.
  shelf.addFamilies(book.fonts ?? [], fonts)
  const text = before && sameText(before.text, book) ? before.text : { ...book, editions: [] }
  const b: OpenedBook = { book, text, turn: update.turn }
  opened.set(head.id, b)
  for (const f of followers) f.taken?.(b)
}

export function closeBook(id: string): void {
  opened.delete(id)
  for (const f of followers) f.closed?.(id)
  sound.delete(id)
}

/** Whether everything that pages, cover and their checks read is what it was. */
function sameText(a: Book, b: Book): boolean {
  const same = (x: unknown, y: unknown): boolean => x === y || JSON.stringify(x) === JSON.stringify(y)
  return (
    a.sections.length === b.sections.length &&
    a.sections.every((s, i) => s === b.sections[i]) &&
    same(a.data, b.data) &&
    same(a.assets, b.assets) &&
    same(a.recordings, b.recordings) &&
    same(a.fonts, b.fonts) &&
    same(a.earlier, b.earlier) &&
    same(a.plan, b.plan)
  )
}
