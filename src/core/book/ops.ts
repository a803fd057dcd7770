import { madeDoc } from './madeWords'
import type { Book, Section } from './book'
import {
  type BlockJson,
  type DocJson,
  docWords,
  emptyDoc,
  type InlineJson,
  inlineText,
  type ParagraphJson,
} from './doc'
import { highestId, Ids, renameIds, withOwnIds } from './identity'
import { retargeted } from './innerLinks'
import { frontOrder, type Part, type Role, roles } from './roles'

/**
 * Pure operations on a book's sections. Each returns a new book and shares everything it did not touch; each keeps every
 * word. Positions are indexes into `book.sections`; sections always stand front, body, back.
 */

const rank: Record<Part, number> = { front: 0, body: 1, back: 2 }

const withSections = (book: Book, sections: Section[], ids?: Ids): Book => ({
  ...book,
  sections,
  ...(ids ? { lastId: ids.last } : {}),
})

/** Puts a section where its part (and, in the front, custom) wants it, or directly after `after`. */
export function addSection(book: Book, section: Section, after?: string): Book {
  const sections = [...book.sections]
  let at = after ? sections.findIndex(s => s.id === after) + 1 : 0
  if (at === 0) {
    const place = (s: Section) => rank[s.part] * 100 + (s.part === 'front' ? frontOrder.indexOf(s.role) : 50)
    at = sections.findIndex(s => place(s) > place(section))
    if (at < 0) at = sections.length
  }
  sections.splice(at, 0, section)
  return withSections(book, inParts(sections), new Ids(Math.max(book.lastId, highestId([section]))))
}

/** A new, empty section of a role, for `addSection`: its ids are the next ones of the book. */
export function newSection(book: Pick<Book, 'lastId'>, role: Role, title = ''): Section {
  const facts = roles[role]
  const ids = new Ids(book.lastId)
  return {
    id: ids.section(),
    part: facts.part,
    role,
    title,
    numbered: !!facts.numbered,
    made: !!facts.made,
    doc: emptyDoc(ids.block()),
  }
}

export function removeSection(book: Book, id: string): Book {
  const at = book.sections.findIndex(s => s.id === id)
  const before = book.sections[at - 1]
  return withSections(
    runsBehind(book, id, before && before.part !== 'front' ? before.id : undefined),
    book.sections.filter(s => s.id !== id),
  )
}

/** The book with the runs that stood behind one section behind another; without one, behind the front pages. */
function runsBehind(book: Book, was: string, is: string | undefined): Book {
  if (!book.plan?.runs.some(r => r.behind === was)) return book
  const runs = book.plan.runs.map(({ behind, ...r }) => ({
    ...r,
    ...(behind === was ? (is === undefined ? {} : { behind: is }) : behind === undefined ? {} : { behind }),
  }))
  return { ...book, plan: { ...book.plan, runs } }
}

/** Moves a section to an index. Dropped into another part, it takes on that part and the part's plain role. */
export function moveSection(book: Book, id: string, to: number): Book {
  const from = book.sections.findIndex(s => s.id === id)
  if (from < 0) return book
  const sections = [...book.sections]
  const [moved] = sections.splice(from, 1)
  const at = Math.max(0, Math.min(to, sections.length))
  const before = sections[at - 1]?.part ?? 'front'
  const behind = sections[at]?.part ?? 'back'
  const part = rank[moved!.part] < rank[before] ? before : rank[moved!.part] > rank[behind] ? behind : moved!.part
  sections.splice(
    at,
    0,
    part === moved!.part ? moved! : { ...moved!, part, role: plainRole[part], numbered: false, made: false },
  )
  return withSections(book, sections)
}

/** The sections that a part holds: those behind it up to the next part or the end of the body; none where it is no part. */
export function heldBy(sections: readonly Section[], id: string): Section[] {
  const at = sections.findIndex(s => s.id === id)
  if (sections[at]?.role !== 'part') return []
  const behind = sections.slice(at + 1)
  const end = behind.findIndex(s => s.role === 'part' || s.part !== 'body')
  return end < 0 ? behind : behind.slice(0, end)
}

/** Moves several sections, in their order, to where the section `to` stands: behind it where they come from before it, else before it. */
export function moveSections(book: Book, ids: readonly string[], to: string): Book {
  const moving = new Set(ids)
  const order = book.sections.map(s => s.id)
  if (moving.has(to) || !order.includes(to)) return book
  const first = order.findIndex(id => moving.has(id))
  if (first < 0) return book
  const forward = first < order.indexOf(to)
  // What is chosen together stands together afterwards.
  let next = book
  let after = forward ? to : undefined
  for (const id of order.filter(x => moving.has(x))) {
    const rest = next.sections.filter(s => s.id !== id)
    const at = rest.findIndex(s => s.id === (after ?? to)) + (after === undefined ? 0 : 1)
    next = moveSection(next, id, at)
    after = id
  }
  return next
}

/** The same sections once more, each behind itself: every id in them is a new one, links inside them lead to the new. */
export function duplicateSections(book: Book, ids: readonly string[]): Book {
  const fresh = new Ids(book.lastId)
  const again = new Set(ids)
  const sections = book.sections.flatMap(s => {
    if (!again.has(s.id)) return [s]
    const names = new Map<string, string>([[s.id, fresh.section()]])
    const doc = renameIds(s.doc, (id, type) => {
      const own = type === 'footnote' ? fresh.note() : fresh.block()
      if (id) names.set(id, own)
      return own
    })
    const [copy] = retargeted([{ ...s, id: names.get(s.id)!, doc }], to => names.get(to))
    return [s, copy!]
  })
  return withSections(book, sections, fresh)
}

