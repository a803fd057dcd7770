import { type Book, type Edition, filesOf, hashOf, type Section } from '@/core/book'
import { type Graph, type PrintChain, type PrintInputs, printChain } from '@/core/chain'
import { lampOverTide, rows } from '@/core/cover'
import { profileOf, shippedProfiles } from '@/core/outlets'
import { type InteriorStyle, Setter, styleById, withChanges } from '@/core/pages'
import { Fault, type OutletProfile } from '@/core/trade'
import { callThem, lend, originalBytes } from './pictureShelf'
import { tellAndHear } from './telling'
import { shelf } from './fontShelf'

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
  chains: Map<string, Graph<PrintChain>>
  /** Styles that an edition is tried in, by edition: see `tryStyle`. */
  trials: Map<string, Trial>
}

/** An edition in another style, beside its own. */
export interface Trial {
  style: InteriorStyle
  chain: Graph<PrintChain>
}

export const setter = new Setter(shelf)

const opened = new Map<string, OpenedBook>()
/** Outlets of the author's own, beside the shipped ones. */
let profiles: OutletProfile[] = shippedProfiles

export const outlet = (id: string): OutletProfile => profileOf(id, profiles)
export function useProfiles(own: OutletProfile[]): void {
  profiles = [...shippedProfiles.filter(p => !own.some(o => o.id === p.id)), ...own]
}

export function bookOf(id: string): OpenedBook {
  const b = opened.get(id)
  if (!b) throw new Error('This book is not open.')
  return b
}

/** The checker of records is on its way while the rest of the worker is still being read. */
const checking = import('./bookCheck')
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
    const [trouble] = (await checking).recordTroubles(record, profiles, unchanged)
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
  const b: OpenedBook = {
    book,
    text,
    turn: update.turn,
    chains: before?.chains ?? new Map(),
    trials: before?.trials ?? new Map(),
  }
  opened.set(head.id, b)
  for (const [key, chain] of b.chains) {
    const [editionId, outletId] = key.split('/') as [string, string]
    const e = book.editions.find(x => x.id === editionId)
    if (!e) {
      b.chains.delete(key)
      continue
    }
    const inputs = inputsOf(b, e, outletId)
    const last = given.get(chain)
    for (const k of Object.keys(inputs) as (keyof PrintInputs)[])
      renew(chain, k, last?.[k] as never, inputs[k] as never)
    given.set(chain, inputs)
  }
}

/** What each chain was given last: small records come anew each time, and identity is what the chain goes by. */
const given = new WeakMap<Graph<PrintChain>, PrintInputs>()

export function closeBook(id: string): void {
  opened.delete(id)
  sound.delete(id)
}

/** Whether everything that pages and cover read is what it was. */
function sameText(a: Book, b: Book): boolean {
  const same = (x: unknown, y: unknown): boolean => x === y || JSON.stringify(x) === JSON.stringify(y)
  return (
    a.sections.length === b.sections.length &&
    a.sections.every((s, i) => s === b.sections[i]) &&
    same(a.data, b.data) &&
    same(a.assets, b.assets) &&
    same(a.fonts, b.fonts) &&
    same(a.plan, b.plan)
  )
}

/** Before an edition's id: the edition in the style that it is tried in. */
export const TRIAL = 'trial:'

/** Sets an edition in another style beside its own; `paint`, `leaves` and the rest answer for it by the edition's id with TRIAL before it. */
export function tryStyle(bookId: string, editionId: string, style: InteriorStyle): Graph<PrintChain> {
  const b = bookOf(bookId)
  const e = b.book.editions.find(x => x.id === editionId)
  if (!e || e.kind === 'ebook') throw new Error('This edition is not printed.')
  const inputs = { ...inputsOf(b, e, e.outlets[0] ?? 'ostrevane'), style }
  const old = b.trials.get(editionId)
  if (old && JSON.stringify(old.style) === JSON.stringify(style)) {
    for (const k of Object.keys(inputs) as (keyof PrintInputs)[])
      if (k !== 'style') old.chain.set(k, inputs[k] as never)
    return old.chain
  }
  const chain = printChain(inputs, setter, shelf, tellAndHear)
  b.trials.set(editionId, { style, chain })
  return chain
}

/** The graph of an edition at an outlet, made when first asked for. */
export function chainOf(bookId: string, editionId: string, outletId?: string): Graph<PrintChain> {
  const b = bookOf(bookId)
  if (editionId.startsWith(TRIAL)) {
    const trial = b.trials.get(editionId.slice(TRIAL.length))
    if (!trial) throw new Error('This style is not being tried.')
    return trial.chain
  }
  const e = b.book.editions.find(x => x.id === editionId)
  if (!e || e.kind === 'ebook') throw new Error('This edition is not printed.')
  const at = outletId ?? e.outlets[0] ?? 'ostrevane'
  const key = `${editionId}/${at}`
  let chain = b.chains.get(key)
  if (!chain) {
    const inputs = inputsOf(b, e, at)
    b.chains.set(key, (chain = printChain(inputs, setter, shelf, tellAndHear)))
    given.set(chain, inputs)
  }
  return chain
}

/** Sets an input only where it says something else. */
function renew<K extends keyof PrintInputs>(
  chain: Graph<PrintChain>,
  name: K,
  old: PrintInputs[K],
  value: PrintInputs[K],
): void {
  if (old === value || (name !== 'book' && JSON.stringify(old) === JSON.stringify(value))) return
  chain.set(name, value as PrintChain[K])
}

export const styleOf = (book: Pick<Book, 'styles'>, e: Edition): InteriorStyle =>
  withChanges(styleById(e.style, book.styles), e.styleChanges)

/** The design that a book has, or begins with. */
export const designOf = (book: Book) => book.cover ?? (book.plan ? rows : lampOverTide)

export function inputsOf(b: Pick<OpenedBook, 'book' | 'text'>, e: Edition, outletId: string): PrintInputs {
  return {
    book: b.text,
    profile: outlet(outletId),
    others: e.outlets.filter(o => o !== outletId).map(outlet),
    style: styleOf(b.book, e),
    isbn: e.isbn,
    price: e.price,
    design: designOf(b.book),
    coverPages: e.coverPages,
    exceptions: e.exceptions,
    spec: {
      binding: e.kind === 'ebook' ? 'paperback' : e.kind,
      trim: e.trim ?? '6x9in',
      paper: e.paper ?? 'cream',
      ink: e.ink ?? 'black',
    },
  }
}

const keys = new WeakMap<object, string>()
/** SHA-256 of an object's JSON, remembered by its identity. */
export function keyOf(o: object): string {
  let k = keys.get(o)
  if (!k) keys.set(o, (k = hashOf(new TextEncoder().encode(JSON.stringify(o)))))
  return k
}
