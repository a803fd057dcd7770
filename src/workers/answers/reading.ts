import { strFromU8 } from 'fflate'
import type { Recording } from '@/core/book'
import { type Epub, type NavEntry, openEpub, type PageEntry } from '@/core/publication'
import { ebookOf } from '../chains'
import { takenOf } from '../openBooks'

/** An ebook to be read: its file taken apart again, as a reading program would. Files are handles: their bytes stay where they are. */
export interface ReadingCopy {
  language: string
  /** The size of its pages, CSS pixels, where they are fixed. */
  fixed?: { width: number; height: number }
  /** Pages of the printed edition, as shops are told that ask. */
  printedPages: number | undefined
  /** Links that became plain words, as the outlet asks. */
  linksLeftOut: number
  /** Links that lead out of the book, as it is written. */
  linksOut: number
  /** Other books that it names with an address somewhere, and how many of them lead to their pages at its outlet. */
  shops: { named: number; led: number }
  /** Sounds and films that are in it, and those that it is without. */
  plays: Recording[]
  recordingsLeftOut: Recording[]
  /** Bytes of the whole file. */
  weight: number
  /** Paths of what is read, in order. */
  spine: string[]
  /** On which side of a spread each of its pages lies, where it says so. */
  sides: Map<string, 'left' | 'right'>
  nav: NavEntry[]
  pages: PageEntry[]
  files: Map<string, Blob>
  /** Those of them that are pages and style sheets, to be shown without being read first. */
  texts: Map<string, string>
}

/** The size of the pages, where the package says that they are fixed: as the first that is read says it itself. */
function fixedSize({ metadata, items, spine }: Epub): Pick<ReadingCopy, 'fixed'> {
  if (!metadata.some(m => m.attrs.property === 'rendition:layout' && m.value === 'pre-paginated')) return {}
  const first = items.find(i => i.id === spine[0]?.id)
  const [, width, height] =
    /<meta name="viewport" content="width=(\d+), height=(\d+)"/.exec(strFromU8(first!.data)) ?? []
  return width && height ? { fixed: { width: Number(width), height: Number(height) } } : {}
}

/** Types of what a page is made of. */
const SHOWN = new Set(['application/xhtml+xml', 'text/css'])

function sideOf(properties: readonly string[], path: string | undefined): [string, 'left' | 'right'][] {
  const side = properties.includes('page-spread-left')
    ? 'left'
    : properties.includes('page-spread-right')
      ? 'right'
      : undefined
  return side && path !== undefined ? [[path, side]] : []
}

/** Ebooks, as they will be sent, for the reading room. */
export const reading = {
  async readingCopy(bookId: string, editionId: string, outletId?: string): Promise<ReadingCopy> {
    await takenOf(bookId)
    const chain = ebookOf(bookId, editionId, outletId)
    const { bytes, linksLeftOut, linksOut, shops, plays, recordingsLeftOut } = await chain.get('epub')
    const epub = openEpub(bytes)
    const byId = new Map(epub.items.map(i => [i.id, i.path]))
    return {
      language: epub.language ?? '',
      ...fixedSize(epub),
      printedPages: (await chain.get('printInterior'))?.pages.length,
      linksLeftOut,
      linksOut,
      shops,
      plays,
      recordingsLeftOut,
      weight: bytes.length,
      spine: epub.spine.flatMap(s => byId.get(s.id) ?? []),
      sides: new Map(epub.spine.flatMap(({ id, properties }) => sideOf(properties, byId.get(id)))),
      nav: epub.nav,
      pages: epub.pages,
      texts: new Map(epub.items.filter(i => SHOWN.has(i.type)).map(i => [i.path, strFromU8(i.data)])),
      files: new Map(epub.items.map(i => [i.path, new Blob([i.data as BlobPart], { type: i.type })])),
    }
  },
}
