import type { Book } from '../book'
import type { DocJson } from '../doc'
import { splitSection } from '../ops'
import type { Role } from '../roles'
import { blocksMadeIn } from './blocks'
import type { Finder } from './finder'
import { type Chosen, hitsIn } from './replace'

/**
 * The book with a section begun at every paragraph or heading in which something was found: its words are the section's title. What
 * stands first in its section begins none: that section has begun there.
 */
export function sectionsBegunAt(
  book: Book,
  find: Finder,
  { role, chosen }: { role: Role; chosen: (section: string) => Chosen },
): { book: Book; count: number } {
  let next = book
  let count = 0
  for (const { id, made, doc } of book.sections) {
    if (made) continue
    const { doc: headed } = blocksMadeIn(doc, find, { as: 'heading', chosen: chosen(id) })
    const begin = headsIn(headed, find, chosen(id))
    if (!begin.length) continue
    next = { ...next, sections: next.sections.map(s => (s.id === id ? { ...s, doc: headed } : s)) }
    // From the last one on, what is split off stands right behind.
    for (const block of begin.reverse()) {
      next = splitSection(next, id, block)
      const at = next.sections.findIndex(s => s.id === id) + 1
      next = { ...next, sections: next.sections.map((s, i) => (i === at ? { ...s, role } : s)) }
      count++
    }
  }
  return { book: next, count }
}

/** Headings of a document in which something was found, but for one that stands first. */
function headsIn(doc: DocJson, find: Finder, chosen: Chosen): string[] {
  const heads = new Set(
    hitsIn(doc, find).flatMap(h => (h.in.kind === 'heading' && chosen(h.line, h) ? [h.in.block] : [])),
  )
  return doc.content.flatMap((b, i) => (i > 0 && b.type === 'heading' && heads.has(b.attrs.id) ? [b.attrs.id] : []))
}
