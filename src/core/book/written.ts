import type { Book, Section } from './book'
import { addSection, newSection } from './ops'
import { Ids } from './identity'
import type { Role } from './roles'

/** A book with a section of plain paragraphs in its place. */
export function withWritten(book: Book, role: Role, title: string, paragraphs: readonly string[]): Book {
  const section = newSection(book, role, title)
  const [first] = section.doc.content
  const ids = new Ids(Number(/\d+$/.exec(String(first!.attrs.id))![0]))
  const content = paragraphs.map((text, i) => ({
    type: 'paragraph' as const,
    attrs: { id: i ? ids.block() : String(first!.attrs.id), align: null },
    content: [{ type: 'text' as const, text }],
  }))
  return addSection(book, { ...section, doc: { type: 'doc', content } } as Section)
}
