import { inlineText } from '../../../book'
import { Fault, type Report } from '../../../trade'
import { DropCounter, type RawBlock, type RawManuscript, textOfBlock } from '../../raw'
import { elements, find, htmlTree, readZip, targetIn, textOf, type XmlElement } from '../../../files'
import { coverOf, type Epub, isLocked, itemWith, type NavEntry, readEpub } from '../../../publication'
import { decodeHtml } from '../html'
import { bareWords, type HtmlFiles, HtmlReader } from '../html/blocks'
import { Styles } from '../html/css'
import { HtmlNotes } from '../html/notes'
import type { HtmlPage } from '../html/page'
import { metaOf } from './meta'

/** Reads an EPUB 2 or 3: its pages in the order of reading, its contents as evidence of what is a heading, notes, pictures, what it says of the book. */
export function readEpubText(bytes: Uint8Array, report?: Report, salvage = false): RawManuscript {
  const [dropped, remade] = [new DropCounter(), new DropCounter()]
  const ruins = new Map<string, Uint8Array>()
  const parts = readZip(
    bytes,
    () => true,
    undefined,
    report,
    salvage
      ? (name, kept) => {
          dropped.add('parts of the file that are damaged: words in them may be wrong or missing', name)
          if (kept) ruins.set(name, kept)
        }
      : undefined,
  )
  for (const [name, kept] of ruins) parts.set(name, kept)
  refuseProtected(parts)
  const epub = readEpub(parts)
  const meta = metaOf(epub)
  const pages = pagesOf(epub, parts, dropped, report)
  if (!pages.length) throw new Fault('empty', 'This EPUB has no pages that can be read.')
  const known = knownWords(meta)
  const files: HtmlFiles = { file: path => parts.get(path), notes: new HtmlNotes(pages), dropped, remade, known }
  const reader = new HtmlReader(files)
  const blocks: RawBlock[] = []
  const contents = entriesByPage(epub)
  const cover = coverOf(epub)?.path
  const nav = itemWith(epub, 'nav')?.path
  for (const [i, page] of pages.entries()) {
    report?.({ stage: 'Understanding', done: i, of: pages.length })
    if (page.path === nav) {
      const words = textOf(page.root)
      dropped.add('typed contents list', words.trim(), 1, words)
      continue
    }
    reader.beginFile()
    const own = reader.read(page)
    if (isCover(own, cover)) dropped.add('the picture of its cover', cover!)
    else blocks.push(...withContents(own, contents.get(page.path) ?? []))
  }
  blocks.push(...reader.uncalled())
  return {
    blocks,
    pictures: reader.pictures,
    meta: { ...meta, ...(files.logo ? { logo: files.logo } : {}) },
    dropped,
    remade,
  }
}

function refuseProtected(parts: ReadonlyMap<string, Uint8Array>): void {
  if (isLocked(parts))
    throw new Fault(
      'encrypted',
      'This EPUB is protected against copying. Bring in the file that it was made from, or one without protection.',
    )
}

function pagesOf(
  { items, absent, spine }: Epub,
  parts: ReadonlyMap<string, Uint8Array>,
  dropped: DropCounter,
  report: Report | undefined,
): HtmlPage[] {
  const sheets = new Map<string, string>()
  const sheetAt = (path: string): string => {
    const known = sheets.get(path)
    if (known !== undefined) return known
    const bytes = parts.get(path)
    const text = bytes ? new TextDecoder().decode(bytes) : ''
    sheets.set(path, text)
    return text
  }
  const styles = new Map<string, Styles>()
  const paths = new Map([...items, ...absent].map(f => [f.id, f.path]))
  return spine.flatMap(({ id }, i): HtmlPage[] => {
    report?.({ stage: 'Reading', done: i, of: spine.length })
    const path = paths.get(id)
    if (path === undefined) return []
    const bytes = parts.get(path)
    if (!bytes || !/\.(x?html?|xml)$/i.test(path)) {
      dropped.add(bytes ? 'pages that are no text' : 'pages that are not in the file', path)
      return []
    }
    const root = htmlTree(decodeHtml(bytes))
    const own = sheetsOf(root, path, sheetAt)
    const key = own.join('\u0000')
    let read = styles.get(key)
    if (!read) styles.set(key, (read = new Styles(own)))
    return [{ path, root, styles: read }]
  })
}

