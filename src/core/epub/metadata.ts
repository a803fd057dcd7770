import { type Book, type Contributor, type RecordingSort, sortNameOf, sortOf, type TitleData } from '../book'
import { dc, named, property, type Statement } from '../publication'
import { accessGaps } from './access'
import type { Draft } from './draft'
import type { EpubOptions } from './options'

/** What the package says of the book, its pages, and how it can be read. */
export const metadataOf = (book: Book, draft: Draft, options: EpubOptions): Statement[] => [
  dc('identifier', draft.identifier, { id: 'uid' }),
  ...about(book.data, options.date),
  ...pagination(draft, options),
  ...(options.fixed ? fixedLayout(draft) : access(book, draft)),
  // Older devices find the cover so.
  ...(draft.items.some(f => f.id === 'cover-image') ? [named('cover', 'cover-image')] : []),
]

/** The book's data. */
function about(data: TitleData, date: string): Statement[] {
  const m = [dc('title', data.title || 'Untitled', { id: 'title' }), property('title-type', 'main', 'title')]
  if (data.subtitle)
    m.push(dc('title', data.subtitle, { id: 'subtitle' }), property('title-type', 'subtitle', 'subtitle'))
  data.contributors.forEach((c, i) => m.push(...contributor(c, `c${i}`)))
  m.push(dc('language', data.language))
  if (data.imprint.name) m.push(dc('publisher', data.imprint.name))
  if (data.description) m.push(dc('description', data.description))
  if (data.rights) m.push(dc('rights', data.rights))
  for (const s of data.subjects) m.push(dc('subject', s))
  m.push(dc('date', date.slice(0, 10)), property('dcterms:modified', date))
  if (data.series) {
    m.push(
      property('belongs-to-collection', data.series.name, undefined, { id: 'series' }),
      property('collection-type', 'series', 'series'),
    )
    if (data.series.number) m.push(property('group-position', String(data.series.number), 'series'))
  }
  return m
}

function contributor(of: Contributor, id: string): Statement[] {
  const { name, role } = of
  const sorts = sortNameOf(of)
  return [
    dc(role === 'aut' ? 'creator' : 'contributor', name, { id }),
    property('role', role, id, { scheme: 'marc:relators' }),
    ...(sorts ? [property('file-as', sorts, id)] : []),
  ]
}

/** Whose pages are listed (EPUB 3.3, page-list; the property that EPUB Accessibility 1.1 also takes). */
const pagination = ({ pages }: Draft, { printed }: EpubOptions): Statement[] =>
  pages.length && printed
    ? [dc('source', printed, { id: 'printed' }), property('source-of', 'pagination', 'printed')]
    : []

/** Pages as they are (EPUB 3.3, 8.2.2), side by side where a screen is wide; and how such a book can be read. It claims to conform to nothing: letters cannot be made larger by themselves. */
const fixedLayout = ({ assets }: Draft): Statement[] => [
  property('rendition:layout', 'pre-paginated'),
  property('rendition:orientation', 'auto'),
  property('rendition:spread', 'landscape'),
  property('schema:accessMode', 'visual'),
  property('schema:accessMode', 'textual'),
  property('schema:accessModeSufficient', 'visual,textual'),
  ...['tableOfContents', 'readingOrder', 'printPageNumbers'].map(f => property('schema:accessibilityFeature', f)),
  property('schema:accessibilityHazard', [...assets.values()].some(a => a.type === 'image/gif') ? 'unknown' : 'none'),
  property(
    'schema:accessibilitySummary',
    'Pages are fixed as they are printed. Their words can be selected and read aloud; drawings can only be seen.',
    undefined,
    { 'xml:lang': 'en' },
  ),
]

/** What WCAG's criteria come to where nothing is wanting, as EPUB Accessibility 1.1 wants it said. */
const CONFORMS = 'EPUB Accessibility 1.1 - WCAG 2.2 Level AA'

/** How it can be read. It says that it conforms only where none of our rules finds anything. */
function access(book: Book, draft: Draft): Statement[] {
  const { assets, pages } = draft
  const gaps = accessGaps(book, draft)
  const described = !gaps.some(g => g.kind === 'picture not described' || g.kind === 'recording not in words')
  const recordings = [...draft.recordings.values()]
  const plays = (sort: RecordingSort): boolean => recordings.some(r => sortOf(r) === sort)
  const feature = (value: string): Statement => property('schema:accessibilityFeature', value)
  const m = [property('schema:accessMode', 'textual')]
  if (assets.size || plays('film')) m.push(property('schema:accessMode', 'visual'))
  if (recordings.some(r => !r.silent)) m.push(property('schema:accessMode', 'auditory'))
  if (described) m.push(property('schema:accessModeSufficient', 'textual'))
  m.push(...['tableOfContents', 'readingOrder', 'structuralNavigation', 'displayTransformability'].map(feature))
  if (assets.size && described) m.push(feature('alternativeText'))
  if (pages.length) m.push(feature('printPageNumbers'))
  if (recordings.length && !gaps.some(g => g.kind === 'recording not in words')) m.push(feature('transcript'))
  if (draft.items.some(i => i.type === 'text/vtt')) m.push(feature('captions'))
  // A picture that moves may flash, and nobody has looked.
  const moves = plays('film') || [...assets.values()].some(a => a.type === 'image/gif')
  m.push(
    property('schema:accessibilityHazard', moves ? 'unknown' : 'none'),
    property(
      'schema:accessibilitySummary',
      described
        ? `All text can be read by any means; pictures, if any, are described${recordings.length ? ', and recordings are put in words' : ''}.`
        : `All text can be read by any means; some pictures ${recordings.length ? 'or recordings ' : ''}are not described.`,
      undefined,
      { 'xml:lang': 'en' },
    ),
  )
  const { imprint, contributors } = book.data
  const by = imprint.name || contributors[0]?.name
  if (!gaps.length && by) m.push(property('dcterms:conformsTo', CONFORMS), property('a11y:certifiedBy', by))
  return m
}