/** The book in which a stretch of sections is counted, or is not; only sections whose like are. */
export const withNumbers = (book: Book, ids: readonly string[], numbered: boolean): Book => ({
  ...book,
  sections: book.sections.map(s =>
    ids.includes(s.id) && roles[s.role].numbered && s.numbered !== numbered ? { ...s, numbered } : s,
  ),
})

const plainRole: Record<Part, Role> = { front: 'preface', body: 'interlude', back: 'afterword' }

/** Gives a section another role; it goes where that role's part stands. */
export function setRole(book: Book, id: string, role: Role): Book {
  const facts = roles[role]
  return withSections(
    book,
    inParts(
      book.sections.map(s =>
        s.id === id ? { ...s, role, part: facts.part, numbered: !!facts.numbered, made: !!facts.made && s.made } : s,
      ),
    ),
  )
}

/** Sections front, body, back; they keep their order within their part. The very list where they stand so. */
export const inParts = (sections: Section[]): Section[] =>
  sections.every((s, i) => !i || rank[sections[i - 1]!.part] <= rank[s.part])
    ? sections
    : sections
        .map((s, i) => [s, i] as const)
        .sort((a, b) => rank[a[0].part] - rank[b[0].part] || a[1] - b[1])
        .map(x => x[0])

/**
 * Splits a section before a block. The second half becomes a section of the same role; where the block is a heading,
 * its text becomes the new title and the heading goes (its words live on in the title).
 */
export function splitSection(book: Book, id: string, blockId: string): Book {
  const at = book.sections.findIndex(s => s.id === id)
  const s = book.sections[at]
  if (!s) return book
  const cut = s.doc.content.findIndex(b => b.attrs.id === blockId)
  if (cut < 0 || (cut === 0 && s.doc.content.length === 1)) return book
  const head = s.doc.content.slice(0, cut)
  let tail = s.doc.content.slice(cut)
  let title = ''
  const first = tail[0]!
  let named: string | undefined
  if (first.type === 'heading' && plainInline(first.content)) {
    title = inlineText(first.content)
    named = first.attrs.id
    tail = tail.slice(1)
  }
  const ids = new Ids(book.lastId)
  const shortened = { ...s, doc: docOf(head, ids) }
  const second: Section = { ...s, id: ids.section(), title, doc: docOf(tail, ids), evidence: undefined }
  delete second.subtitle
  delete second.evidence
  return withSections(
    runsBehind(book, id, second.id),
    // What led to the heading leads to the section that it names.
    retargeted([...book.sections.slice(0, at), shortened, second, ...book.sections.slice(at + 1)], to =>
      to === named ? second.id : undefined,
    ),
    ids,
  )
}

// A title is plain text: notes and breaks in a heading keep it a heading.
const plainInline = (content: InlineJson[] | undefined): boolean => (content ?? []).every(n => n.type === 'text')

/** Joins a section to the one before it. Its title stays, as a heading at the seam. Made sections have no text of their own and are not joined. */
export function joinSections(book: Book, id: string): Book {
  const at = book.sections.findIndex(s => s.id === id)
  const second = book.sections[at]
  const first = book.sections[at - 1]
  if (!first || !second || first.part !== second.part || first.made || second.made) return book
  const ids = new Ids(book.lastId)
  const title = [second.title, second.subtitle].filter(Boolean).join(': ')
  const seam: BlockJson[] = title
    ? [{ type: 'heading', attrs: { id: ids.block(), level: 1 }, content: [{ type: 'text', text: title }] }]
    : []
  // Blocks keep their ids: they are the book's, not the section's.
  const written = [
    ...(isEmpty(first.doc) ? [] : first.doc.content),
    ...seam,
    ...(isEmpty(second.doc) ? [] : second.doc.content),
  ]
  return withSections(
    runsBehind(book, id, first.id),
    // What led to the section leads to where it begins now.
    retargeted(
      [...book.sections.slice(0, at - 1), { ...first, doc: docOf(written, ids) }, ...book.sections.slice(at + 1)],
      to => (to === id ? (seam[0] ?? second.doc.content[0]!).attrs.id : undefined),
    ),
    ids,
  )
}

const isBlankParagraph = (b: BlockJson): boolean => b.type === 'paragraph' && !b.content?.length
const isEmpty = (doc: DocJson): boolean => doc.content.every(isBlankParagraph)
const docOf = (content: BlockJson[], ids: Ids): DocJson =>
  content.length ? { type: 'doc', content } : emptyDoc(ids.block())

/** All words of a book's sections as one text: titles, then running text with notes. For counts and for tests. */
export function bookText(book: Book): string {
  return book.sections
    .map(s => [s.title, s.subtitle, s.made ? '' : sectionText(s)].filter(Boolean).join('\n'))
    .join('\n')
}

const sectionText = (s: Section): string => {
  const lines: string[] = []
  const walk = (n: { type: string; content?: unknown[]; text?: string }) => {
    if (n.type === 'text') lines[lines.length - 1] += n.text ?? ''
    else {
      if (n.type !== 'hard_break') lines.push('')
      else lines[lines.length - 1] += ' '
      for (const c of n.content ?? []) walk(c as ParagraphJson)
    }
  }
  for (const b of s.doc.content) walk(b as ParagraphJson)
  return lines.filter(Boolean).join('\n')
}

/** Takes a page over that is made from the book's data: it begins with the words that it was made of, unless it holds some of its own. */
export const takeOver = (book: Book, id: string, isbn: string | undefined): Book =>
  withOwnIds({
    ...book,
    sections: book.sections.map(s =>
      s.id === id && s.made ? { ...s, made: false, doc: docWords(s.doc) ? s.doc : madeDoc(book, s, isbn) } : s,
    ),
  })
