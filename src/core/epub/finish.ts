import { type Asset, authorLine, type Book, filled, type PrintedWords, type Recording, uidOf } from '../book'
import { type Epub, NCX } from '../publication'
import { type Markup, xml } from '../trade'
import { at, type Draft, ROOT } from './draft'
import { metadataOf } from './metadata'
import { navFile, ncxFile } from './navigation'
import type { EpubOptions } from './options'
import { sheetFaults } from './ownSheet'
import { page } from './xhtml'

/** What ebooks that flow and those of fixed pages have in common: identifier, cover, pictures, navigation, style sheet, metadata. */

/** What the publication is known by, for as long as there is the book. */
export const identifierOf = (book: Book, { isbn }: EpubOptions): string =>
  isbn ? `urn:isbn:${isbn}` : `urn:uuid:${uidOf(book)}`

const extensions: Record<Asset['type'], string> = {
  'image/png': 'png',
  'image/jpeg': 'jpg',
  'image/gif': 'gif',
  'image/svg+xml': 'svg',
  // Pages of PDFs go as pictures of them.
  'application/pdf': 'pdf',
}

const endings: Record<Recording['type'], string> = {
  'audio/mpeg': 'mp3',
  'audio/mp4': 'm4a',
  'audio/ogg; codecs=opus': 'opus',
  'video/mp4': 'mp4',
  'video/webm': 'webm',
}

export const mediaFile = (r: Recording): string => `media/${r.id.slice(0, 16)}.${endings[r.type]}`

export const imageFile = (a: Asset): string => `images/${a.id.slice(0, 16)}.${extensions[a.type]}`

export function addCover(
  draft: Draft,
  { data }: Book,
  words: PrintedWords,
  { cover, coverPage = true }: EpubOptions,
  head?: Markup,
): void {
  const { bytes, type } = cover!
  const ext = type === 'image/png' ? 'png' : 'jpg'
  const author = authorLine(data)
  const alt = `${words.cover}: ${author ? filled(words.by, { title: data.title, author }) : data.title}`
  const path = `images/cover.${ext}`
  draft.add({ path, id: 'cover-image', type, data: bytes, properties: ['cover-image'] })
  if (!coverPage) return
  const body = xml`<section epub:type="cover" class="cover"><img src="../${path}" alt="${alt}"/></section>`
  draft.addText('text/cover.xhtml', 'cover', page(words.cover, data.language, body, head))
  draft.landmarks.push({ type: 'cover', title: words.cover, href: at('text/cover.xhtml') })
}

/** The author's own style sheet, as far as it breaks nothing. */
const ownSheet = (css = ''): string => (css.trim() && !sheetFaults(css).length ? `${css.trim()}\n` : '')

/** The publication, once all that is read is in it. */
export function finished(draft: Draft, book: Book, options: EpubOptions, sheet: string): Epub {
  const { data } = book
  draft.add({
    path: 'text/nav.xhtml',
    id: 'nav',
    type: 'application/xhtml+xml',
    data: navFile(data.language, draft),
    properties: ['nav'],
  })
  for (const a of draft.assets.values())
    draft.add({ path: imageFile(a), id: `i-${a.id.slice(0, 16)}`, type: a.type, data: options.picture(a.id)! })
  for (const r of draft.recordings.values())
    draft.add({ path: mediaFile(r), id: `m-${r.id.slice(0, 16)}`, type: r.type, data: options.picture(r.id)! })
  draft.add({ path: 'style.css', id: 'css', type: 'text/css', data: `${sheet}${ownSheet(options.css)}` })
  draft.add({ path: 'toc.ncx', id: 'ncx', type: NCX, data: ncxFile(data, draft) })
  return {
    root: ROOT,
    version: '3.0',
    uid: 'uid',
    language: data.language,
    metadata: metadataOf(book, draft, options),
    items: draft.items,
    absent: [],
    spine: draft.spine,
    nav: draft.nav,
    landmarks: draft.landmarks,
    pages: draft.pages,
    others: new Map(),
  }
}
