import { authorLine } from './authorLine'
import type { Book } from './book'
import type { MarkJson, ParagraphJson } from './doc'
import type { StandingMatter } from './matter'
import { filled, printedWords } from './printedWords'
import { shopsOf } from './shops'

/** The id under which a section follows the author's other books. */
export const ALSO_BY = 'also-by'

/** Of a book, what a list of an author's books needs. */
type Listed = Pick<Book, 'id' | 'data' | 'editions' | 'listings'>

const line = (text: string, ...marks: MarkJson[]): ParagraphJson => ({
  type: 'paragraph',
  attrs: { id: '', align: 'center' },
  content: [{ type: 'text', text, marks }],
})

/** Books in the order of their series; those without a number behind, by title. */
const inOrder = (a: Pick<Listed, 'data'>, b: Pick<Listed, 'data'>): number =>
  (a.data.series?.number ?? Infinity) - (b.data.series?.number ?? Infinity) || (a.data.title < b.data.title ? -1 : 1)

/**
 * What a book says of its author's other books, as standing matter that is kept by nobody: it follows from the books there are. The
 * book's own series stands first, then others by name, then books without one; each knows where it stands at outlets. Undefined where this is the author's only book.
 */
export function alsoBy(book: Pick<Book, 'id' | 'data'>, books: readonly Listed[]): StandingMatter | undefined {
  const author = authorLine(book.data)
  const others = books.filter(b => b.id !== book.id && b.data.title && authorLine(b.data) === author)
  if (!author || !others.length) return undefined
  const seriesOf = (b: Pick<Listed, 'data'>): string => b.data.series?.name ?? ''
  const own = seriesOf(book)
  const rank = (name: string): number => (name === '' ? 2 : name === own ? 0 : 1)
  const groups = [...new Set(others.map(seriesOf))].sort((a, b) => rank(a) - rank(b) || (a < b ? -1 : 1))
  const words = printedWords(book.data.language)
  return {
    id: ALSO_BY,
    name: 'Also by',
    role: 'also-by',
    title: words.alsoBy ? filled(words.alsoBy, { author }) : words.sections['also-by']!,
    doc: {
      type: 'doc',
      content: groups.flatMap(name => [
        ...(name ? [line(name, { type: 'small_caps' })] : []),
        ...others
          .filter(b => seriesOf(b) === name)
          .sort(inOrder)
          .map(b => {
            const at = shopsOf(b)
            return line(b.data.title, ...(at ? [{ type: 'shops' as const, attrs: { at } }] : []), { type: 'em' })
          }),
      ]),
    },
    assets: [],
  }
}
