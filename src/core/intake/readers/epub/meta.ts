import { type Epub, properties, refined, said, type Statement, titleOf } from '../../../publication'
import { parseIsbn } from '../../../trade'
import type { RawManuscript } from '../../raw'

/** What an EPUB says of the book in it (EPUB 3.3, 5; OPF 2.0). */
export function metaOf(epub: Epub): RawManuscript['meta'] {
  const first = (name: string): string | undefined => words(said(epub, name)[0])
  const subtitle = said(epub, 'title').find(t => refined(epub, t, 'title-type') === 'subtitle')
  const authors = said(epub, 'creator').filter(
    c => (refined(epub, c, 'role') ?? c.attrs['opf:role'] ?? 'aut') === 'aut',
  )
  const collection = epub.metadata.find(s => s.attrs.property === 'belongs-to-collection')
  const number = Number(refined(epub, collection, 'group-position'))
  return {
    title: titleOf(epub),
    subtitle: words(subtitle),
    author: authors.map(words).filter(Boolean).join('; ') || undefined,
    language: first('language'),
    imprint: first('publisher'),
    description: descriptionOf(said(epub, 'description')[0]),
    series: properties(epub, 'belongs-to-collection')[0] || undefined,
    isbn: said(epub, 'identifier')
      .map(i => parseIsbn(i.value.trim().replace(/^urn:isbn:/i, '')))
      .find(Boolean),
    ...(Number.isInteger(number) && number > 0 && number < 1000 ? { seriesNumber: number } : {}),
  }
}

const words = (s: Statement | undefined): string | undefined => s?.value.replace(/\s+/g, ' ').trim() || undefined

/** A description may be markup that was made into text. */
const descriptionOf = (s: Statement | undefined): string | undefined =>
  s?.value
    .replace(/<\/(p|div)>|<br\s*\/?>/gi, '\n')
    .replace(/<[^>]*>/g, '')
    .replace(/[ \t]+/g, ' ')
    .trim() || undefined
