import type { Book, Section } from './book'
import type { DocJson } from './doc'

/**
 * Identity. Sections, blocks and notes carry ids that are unique in the book and never given twice: a letter that says what
 * was named first (s, b, n) and a number. `Book.lastId` is the highest number ever given; it only grows, whatever is removed
 * or undone. A place is {section, block, offset}, and versions, merges, notes and page lists rest on it.
 */
export class Ids {
  /** `last`: the highest number ever given in the book. */
  constructor(public last: number) {}
  private next = (kind: string): string => `${kind}${++this.last}`
  section = (): string => this.next('s')
  block = (): string => this.next('b')
  note = (): string => this.next('n')
}

/** The number of an id; 0 for one that was not given by a counter. Longer numbers than a counter ever reaches are none. */
export const idNumber = (id: string): number => Number(/^[a-z](\d{1,15})$/.exec(id)?.[1] ?? 0)

type AnyNode = { type: string; attrs?: { id?: string }; content?: AnyNode[] }

/** Calls `visit` with every node of a document that carries an id, in reading order. */
export function eachNamed(doc: DocJson, visit: (id: string, type: string) => void): void {
  const walk = (n: AnyNode): void => {
    if (n.attrs && 'id' in n.attrs) visit(n.attrs.id ?? '', n.type)
    n.content?.forEach(walk)
  }
  for (const b of doc.content) walk(b as AnyNode)
}

const highest = new WeakMap<DocJson, number>()
/** The highest number among the ids of a document. Remembered by the document's identity. */
function highestIn(doc: DocJson): number {
  let n = highest.get(doc)
  if (n === undefined) {
    n = 0
    eachNamed(doc, id => {
      n = Math.max(n!, idNumber(id))
    })
    highest.set(doc, n)
  }
  return n
}

/** The highest number among the ids of sections and what stands in them. */
export const highestId = (sections: Pick<Section, 'id' | 'doc'>[]): number =>
  sections.reduce((n, s) => Math.max(n, idNumber(s.id), highestIn(s.doc)), 0)

/** The document with another id wherever `rename` gives one; the very same where it gives none. */
export function renameIds(doc: DocJson, rename: (id: string, type: string) => string | undefined): DocJson {
  const walk = (n: AnyNode): AnyNode => {
    const fresh = n.attrs && 'id' in n.attrs ? rename(n.attrs.id ?? '', n.type) : undefined
    const content = n.content?.map(walk)
    const same = !content || content.every((c, i) => c === n.content![i])
    if (fresh === undefined && same) return n
    return { ...n, ...(fresh === undefined ? {} : { attrs: { ...n.attrs, id: fresh } }), ...(same ? {} : { content }) }
  }
  return walk(doc as AnyNode) as DocJson
}

/**
 * The book with every id its own, and a counter above all of them. Where two bear one id, the first keeps it; text comes
 * before pages that are made from the book's data. A sound book comes back the very same.
 */
export function withOwnIds<B extends Pick<Book, 'sections'> & { lastId?: number }>(book: B): B & { lastId: number } {
  const ids = new Ids(Math.max(book.lastId ?? 0, highestId(book.sections)))
  const start = ids.last
  const taken = new Set<string>()
  const named = new Map<Section, Section>()
  // Sections first: places are named by them.
  const own = (id: string, fresh: () => string): string | undefined => {
    if (id && !taken.has(id)) {
      taken.add(id)
      return undefined
    }
    const next = fresh()
    taken.add(next)
    return next
  }
  const sectionIds = new Map(book.sections.map(s => [s, own(s.id, ids.section)]))
  for (const s of [...book.sections.filter(x => !x.made), ...book.sections.filter(x => x.made)]) {
    const doc = renameIds(s.doc, (id, type) => own(id, type === 'footnote' ? ids.note : ids.block))
    const id = sectionIds.get(s)
    named.set(s, doc === s.doc && id === undefined ? s : { ...s, doc, ...(id === undefined ? {} : { id }) })
  }
  const sections = book.sections.map(s => named.get(s)!)
  if (book.lastId === ids.last && ids.last === start && sections.every((s, i) => s === book.sections[i]))
    return book as B & { lastId: number }
  return { ...book, sections, lastId: ids.last }
}
