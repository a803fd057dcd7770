import { type Book, replacedAt, type Section } from '@/core/book'
import type { Doubt } from './doubt'

/** Other words where a doubt stands. */
export interface Remedied {
  doubt: Doubt
  words: string
}

/** The book with other words where doubts stand; those whose place says something else by now are passed over. Gives how many were changed. */
export function withRemedies(book: Book, changes: readonly Remedied[]): { book: Book; changed: number } {
  let changed = 0
  const sections = book.sections.map((section): Section => {
    const here = changes.filter(c => c.doubt.section === section.id)
    if (!here.length || section.made) return section
    const titled = inTitle(
      section,
      here.filter(c => c.doubt.line < 0),
    )
    const written = inText(
      titled.section,
      here.filter(c => c.doubt.line >= 0),
    )
    changed += titled.count + written.count
    return written.section
  })
  return changed ? { book: { ...book, sections }, changed } : { book, changed }
}

interface Changed {
  section: Section
  count: number
}

function inTitle(section: Section, changes: readonly Remedied[]): Changed {
  let { title = '' } = section
  let count = 0
  // From the end on, so that what stands before keeps its place.
  for (const { doubt, words } of [...changes].sort((a, b) => b.doubt.from - a.doubt.from)) {
    if (title.slice(doubt.from, doubt.to) !== doubt.was) continue
    title = title.slice(0, doubt.from) + words + title.slice(doubt.to)
    count++
  }
  return { section: count ? { ...section, title } : section, count }
}

function inText(section: Section, changes: readonly Remedied[]): Changed {
  const { doc, count } = replacedAt(section.doc, (text, line) =>
    changes
      .filter(({ doubt: d }) => d.line === line && text.slice(d.from, d.to) === d.was)
      .map(({ doubt: { from, to }, words }) => ({ from, to, words })),
  )
  return { section: count ? { ...section, doc } : section, count }
}
