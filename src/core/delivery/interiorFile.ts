import { authorLine, type Book, slugOf } from '../book'
import { BLACK, type PageMarks } from '../marks'
import { type Interior, linkPages, pagesOfSection, proofPages, whole } from '../pages'
import type { PdfOptions } from '../pdf'
import { Fault, formatTrim, type Ticker } from '../trade'
import { type FontShelf, TextStyle } from '../type'
import { writtenPdf } from './forPress'
import { outlineOf } from './outline'
import type { DeliveryPorts } from './ports'

/** What an interior may be saved as, beside the package that goes to an outlet. */
export type InteriorFileKind = 'press' | 'X-4' | 'X-1a' | 'proof' | 'mail' | 'tagged'

const endings: Record<InteriorFileKind, string> = {
  press: '-interior',
  'X-4': '-interior-x4',
  'X-1a': '-interior-x1a',
  proof: '-proof',
  mail: '-small',
  tagged: '-tagged',
}

/** Pixels an inch that a screen needs. */
const MAIL_PPI = 110

/** A file to be saved. */
export interface NamedFile {
  name: string
  bytes: Uint8Array
}

/** What an interior file is made from. */
export interface InteriorFileParts {
  book: Book
  interior: Interior
  /** Of the edition, by its id. */
  trim: string
  /** Whether it is printed in black alone. */
  grey: boolean
  kind: InteriorFileKind
  /** Only this section of it. */
  section?: string
  /** Pixels an inch that pictures keep at most. */
  ppi?: number
  date: string
}

/** The interior as a PDF of a kind; of one section only, where one is named. Throws a Fault where that has no pages. */
export async function interiorFile(
  { book, interior, trim, grey, kind, section, ppi, date }: InteriorFileParts,
  shelf: FontShelf,
  ports: DeliveryPorts,
  ticker?: Ticker,
): Promise<NamedFile> {
  const { data } = book
  const part = section === undefined ? undefined : pagesOf(interior, section)
  const set = part ?? whole(interior).pages
  const pages = kind === 'proof' ? await proofsOf(set, book, trim, shelf) : set
  const { PRESS_PPI, tagSource } = await import('../pdf')
  const options: PdfOptions = {
    title: data.title,
    author: authorLine(data),
    language: data.language,
    date,
    grey,
    ppi: kind === 'mail' ? MAIL_PPI : (ppi ?? PRESS_PPI),
    ...(kind === 'X-1a' || kind === 'X-4' ? { preparedFor: kind } : {}),
    ...(kind === 'X-1a' && !grey ? { inks: new (await import('../ink')).Separation(await ports.inks()) } : {}),
    ...(kind === 'tagged' ? { tags: tagSource(book.sections) } : {}),
    ...(part ? {} : { outline: outlineOf(book, interior), linkPages: linkPages(interior, book.sections) }),
  }
  const bytes = await writtenPdf(pages, options, ports, ticker)
  return { name: `${slugOf(data.title, 'book')}${part ? `-page-${part[0]!.label}` : ''}${endings[kind]}.pdf`, bytes }
}

function pagesOf(interior: Interior, section: string): PageMarks[] {
  const range = pagesOfSection(interior, section)
  if (!range) throw new Fault('no-pages', 'This section has no pages of its own.')
  return interior.pages.slice(range[0], range[1] + 1)
}

/** Pages with crop marks, and what they are on each. */
async function proofsOf(pages: PageMarks[], { data }: Book, trim: string, shelf: FontShelf): Promise<PageMarks[]> {
  const style = new TextStyle({
    faces: [await shelf.face('figtree/regular')],
    size: 7,
    language: data.language,
    colour: BLACK,
  })
  const size = formatTrim(trim)
  return proofPages(pages, p => `Proof, not for press · ${data.title} · ${size} · page ${p.label}`, style)
}
