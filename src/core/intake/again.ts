import type { BlockJson, Book, InlineJson, Section } from '../book'
import type { Candidate } from './candidates'
import { choose } from './choose'
import { type Proposal, propose } from './headings'
import type { RawBlock } from './raw'

/** What a text that is a book already has in it that may begin sections. */
export interface ReadAgain {
  candidates: Candidate[]
  /** Blocks of those that the reading would take. */
  strong: ReadonlySet<string>
}

/** Reads a book's text again as though it came in now, or one section of it: what was pasted or joined since may hold sections. The book stays as it is. */
export function readAgain(book: Book, only?: string): ReadAgain {
  const candidates: Candidate[] = []
  const strong = new Set<string>()
  for (const s of book.sections) {
    if (s.made || (only !== undefined && s.id !== only)) continue
    const { content } = s.doc
    const blocks = content.map((b, i) => rawOf(b, content[i - 1]))
    const weighed = blocks.flatMap((b, i) => propose(b, i, 0, book.data.language) ?? [])
    const chosen = new Set(choose(blocks, weighed).filter(p => speaksFor(p, s)))
    for (const p of weighed) {
      const block = content[p.index]!.attrs.id
      if (!block) continue
      const { title, role, numbered, evidence, level } = p
      candidates.push({ block, title, role, numbered, evidence, ...(level === undefined ? {} : { level }) })
      if (chosen.has(p)) strong.add(block)
    }
  }
  return { candidates, strong }
}

/** Under a section's own title a heading is a heading, unless its words say that it counts. */
const speaksFor = ({ level, numbered, role }: Proposal, { title, numbered: counted }: Section): boolean =>
  level === undefined || numbered || role !== 'chapter' || (!title && !counted)

/** A block of the book as a file would have said it. */
function rawOf(b: BlockJson, before: BlockJson | undefined): RawBlock {
  if (b.type !== 'paragraph' && b.type !== 'heading') return { type: 'scene' }
  const content = b.content ?? []
  return {
    type: 'para',
    content,
    ...(b.type === 'heading' ? { level: b.attrs.level } : { align: b.attrs.align ?? null }),
    ...(before?.type === 'page_break' ? { newPage: true } : {}),
    ...(allMarked(content, 'strong') ? { bold: true } : {}),
  }
}

const allMarked = (content: readonly InlineJson[], mark: 'strong'): boolean =>
  content.length > 0 && content.every(n => n.type !== 'text' || !n.text.trim() || !!n.marks?.some(m => m.type === mark))
