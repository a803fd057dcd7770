import { plannedPages } from '../activity'
import { type Book, docWords, type Edition } from '../book'
import type { EbookChain } from './ebookChain'
import type { Graph } from './graph'
import type { PrintChain } from './printChain'

/** What the list of books shows of an edition. Points. */
export interface EditionOutlook {
  id: string
  kind: string
  trim?: string
  pages?: number
  spinePt?: number
  outlets: string[]
  /** Findings that stop, and what the first asks. */
  stops: number
  asks?: string
}

/** What the list of books shows of a book. */
export interface Outlook {
  words: number
  /** Pages of a plan. */
  planned: number
  editions: EditionOutlook[]
}

export const wordsOf = (book: Pick<Book, 'sections'>): number =>
  book.sections.reduce((n, s) => n + (s.made ? 0 : docWords(s.doc)), 0)

/** What follows from a book, in short; `chainOf` gives the chain of an edition at its first outlet. */
export async function outlookOf(
  book: Book,
  chainOf: { print(e: Edition): Graph<PrintChain>; ebook(e: Edition): Graph<EbookChain> },
): Promise<Outlook> {
  const words = wordsOf(book)
  const editions: EditionOutlook[] = []
  for (const e of book.editions) {
    const base = { id: e.id, kind: e.kind, outlets: e.outlets }
    if (e.kind === 'ebook' && !words) {
      editions.push({ ...base, stops: 1, asks: 'Write something first' })
      continue
    }
    const findings = await (e.kind === 'ebook' ? chainOf.ebook(e).get('findings') : chainOf.print(e).get('findings'))
    const stops = findings.filter(f => f.severity === 'stop')
    const first = e.kind === 'ebook' ? stops[0] : findings.find(f => f.severity !== 'remark')
    editions.push({
      ...base,
      stops: stops.length,
      ...(first ? { asks: first.message } : {}),
      ...(e.kind === 'ebook'
        ? {}
        : { trim: e.trim, pages: await chainOf.print(e).get('pages'), spinePt: await chainOf.print(e).get('spine') }),
    })
  }
  return { words, planned: book.plan ? plannedPages(book.plan) : 0, editions }
}
