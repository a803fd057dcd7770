import { type Book, printedWords } from '../book'
import { imagesOn, type MarkPlace, pageDrawing, type PageMarks } from '../marks'
import type { Epub, SpineItem } from '../publication'
import { type Markup, xml } from '../trade'
import { at, Draft } from './draft'
import { hrefOf } from './leads'
import { addCover, finished, identifierOf, imageFile } from './finish'
import type { EpubOptions, FixedPages } from './options'
import { page } from './xhtml'

/** CSS pixels of a point. */
const PX = 96 / 72

/**
 * Makes the book an EPUB 3 of fixed layout (EPUB 3.3, 8.2): each printed page as it is, on its side of the spread, its words over
 * what is seen of them. Contents and list of pages lead to the pages.
 */
export function buildFixedEpub(
  book: Book,
  { pages, contents, start, leads: places, words: written }: FixedPages,
  options: EpubOptions,
): Epub {
  const { data, assets } = book
  const shown = new Set(pages.flatMap(p => [...imagesOn(p)]))
  const pictures = assets.filter(a => shown.has(a.id) && !a.damaged && options.picture(a.id))
  const draft = new Draft(identifierOf(book, options), new Map(pictures.map(a => [a.id, a])))
  const words = printedWords(data.language)
  const head = viewport(pages[0]!)
  if (options.cover) addCover(draft, book, words, options, head)
  // A cover has no side.
  for (const s of draft.spine) s.properties.push('rendition:page-spread-center')
  const files = pages.map((_, i) => `text/p${String(i + 1).padStart(4, '0')}.xhtml`)
  const href = (asset: string): string | undefined => {
    const a = draft.assets.get(asset)
    return a && `../${imageFile(a)}`
  }
  const rule = {
    places: new Map([...places].map(([id, i]) => [id, files[i]!.replace('text/', '')])),
    linksTo: options.linksTo,
  }
  const leads = ({ to, href: out }: MarkPlace): string | undefined => {
    const leading = to === undefined ? out : `#${to}`
    return leading === undefined ? undefined : hrefOf(leading, rule)
  }
  for (const [i, p] of pages.entries()) {
    const title = contents.findLast(c => c.page <= i)?.title ?? data.title
    const body = xml`<div class="page" epub:type="pagebreak" role="doc-pagebreak" id="page" aria-label="${p.label}"></div>\n${pageDrawing(p, { href, leads, words: asset => written?.get(asset) })}`
    draft.addText(files[i]!, `p${i + 1}`, page(title, data.language, body, viewport(p)))
    draft.spine.at(-1)!.properties.push(sideOf(p))
    draft.pages.push({ label: p.label, href: at(`${files[i]}#page`) })
  }
  for (const c of contents) draft.nav.push({ title: c.title, href: at(files[c.page]!), depth: c.depth })
  if (!draft.nav.length) draft.nav.push({ title: data.title || words.textBegins, href: at(files[0]!), depth: 0 })
  draft.landmarks.push({ type: 'bodymatter', title: words.textBegins, href: at(files[start] ?? files[0]!) })
  return finished(draft, book, options, sheetOf(pages[0]!))
}

const sideOf = ({ side }: PageMarks): SpineItem['properties'][number] =>
  side === 'recto' ? 'page-spread-right' : 'page-spread-left'

const sizeOf = ({ width, height }: PageMarks): { width: number; height: number } => ({
  width: Math.round(width * PX),
  height: Math.round(height * PX),
})

function viewport(p: PageMarks): Markup {
  const { width, height } = sizeOf(p)
  return xml`<meta name="viewport" content="width=${width}, height=${height}"/>\n`
}

function sheetOf(p: PageMarks): string {
  const { width, height } = sizeOf(p)
  return `html, body { margin: 0; padding: 0; background: #ffffff; }
svg { display: block; width: ${width}px; height: ${height}px; }
.words { fill: transparent; white-space: pre; }
.page { position: absolute; }
.cover { width: ${width}px; height: ${height}px; text-align: center; }
.cover img { max-width: 100%; max-height: 100%; }
nav ol { list-style: none; }
`
}