/** The styles of a page: those it links to and its own, in their order. */
function sheetsOf(root: XmlElement, path: string, sheetAt: (path: string) => string): string[] {
  return elements(find(root, 'head')).flatMap(e => {
    if (e.name === 'style') return [e.children.filter(c => typeof c === 'string').join('')]
    if (e.name !== 'link' || !/\bstylesheet\b/i.test(e.attrs.rel ?? '') || !e.attrs.href) return []
    return [sheetAt(targetIn(path, e.attrs.href))]
  })
}

/** Entries of the contents by the page that they lead to. */
function entriesByPage({ nav }: Epub): Map<string, NavEntry[]> {
  const out = new Map<string, NavEntry[]>()
  for (const e of nav) {
    const page = e.href.split('#')[0]!
    const there = out.get(page)
    if (there) there.push(e)
    else out.set(page, [e])
  }
  return out
}

/** A page that shows the cover and says nothing. */
const isCover = (blocks: readonly RawBlock[], cover: string | undefined): boolean =>
  cover !== undefined && blocks.length > 0 && blocks.every(b => b.type === 'picture' && b.key === cover && !b.caption)

/** What the package says of the book: a typed title page says it again. */
function knownWords({ title, subtitle, author, imprint, series, seriesNumber }: RawManuscript['meta']): Set<string> {
  const both = subtitle ? [`${title} ${subtitle}`] : []
  const numbered = series && seriesNumber ? [`${series} ${seriesNumber}`] : []
  const all = [title, subtitle, author, author && `by ${author}`, imprint, series, ...both, ...numbered]
  return new Set(all.flatMap(w => (w ? [bareWords(w)] : [])))
}

/** Blocks from the beginning of a page among which a heading is looked for. */
const NEAR = 6

/** A page's blocks with what the contents name marked as headings: where a paragraph says what an entry says. */
function withContents(blocks: RawBlock[], entries: readonly NavEntry[]): RawBlock[] {
  if (!entries.length) return blocks
  const out = [...blocks]
  for (const { title, depth } of entries) {
    const level = depth + 1
    const named = bareWords(title)
    if (!named) continue
    const at = out.findIndex(
      (b, i) =>
        b.type === 'para' && !b.list && bareWords(inlineText(b.content)) === named && (i < NEAR || entries.length > 1),
    )
    const b = out[at]
    if (b?.type === 'para') {
      if (b.level === undefined) out[at] = { ...b, level, style: 'named in the contents' }
    } else if (entries.length === 1 && !out.slice(0, NEAR).some(x => x.type === 'para' && x.level !== undefined)) {
      // Its heading may be divided: the contents say what it is as one.
      const divided = dividedHeading(out, named)
      if (divided)
        out.splice(0, divided.from + divided.blocks.length, ...out.slice(0, divided.from), divided.heading(level))
    }
  }
  return out
}

/** A heading that stands in two or three paragraphs, one after the other: together they say what the contents say. */
function dividedHeading(blocks: readonly RawBlock[], named: string) {
  for (let from = 0; from < Math.min(NEAR, blocks.length); from++)
    for (const count of [2, 3]) {
      const some = blocks.slice(from, from + count)
      if (some.length < count || some.some(b => b.type !== 'para')) continue
      if (bareWords(some.map(textOfBlock).join('')) !== named) continue
      const first = some[0]!
      return {
        from,
        blocks: some,
        heading: (level: number): RawBlock => ({
          ...(first as Extract<RawBlock, { type: 'para' }>),
          level,
          style: 'named in the contents',
          content: some.flatMap((b, i) =>
            b.type === 'para' ? [...(i ? [{ type: 'text' as const, text: ' ' }] : []), ...b.content] : [],
          ),
        }),
      }
    }
  return undefined
}
