import {
  type Asset,
  type Book,
  type DocJson,
  type EbookSettings,
  type Recording,
  type RecordingSort,
  shopsIn,
  usedRecordings,
} from '../book'
import type { AccessGap, FixedPages, LeftOut } from '../epub'
import { imagesOn } from '../marks'
import type { InteriorStyle, PageStart } from '../pages'
import type { Epub } from '../publication'
import type { EbookRules } from '../trade'
import type { FontShelf } from '../type'
import type { LightBook } from '../weight'
import type { PageElsewhere } from './elsewhere'
import type { DeliveryPorts, PaintedPage } from './ports'

/** An ebook as it was made: its value, its file, what of the author's it goes without, and what keeps readers out of it. */
export interface MadeEbook {
  epub: Epub
  bytes: Uint8Array
  /** Bytes of the book's pictures as they are in it, by asset. */
  pictures: Map<string, number>
  /** Links that are plain words in it, since its outlet lets none in that lead there. */
  linksLeftOut: number
  /** Links that lead out of the book, as it is written. */
  linksOut: number
  /** Other books that it names with an address somewhere, and how many of them lead to their pages at its outlet. */
  shops: { named: number; led: number }
  /** Recordings that are in it, and those of the text that it is without: its outlet takes none of their sort, or its pages are fixed. */
  plays: Recording[]
  recordingsLeftOut: Recording[]
  leftOut: LeftOut[]
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
  /** The outlet that it goes to, by its id, and what its rules make of it. */
  outlet: string
  rules: Pick<EbookRules, 'coverPage' | 'contentsPage' | 'faces' | 'linksTo' | 'plays'> | undefined
  /** Where the pages of the print edition begin, and what it is called, if there is one. */
  pages: PageStart[] | undefined
  printed: string | undefined
  /** Pages that stay as they print. */
  fixed: FixedPages | undefined
  /** Pages on them that were made elsewhere, by asset. */
  elsewhere: ReadonlyMap<string, PageElsewhere>
}

/** The pictures that an ebook of the book shows. The writer is loaded when it is first wanted. */
export async function ebookPictures(
  book: Book,
  { style, fixed }: Pick<EbookParts, 'style' | 'fixed'>,
): Promise<Asset[]> {
  if (!fixed) return (await import('../epub')).picturesShown(book, style)
  const shown = new Set(fixed.pages.flatMap(p => [...imagesOn(p)]))
  return book.assets.filter(a => shown.has(a.id) && !a.damaged)
}

/** What a picture goes into an ebook as: of a page that was made elsewhere, a picture of it. */
const fileOf = async (
  { id }: Asset,
  { elsewhere }: EbookParts,
  light: LightBook | undefined,
  { pictures }: DeliveryPorts,
): Promise<Uint8Array | undefined> =>
  light?.pictures.get(id)?.bytes ?? elsewhere.get(id)?.picture ?? (await pictures.bytes(id))

/** Sorts of recordings that the ebook takes along; all where no outlet says otherwise. */
const sortsTaken = ({ rules, fixed }: EbookParts): readonly RecordingSort[] | undefined =>
  fixed ? [] : rules ? (rules.plays ?? []) : undefined

const textsOf = ({ sections }: Book): DocJson[] => sections.flatMap(s => (s.made ? [] : [s.doc]))

