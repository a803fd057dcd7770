import { type Asset, type Book, type Edition, hashOf, type Section } from '@/core/book'
import { type Graph, type PrintChain, type PrintInputs, printChain } from '@/core/chain'
import { lampOverTide, rows } from '@/core/cover'
import { profileOf, shippedProfiles } from '@/core/outlets'
import { type InteriorStyle, Setter, styleById, withChanges } from '@/core/pages'
import type { OutletProfile } from '@/core/trade'
import { tellAndHear } from './telling'
import { shelf } from './fontShelf'

/** A change of a book as the page sends it: its record, the order of its sections, those sections and pictures that are new. */
export interface BookUpdate {
  head: Omit<Book, 'sections'>
  order: string[]
  sections: Section[]
  pictures: Map<string, Uint8Array>
}

/** A book open at the press. `text` is what pages and covers depend on: it stays the same object while only prices or words change. */
export interface OpenedBook {
  book: Book
  text: Book
  pictures: Map<string, Uint8Array>
  images: Map<string, ImageBitmap>
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

/** Opens a book, or brings it up to date: what did not change keeps its identity, so that nothing follows from it anew. */
export async function openBook(update: BookUpdate): Promise<void> {
  const { head } = update
  const old = opened.get(head.id)
  const sections = new Map(old?.book.sections.map(s => [s.id, s]))
  for (const s of update.sections) sections.set(s.id, s)
  const book: Book = { ...head, sections: update.order.map(id => sections.get(id)).filter(s => s !== undefined) }
  const text = old && sameText(old.text, book) ? old.text : { ...book, editions: [] }
  const b: OpenedBook = { book, text, pictures: old?.pictures ?? new Map(), images: old?.images ?? new Map(), chains: old?.chains ?? new Map(), trials: old?.trials ?? new Map() }
  for (const [id, bytes] of update.pictures) b.pictures.set(id, bytes)
  shelf.addFamilies(book.fonts ?? [], b.pictures)
  for (const a of book.assets) {
    const bytes = b.pictures.get(a.id)
    if (bytes && !b.images.has(a.id)) b.images.set(a.id, await decoded(a, bytes))
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
    for (const k of Object.keys(inputs) as (keyof PrintInputs)[]) await renew(chain, k, inputs[k])
  }
}

export const closeBook = (id: string): void => void opened.delete(id)

const decoded = (a: Asset, bytes: Uint8Array): Promise<ImageBitmap> => createImageBitmap(new Blob([Uint8Array.from(bytes)], { type: a.type }))

/** Whether everything that pages and cover read is what it was. */
function sameText(a: Book, b: Book): boolean {
  const same = (x: unknown, y: unknown): boolean => x === y || JSON.stringify(x) === JSON.stringify(y)
  return a.sections.length === b.sections.length && a.sections.every((s, i) => s === b.sections[i]) && same(a.data, b.data) && same(a.assets, b.assets) && same(a.fonts, b.fonts) && same(a.plan, b.plan)
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
    for (const k of Object.keys(inputs) as (keyof PrintInputs)[]) if (k !== 'style') old.chain.set(k, inputs[k] as never)
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
  if (!chain) b.chains.set(key, (chain = printChain(inputsOf(b, e, at), setter, shelf, tellAndHear)))
  return chain
}

/** Sets an input only where it says something else: small records come anew each time, and identity is what the chain goes by. */
async function renew<K extends keyof PrintInputs>(chain: Graph<PrintChain>, name: K, value: PrintInputs[K]): Promise<void> {
  const old = (await chain.get(name)) as PrintInputs[K]
  if (old === value || (name !== 'book' && JSON.stringify(old) === JSON.stringify(value))) return
  chain.set(name, value as PrintChain[K])
}

export const styleOf = (book: Pick<Book, 'styles'>, e: Edition): InteriorStyle => withChanges(styleById(e.style, book.styles), e.styleChanges)

/** The design that a book has, or begins with. */
export const designOf = (book: Book) => book.cover ?? (book.plan ? rows : lampOverTide)

export function inputsOf(b: Pick<OpenedBook, 'book' | 'text'>, e: Edition, outletId: string): PrintInputs {
  return {
    book: b.text, profile: outlet(outletId), others: e.outlets.filter(o => o !== outletId).map(outlet), style: styleOf(b.book, e), isbn: e.isbn, price: e.price, design: designOf(b.book), coverPages: e.coverPages, exceptions: e.exceptions,
    spec: { binding: e.kind === 'ebook' ? 'paperback' : e.kind, trim: e.trim ?? '6x9in', paper: e.paper ?? 'cream', ink: e.ink ?? 'black' },
  }
}

const keys = new WeakMap<object, string>()
/** SHA-256 of an object's JSON, remembered by its identity. */
export function keyOf(o: object): string {
  let k = keys.get(o)
  if (!k) keys.set(o, (k = hashOf(new TextEncoder().encode(JSON.stringify(o)))))
  return k
}
