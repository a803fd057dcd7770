import { type Book, type EbookSettings, picturesIn } from '../book'
import type { AccessGap, EpubTrouble } from '../epub'
import type { InteriorStyle, PageStart } from '../pages'
import type { Epub } from '../publication'
import type { EbookRules } from '../trade'
import type { FontShelf } from '../type'
import type { DeliveryPorts, PaintedPage } from './ports'

/** An ebook as it was made: its value, its file, what an inspection of the file found, and what keeps readers out of it. */
export interface MadeEbook {
  epub: Epub
  bytes: Uint8Array
  troubles: EpubTrouble[]
  gaps: AccessGap[]
}

/** What an ebook is made from beside the book. */
export interface EbookParts {
  isbn: string | undefined
  /** ISO 8601, UTC, whole seconds. */
  date: string
  style: InteriorStyle
  settings: EbookSettings | undefined
  front: PaintedPage
  /** What the outlet's rules make of it. */
  rules: Pick<EbookRules, 'coverPage' | 'contentsPage' | 'faces'> | undefined
  /** Where the pages of the print edition begin, and what it is called, if there is one. */
  pages: PageStart[] | undefined
  printed: string | undefined
}

/** Makes the ebook and looks it over. The writer is loaded when it is first wanted. */
export async function makeEbook(
  book: Book,
  { isbn, date, style, settings, front, rules, pages, printed }: EbookParts,
  shelf: FontShelf,
  { pictures, pdf }: DeliveryPorts,
): Promise<MadeEbook> {
  const { accessGaps, buildEpub, carriedFaces, inspectEpub, sheetFaults } = await import('../epub')
  const { zipEpub } = await import('../publication')
  const { openings, breaks } = style
  const used = book.sections.flatMap(picturesIn).map(p => p.asset)
  const wanted = new Set([...used, book.data.imprint.logo, openings.ornamentPicture, breaks.picture])
  const originals = new Map<string, Uint8Array>()
  for (const asset of wanted) {
    const bytes = asset && (await pictures.bytes(asset))
    if (bytes) originals.set(asset, bytes)
  }
  const carried = settings?.faces && rules?.faces !== false
  const faces = carried
    ? await carriedFaces(style, book.fonts ?? [], shelf, (await pdf()).subsetter.subsetText)
    : undefined
  const epub = buildEpub(book, {
    date,
    style,
    cover: { bytes: front.bytes, type: 'image/jpeg' },
    picture: id => originals.get(id),
    ...(isbn ? { isbn } : {}),
    ...(faces ? { faces } : {}),
    ...(settings?.css ? { css: settings.css } : {}),
    ...(rules?.coverPage === undefined ? {} : { coverPage: rules.coverPage }),
    ...(rules?.contentsPage === undefined ? {} : { contentsPage: rules.contentsPage }),
    ...(pages ? { pages } : {}),
    ...(printed ? { printed } : {}),
  })
  const bytes = zipEpub(epub, date)
  const shown = new Map(book.assets.filter(a => originals.has(a.id)).map(a => [a.id, a]))
  // One that came with a file may have what is not taken when it is written here.
  const leftOut = sheetFaults(settings?.css ?? '').map(f => ({
    kind: 'sheet' as const,
    file: `line ${f.line}`,
    what: f.says,
  }))
  return { epub, bytes, troubles: [...inspectEpub(bytes), ...leftOut], gaps: accessGaps(book, shown) }
}
