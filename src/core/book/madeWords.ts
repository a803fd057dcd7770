import { formatIsbn } from '../trade'
import { authorLine } from './authorLine'
import type { Book, Section } from './book'
import { contentsEntries } from './contents'
import type { DocJson, ParagraphJson } from './doc'
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
  const { data } = book
  const lines = ((): { text: string; align: ParagraphJson['attrs']['align'] }[] => {
    const centred = (texts: string[]) => texts.filter(Boolean).map(text => ({ text, align: 'center' as const }))
    switch (section.role) {
      case 'half-title':
        return centred([data.title])
      case 'title-page':
        return centred([
          data.title,
          data.subtitle ?? '',
          seriesLine(book),
          authorLine(data),
          data.imprint.name,
          data.imprint.place ?? '',
        ])
      case 'copyright':
        return copyrightLines(book, isbn).map(text => ({ text, align: null }))
      case 'contents': {
        return contentsEntries(book.sections, data.language).map(e => ({ text: shortName(e), align: null }))
      }
      default:
        return []
    }
  })()
  const paragraphs = lines.map(({ text, align }): ParagraphJson => ({
    type: 'paragraph',
    attrs: { id: '', align },
    content: [{ type: 'text', text }],
  }))
  return {
    type: 'doc',
    content: paragraphs.length ? paragraphs : [{ type: 'paragraph', attrs: { id: '', align: null } }],
  }
}
