import type { Book, Section } from './book'
import { type BlockJson, blockIds, type DocJson, emptyDoc, type InlineJson, inlineText, type ParagraphJson } from './doc'
import { frontOrder, type Part, type Role, roles } from './roles'

/**
 * Pure operations on a book's sections. Each returns a new book and shares everything it did not touch; each keeps every
 * word. Positions are indexes into `book.sections`; sections always stand front, body, back.
 */

const rank: Record<Part, number> = { front: 0, body: 1, back: 2 }

const withSections = (book: Book, sections: Section[]): Book => ({ ...book, sections })

/** An id that no section of the book has yet, derived from the ones there are. */
export function freshSectionId(book: Book): string {
  let n = 0
  for (const s of book.sections) n = Math.max(n, Number(/^s(\d+)$/.exec(s.id)?.[1] ?? 0))
  return `s${n + 1}`
}

/** An id that no block of the document has yet. */
export function freshBlockId(doc: DocJson): string {
  let n = 0
  for (const id of blockIds(doc)) n = Math.max(n, Number(/^b(\d+)$/.exec(id)?.[1] ?? 0))
  return `b${n + 1}`
}

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
  return withSections(book, inParts(sections))
}

/** A new, empty section of a role. */
export function newSection(book: Book, role: Role, title = ''): Section {
  const facts = roles[role]
  return { id: freshSectionId(book), part: facts.part, role, title, numbered: !!facts.numbered, made: !!facts.made, doc: emptyDoc() }
}

export const removeSection = (book: Book, id: string): Book => withSections(book, book.sections.filter(s => s.id !== id))

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
  sections.splice(at, 0, part === moved!.part ? moved! : { ...moved!, part, role: plainRole[part], numbered: false, made: false })
  return withSections(book, sections)
}

const plainRole: Record<Part, Role> = { front: 'preface', body: 'interlude', back: 'afterword' }

/** Gives a section another role; it goes where that role's part stands. */
export function setRole(book: Book, id: string, role: Role): Book {
  const facts = roles[role]
  return withSections(book, inParts(book.sections.map(s => (s.id === id ? { ...s, role, part: facts.part, numbered: !!facts.numbered, made: !!facts.made && s.made } : s))))
}

/** Stable: sections keep their order within their part. */
const inParts = (sections: Section[]): Section[] => sections.map((s, i) => [s, i] as const).sort((a, b) => rank[a[0].part] - rank[b[0].part] || a[1] - b[1]).map(x => x[0])

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
  if (first.type === 'heading' && plainInline(first.content)) {
    title = inlineText(first.content)
    tail = tail.slice(1)
  }
  const shortened = { ...s, doc: docOf(head) }
  const second: Section = { ...s, id: freshSectionId(book), title, doc: docOf(tail), evidence: undefined }
  delete second.subtitle
  delete second.evidence
  return withSections(book, [...book.sections.slice(0, at), shortened, second, ...book.sections.slice(at + 1)])
}

// A title is plain text: notes and breaks in a heading keep it a heading.
const plainInline = (content: InlineJson[] | undefined): boolean => (content ?? []).every(n => n.type === 'text')

/** Joins a section to the one before it. Its title stays, as a heading at the seam. Made sections have no text of their own and are not joined. */
export function joinSections(book: Book, id: string): Book {
  const at = book.sections.findIndex(s => s.id === id)
  const second = book.sections[at]
  const first = book.sections[at - 1]
  if (!first || !second || first.part !== second.part || first.made || second.made) return book
  const seam: BlockJson[] = []
  let doc: DocJson = { type: 'doc', content: isEmpty(first.doc) ? [] : [...first.doc.content] }
  const title = [second.title, second.subtitle].filter(Boolean).join(': ')
  if (title) seam.push({ type: 'heading', attrs: { id: freshBlockId(doc), level: 1 }, content: [{ type: 'text', text: title }] })
  doc = docOf([...doc.content, ...seam])
  const moved = isEmpty(second.doc) ? [] : renumbered(second.doc.content, doc)
  return withSections(book, [...book.sections.slice(0, at - 1), { ...first, doc: docOf([...doc.content.filter(b => !isBlankParagraph(b) || doc.content.length === 1), ...moved]) }, ...book.sections.slice(at + 1)])
}

const isBlankParagraph = (b: BlockJson): boolean => b.type === 'paragraph' && !b.content?.length
const isEmpty = (doc: DocJson): boolean => doc.content.every(isBlankParagraph)
const docOf = (content: BlockJson[]): DocJson => (content.length ? { type: 'doc', content } : emptyDoc())

/** The blocks with ids that do not meet those of `into`. */
function renumbered(blocks: BlockJson[], into: DocJson): BlockJson[] {
  const taken = new Set(blockIds(into))
  let n = 0
  for (const id of [...taken, ...blockIds(docOf(blocks))]) n = Math.max(n, Number(/^b(\d+)$/.exec(id)?.[1] ?? 0))
  const walk = <T>(node: T): T => {
    const x = node as { attrs?: { id?: string }; content?: unknown[] }
    const out: typeof x = { ...x }
    if (x.attrs && 'id' in x.attrs && taken.has(x.attrs.id!)) out.attrs = { ...x.attrs, id: `b${++n}` }
    if (x.content) out.content = x.content.map(walk)
    return out as T
  }
  return blocks.map(walk)
}

/** All words of a book's sections as one text: titles, then running text with notes. For counts and for tests. */
export function bookText(book: Book): string {
  return book.sections.map(s => [s.title, s.subtitle, s.made ? '' : sectionText(s)].filter(Boolean).join('\n')).join('\n')
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
