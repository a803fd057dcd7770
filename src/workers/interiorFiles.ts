import { authorLine, labels, roles, shortName } from '@/core/book'
import { BLACK, type PageMarks } from '@/core/marks'
import { type Interior, pagesOfSection, proofPages } from '@/core/pages'
import { Fault, formatTrim } from '@/core/trade'
import { TextStyle } from '@/core/type'
import { bookOf, chainOf, type OpenedBook } from './openBooks'
import { shelf } from './fontShelf'
import { DATE, loadedSubsetter, pdf, pictureSource } from './pdfPorts'
import { tell } from './telling'

/** What an interior may be saved as, beside the package that goes to an outlet. */
export type InteriorFileKind = 'press' | 'X-4' | 'X-1a' | 'proof' | 'mail' | 'tagged'

/** Pixels an inch that pictures keep: what presses ask for, and what a screen needs. */
const PRESS_PPI = 300
const MAIL_PPI = 110

/** Places for the PDF's outline: what the contents list, and the contents and title page themselves. */
export function outlineOf(b: OpenedBook, interior: Interior): { title: string; page: number }[] {
  const names = labels(b.text.sections)
  return b.text.sections.filter(s => interior.starts.has(s.id) && (roles[s.role].listed || s.role === 'contents' || s.role === 'title-page')).map(s => ({ title: shortName(names.get(s.id)!) || b.book.data.title, page: interior.starts.get(s.id)! }))
}

/** The interior of an edition as a PDF of a kind; of one section only, where one is named. */
export async function interiorFile(bookId: string, editionId: string, kind: InteriorFileKind, section?: string): Promise<{ name: string; bytes: Uint8Array }> {
  const b = bookOf(bookId)
  const edition = b.book.editions.find(e => e.id === editionId)!
  const interior = await chainOf(bookId, editionId).get('interior')
  const { data } = b.book
  let pages: PageMarks[] = interior.pages
  let outline: { title: string; page: number }[] | undefined = outlineOf(b, interior)
  let part = ''
  if (section) {
    const range = pagesOfSection(interior, section)
    if (!range) throw new Fault('no-pages', 'This section has no pages of its own.')
    pages = pages.slice(range[0], range[1] + 1)
    outline = undefined
    part = `-page-${pages[0]!.label}`
  }
  if (kind === 'proof') {
    const style = new TextStyle([await shelf.face('figtree/regular')], 7, [], data.language, BLACK)
    const trim = formatTrim(edition.trim ?? '')
    const set = pages
    pages = proofPages(set, p => `Proof, not for press · ${data.title} · ${trim} · page ${p.label}`, style)
  }
  const { pdfBytes, tagSource } = await pdf()
  const bytes = await pdfBytes(pages, {
    title: data.title, author: authorLine(data), language: data.language, date: DATE, grey: edition.ink !== 'colour', ppi: kind === 'mail' ? MAIL_PPI : PRESS_PPI,
    ...(kind === 'X-1a' || kind === 'X-4' ? { preparedFor: kind } : {}), ...(kind === 'tagged' ? { tags: tagSource(b.text.sections) } : {}), ...(outline ? { outline, sectionPages: interior.starts } : {}),
  }, await loadedSubsetter(), pictureSource(b), tell)
  const slug = data.title.toLowerCase().normalize('NFD').replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '') || 'book'
  return { name: `${slug}${part}${{ press: '-interior', 'X-4': '-interior-x4', 'X-1a': '-interior-x1a', proof: '-proof', mail: '-small', tagged: '-tagged' }[kind]}.pdf`, bytes }
}
