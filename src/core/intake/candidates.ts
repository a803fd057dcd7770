import type { BlockJson, Book, DocJson, Role, Section } from '../book'
import { docText, retargeted, roles } from '../book'

/** A paragraph that may begin a section and was not taken for one, with why it might. */
export interface Candidate {
  /** Id of its block. */
  block: string
  title: string
  role: Role
  numbered: boolean
  /** Its level as a heading, where the file marks it as one; 1 is the highest. */
  level?: number
  /** Plain sentences, most weighty first. */
  evidence: string[]
}

/** Id of the section that a candidate begins when it is taken: the same whatever else is taken. */
export const sectionOfCandidate = ({ block }: Candidate): string => `t${block}`

/** The book with a section beginning at a candidate; as it is where that stands nowhere in it. Its words become the title, where it has words alone. */
export function takeCandidate(book: Book, candidate: Candidate): Book {
  const at = book.sections.findIndex(s => s.doc.content.some(b => b.attrs.id === candidate.block))
  const host = book.sections[at]
  if (!host) return book
  const { content } = host.doc
  const from = content.findIndex(b => b.attrs.id === candidate.block)
  const head = content[from]!
  const isWords = 'content' in head && head.content?.every(n => n.type === 'text' || n.type === 'hard_break')
  // It stands where it stands: among chapters it is one, among front or back pages it is as they are.
  const fits = roles[candidate.role].part === host.part
  const role = fits ? candidate.role : host.part === 'body' ? 'chapter' : host.role
  const numbered = candidate.numbered && !!roles[role].numbered
  const section: Section = {
    id: sectionOfCandidate(candidate),
    part: host.part,
    role,
    // A number that the book does not make stays in the title.
    title: !isWords ? '' : numbered || !candidate.numbered ? candidate.title : wordsOf(head),
    numbered,
    made: false,
    evidence: candidate.evidence,
    doc: docOf(raised(content.slice(isWords ? from + 1 : from), head), `${candidate.block}e`),
  }
  const before: Section = { ...host, doc: docOf(content.slice(0, from), `${candidate.block}b`) }
  // A section that has nothing left in it and no name was its beginning alone.
  const keeps = before.title || before.numbered || docText(before.doc).trim() || before.doc.content.length > 1
  const sections = [...book.sections.slice(0, at), ...(keeps ? [before] : []), section, ...book.sections.slice(at + 1)]
  // What led to the line leads to the section that it names.
  return { ...book, sections: retargeted(sections, to => (isWords && to === candidate.block ? section.id : undefined)) }
}

/** What stands under a heading that is one no more: headings below it are as much higher as it was. */
const raised = (content: readonly BlockJson[], head: BlockJson): BlockJson[] => {
  if (head.type !== 'heading') return [...content]
  return content.map(b =>
    b.type === 'heading' ? { ...b, attrs: { ...b.attrs, level: Math.max(1, b.attrs.level - head.attrs.level) } } : b,
  )
}

const wordsOf = (block: BlockJson): string =>
  docText({ type: 'doc', content: [block] })
    .replace(/\s+/g, ' ')
    .trim()

const docOf = (content: DocJson['content'], id: string): DocJson => ({
  type: 'doc',
  content: content.length ? content : [{ type: 'paragraph', attrs: { id, align: null } }],
})