/** Makes the ebook. `light`: pictures that go in another form than they came. */
export async function makeEbook(
  book: Book,
  parts: EbookParts,
  light: LightBook | undefined,
  shelf: FontShelf,
  ports: DeliveryPorts,
): Promise<MadeEbook> {
  const { accessGaps, linksLeftOut, recordingsPlayed, sheetFaults } = await import('../epub')
  const { zipEpub } = await import('../publication')
  const files = new Map<string, Uint8Array>()
  for (const a of await ebookPictures(book, parts)) {
    const bytes = await fileOf(a, parts, light, ports)
    if (bytes) files.set(a.id, bytes)
  }
  const plays: Recording[] = []
  for (const r of recordingsPlayed(book, sortsTaken(parts))) {
    const bytes = await ports.pictures.bytes(r.id)
    if (bytes) plays.push(r)
    if (bytes) files.set(r.id, bytes)
  }
  const epub = await written(
    { ...book, assets: book.assets.map(a => inItsForm(a, light)) },
    parts,
    id => files.get(id),
    shelf,
    ports,
  )
  const bytes = zipEpub(epub, parts.date)
  const shown = {
    assets: new Map(book.assets.filter(a => files.has(a.id)).map(a => [a.id, a])),
    recordings: new Map(plays.map(r => [r.id, r])),
  }
  // One that came with a file may have what is not taken when it is written here.
  const leftOut = sheetFaults(parts.settings?.css ?? '').map(f => ({
    kind: 'sheet' as const,
    where: `line ${f.line}`,
    why: f.says,
  }))
  const wordless = [...parts.elsewhere.values()].flatMap(({ unread }) =>
    unread ? [{ kind: 'wordless' as const, where: unread.name, why: unread.why }] : [],
  )
  return {
    epub,
    bytes,
    pictures: new Map([...files].filter(([id]) => shown.assets.has(id)).map(([id, file]) => [id, file.length])),
    shops: parts.fixed ? { named: 0, led: 0 } : shopsIn(textsOf(book), parts.outlet),
    plays,
    recordingsLeftOut: usedRecordings(book.recordings, book.sections).filter(r => !plays.includes(r)),
    linksLeftOut: linksLeftOut(book.sections, parts.rules?.linksTo),
    linksOut: linksLeftOut(book.sections, []),
    leftOut: [...leftOut, ...wordless],
    gaps: accessGaps(book, shown),
  }
}

/** Bytes of the ebook beside those of its pictures that can be made lighter. */
export async function bareWeight(
  book: Book,
  parts: EbookParts,
  heavy: readonly Asset[],
  shelf: FontShelf,
  ports: DeliveryPorts,
): Promise<number> {
  const { recordingsPlayed } = await import('../epub')
  const { zipEpub } = await import('../publication')
  const files = new Map<string, Uint8Array>()
  const none = new Uint8Array()
  for (const a of await ebookPictures(book, parts)) {
    const bytes = heavy.some(h => h.id === a.id) ? none : await fileOf(a, parts, undefined, ports)
    if (bytes) files.set(a.id, bytes)
  }
  for (const r of recordingsPlayed(book, sortsTaken(parts))) {
    const bytes = await ports.pictures.bytes(r.id)
    if (bytes) files.set(r.id, bytes)
  }
  return zipEpub(
    await written(
      { ...book, assets: book.assets.map(a => inItsForm(a, undefined)) },
      parts,
      id => files.get(id),
      shelf,
      ports,
    ),
    parts.date,
  ).length
}

/** A picture as it is in the ebook: of another kind, or smaller. */
function inItsForm(a: Asset, lighter: LightBook | undefined): Asset {
  const light = lighter?.pictures.get(a.id)
  if (a.type === 'application/pdf') return { ...a, type: 'image/jpeg' }
  return light ? { ...a, type: light.type, width: light.width, height: light.height } : a
}

async function written(
  book: Book,
  parts: EbookParts,
  picture: (asset: string) => Uint8Array | undefined,
  shelf: FontShelf,
  { pdf }: DeliveryPorts,
): Promise<Epub> {
  const { isbn, date, style, settings, front, outlet, rules, pages, printed, fixed, elsewhere } = parts
  const plays = sortsTaken(parts)
  const { buildEpub, carriedFaces } = await import('../epub')
  // Fixed pages have their letters as outlines.
  const carried = settings?.faces && rules?.faces !== false && !fixed
  const faces = carried
    ? await carriedFaces(style, book.fonts ?? [], shelf, (await pdf()).subsetter.subsetText)
    : undefined
  return buildEpub(book, {
    date,
    style,
    cover: { bytes: front.bytes, type: 'image/jpeg' },
    picture,
    outlet,
    ...(isbn ? { isbn } : {}),
    ...(faces ? { faces } : {}),
    ...(settings?.css ? { css: settings.css } : {}),
    ...(rules?.coverPage === undefined ? {} : { coverPage: rules.coverPage }),
    ...(rules?.contentsPage === undefined ? {} : { contentsPage: rules.contentsPage }),
    ...(rules?.linksTo ? { linksTo: rules.linksTo } : {}),
    ...(plays ? { plays } : {}),
    ...(pages ? { pages } : {}),
    ...(printed ? { printed } : {}),
    ...(fixed ? { fixed: { ...fixed, words: new Map([...elsewhere].map(([id, p]) => [id, p.words])) } } : {}),
  })
}
