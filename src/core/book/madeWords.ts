import { formatIsbn } from '../trade'
import { authorLine } from './authorLine'
import type { Book, Section } from './book'
import { contentsEntries } from './contents'
import type { BlockJson, DocJson, ParagraphJson } from './doc'
import { shortName } from './numbering'
import { filled, type PrintedWords, printedWords } from './printedWords'

/** What a copyright page says for this edition; nothing that the book's data does not hold. */
export function copyrightLines({ data }: Pick<Book, 'data'>, isbn: string | undefined): string[] {
  const words = printedWords(data.language)
  const author = authorLine(data)
  const { name: imprint, place, site } = data.imprint
  return [
    data.title + (data.subtitle ? ': ' + data.subtitle : ''),
    data.rights || (author ? `Copyright © ${data.year ? data.year + ' ' : ''}${author}` : ''),
    data.rights ? '' : words.rights,
    ...data.contributors.filter(c => c.role !== 'aut').map(c => filled(asWords(words, c.role), { name: c.name })),
    imprint ? filled(place ? words.publishedAt : words.published, { imprint, place: place ?? '' }) : '',
    site ?? '',
    isbn ? `ISBN ${formatIsbn(isbn)}` : '',
  ].filter(Boolean)
}

const asWords = (words: PrintedWords, role: string): string =>
  Object.hasOwn(words.as, role) ? words.as[role as keyof PrintedWords['as']] : words.as.ctb

/** The series as a title page has it. */
export function seriesLine({ data }: Pick<Book, 'data'>): string {
  const { series } = data
  if (!series) return ''
  return series.number
    ? filled(printedWords(data.language).inSeries, { series: series.name, n: series.number })
    : series.name
}

/** The words of a page that is made from the book's data, as a text to go on from: what an author begins with who takes it over. */
export function madeDoc(book: Book, section: Section, isbn: string | undefined): DocJson {
  const content = madeBlocks(book, section, isbn)
  return { type: 'doc', content: content.length ? content : [paragraph('', null)] }
}

function madeBlocks(book: Book, section: Section, isbn: string | undefined): BlockJson[] {
  const { data } = book
  const centred = (...texts: (string | undefined)[]): BlockJson[] =>
    texts.flatMap(t => (t ? [paragraph(t, 'center')] : []))
  switch (section.role) {
    case 'half-title':
      return centred(data.title)
    case 'title-page':
      return [
        ...centred(data.title, data.subtitle, seriesLine(book), authorLine(data)),
        ...(data.imprint.logo ? [logoBlock(data.imprint.logo, data.imprint.name)] : []),
        ...centred(data.imprint.name, data.imprint.place),
      ]
    case 'copyright':
      return copyrightLines(book, isbn).map(text => paragraph(text, null))
    case 'contents':
      return contentsEntries(book.sections, data.language).map(e => paragraph(shortName(e), null))
    default:
      return []
  }
}

const paragraph = (text: string, align: ParagraphJson['attrs']['align']): ParagraphJson => ({
  type: 'paragraph',
  attrs: { id: '', align },
  ...(text ? { content: [{ type: 'text', text }] } : {}),
})

/** Part of the measure that a logo takes in a title page that is written by hand. */
const LOGO_SHARE = 0.12

const logoBlock = (asset: string, imprint: string): BlockJson => ({
  type: 'image',
  attrs: { id: '', asset, alt: imprint, decoration: !imprint, share: LOGO_SHARE },
})
