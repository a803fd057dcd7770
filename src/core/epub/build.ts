import { strFromU8 } from 'fflate'
import {
  type Asset,
  authorLine,
  type Book,
  copyrightLines,
  contentsEntries,
  labels,
  linkedPlaces,
  printedWords,
  picturesIn,
  type Recording,
  type RecordingSort,
  type Section,
  type SectionLabel,
  seriesLine,
  shortName,
  sortOf,
  usedRecordings,
} from '../book'
import { harbourRoman, type InteriorStyle, type PageStart } from '../pages'
import { type Epub, zipEpub } from '../publication'
import { joined, type Markup, xml } from '../trade'
import { at, Draft } from './draft'
import { usedIn } from './faces'
import { buildFixedEpub } from './fixed'
import { addCover, finished, identifierOf, imageFile, mediaFile } from './finish'
import type { EpubOptions } from './options'
import { styleSheetOf } from './style'
import { type Breaks, page, sectionBody, type XhtmlContext } from './xhtml'

/** The book as a file of EPUB 3. Same book, same bytes. */
export const writeEpub = (book: Book, options: EpubOptions): Uint8Array =>
  zipEpub(buildEpub(book, options), options.date)

/** Makes the book an EPUB 3 in its style, with what older devices read beside (NCX, guide). */
export function buildEpub(book: Book, options: EpubOptions): Epub {
  if (options.fixed) return buildFixedEpub(book, options.fixed, options)
  const { data } = book
  const { style = harbourRoman } = options
  const sections = book.sections.filter(isRead)
  const assets = picturesShown(book, style).filter(a => options.picture(a.id))
  const recordings = recordingsPlayed(book, options.plays).filter(r => options.picture(r.id))
  const draft = new Draft(
    identifierOf(book, options),
    new Map(assets.map(a => [a.id, a])),
    new Map(recordings.map(r => [r.id, r])),
  )
  if (options.cover) addCover(draft, book, printedWords(data.language), options)
  addSections(draft, book, sections, { ...options, style })
  const { nav, spine, items } = draft
  if (!nav.length && spine.length)
    nav.push({ title: lineOf(data.title), href: items.find(f => f.id === spine.at(-1)!.id)!.path, depth: 0 })
  const faces = options.faces?.(usedIn(textsOf(draft), style)) ?? []
  for (const { file, bytes } of faces)
    draft.add({ path: `fonts/${file}`, id: `f-${file}`, type: 'font/ttf', data: bytes })
  return finished(draft, book, options, styleSheetOf(style, faces))
}

const textsOf = ({ items }: Draft): string[] =>
  items.flatMap(i => (i.type === 'application/xhtml+xml' ? [strFromU8(i.data)] : []))

/** Whether a section is in the ebook: it has words or makes them, and is not for paper only. */
const isRead = (s: Section): boolean =>
  s.role !== 'half-title' &&
  (s.made || !!s.title || s.role === 'part' || s.doc.content.some(b => b.type !== 'paragraph' || !!b.content?.length))

/** The pictures that an ebook shows: those of the text that is read, the imprint's logo, the style's own ornaments. */
export function picturesShown({ data, assets, sections: all }: Book, { openings, breaks }: InteriorStyle): Asset[] {
  const sections = all.filter(isRead)
  const used = new Set(sections.flatMap(s => picturesIn(s).map(p => p.asset)))
  if (data.imprint.logo && sections.some(s => s.made && s.role === 'title-page')) used.add(data.imprint.logo)
  for (const own of [openings.ornamentPicture, breaks.picture]) if (own) used.add(own)
  return assets.filter(a => used.has(a.id) && !a.damaged)
}

/** The recordings that an ebook plays: those of the text that is read, as far as its outlet takes their sort. */
export const recordingsPlayed = (
  { recordings, sections }: Pick<Book, 'recordings' | 'sections'>,
  sorts: readonly RecordingSort[] = ['sound', 'film'],
): Recording[] =>
  usedRecordings(recordings, sections.filter(isRead)).filter(r => !r.damaged && sorts.includes(sortOf(r)))

/** A title as contents show it, on one line. */
const lineOf = (title: string): string => title.replace(/\s+/g, ' ').trim()

/** Where links lead: sections are files, linked blocks places in them. */
function placesOf(sections: Section[]): Map<string, string> {
  const out = new Map<string, string>()
  const files = sections.filter(s => !(s.role === 'contents' && s.made))
  for (const s of files) out.set(s.id, `${s.id}.xhtml`)
  for (const [id, { section, block }] of linkedPlaces(sections)) if (block) out.set(id, `${section}.xhtml#${block}`)
  return out
}

/** The sections, and where contents, landmarks and the list of printed pages lead to in them. */
function addSections(
  draft: Draft,
  book: Book,
  sections: Section[],
  options: EpubOptions & { style: InteriorStyle },
): void {
  const { data } = book
  const { assets, landmarks, nav, pages } = draft
  const words = printedWords(data.language)
  const names = labels(book.sections, data.language)
  const breaks = breaksOf(options.pages ?? [])
  const ctx: XhtmlContext = {
    language: data.language,
    style: options.style,
    assets,
    href: id => `../${imageFile(assets.get(id)!)}`,
    recordings: draft.recordings,
    mediaHref: id => `../${mediaFile(draft.recordings.get(id)!)}`,
    track: trackFiles(draft),
    breaks: new Map(),
    places: placesOf(sections),
    linksTo: options.linksTo,
    outlet: options.outlet,
    seen: new Set(),
  }
  const isContents = (s: Section): boolean => s.role === 'contents' && s.made
  const start = sections.find(s => s.part === 'body' && !isContents(s))
  const entries = contentsEntries(book.sections, data.language)
  const addContents = (title: string): void => {
    draft.read('nav')
    landmarks.push({ type: 'toc', title, href: at('text/nav.xhtml') })
  }
  const asked = options.contentsPage === true && !sections.some(isContents)
  for (const s of sections) {
    const label = names.get(s.id)!
    if (isContents(s)) {
      if (options.contentsPage !== false) addContents(label.title)
      continue
    }
    if (asked && s === start) addContents(words.sections.contents!)
    const path = `text/${s.id}.xhtml`
    if (s.made && s.role === 'title-page') landmarks.push({ type: 'titlepage', title: words.titlePage, href: at(path) })
    const before = ctx.seen.size
    const body = bodyOf(book, s, label, { ...ctx, breaks: breaks.get(s.id) ?? ctx.breaks }, options.isbn)
    for (const l of [...ctx.seen].slice(before)) pages.push({ label: l, href: at(`${path}#page-${l}`) })
    draft.addText(path, s.id, page(shortName(label).trim() || data.title, data.language, body))
    for (const e of entries)
      if (e.section === s.id)
        nav.push({
          title: lineOf([e.numberWords, e.title].filter(Boolean).join(': ')),
          href: at(e.block ? `${path}#${e.block}` : path),
          depth: e.level,
        })
  }
  if (start) landmarks.push({ type: 'bodymatter', title: words.textBegins, href: at(`text/${start.id}.xhtml`) })
}

/** Timed words as files beside their recordings: one for each that is said of it. */
function trackFiles(draft: Draft): XhtmlContext['track'] {
  const known = new Map<string, string>()
  return (recording, spoken) => {
    const key = `${recording} ${spoken}`
    let path = known.get(key)
    if (!path) {
      path = `media/words-${known.size + 1}.vtt`
      known.set(key, path)
      draft.add({ path, id: `words-${known.size}`, type: 'text/vtt', data: spoken })
    }
    return `../${path}`
  }
}

function bodyOf(book: Book, s: Section, label: SectionLabel, ctx: XhtmlContext, isbn: string | undefined): Markup {
  if (s.made && s.role === 'title-page') return titleBody(book, ctx)
  if (!(s.made && s.role === 'copyright')) return sectionBody(s, label, ctx)
  const lines = copyrightLines(book, isbn).map(l => xml`<p>${l}</p>`)
  const { copyright } = printedWords(ctx.language)
  return xml`<section epub:type="copyright-page" class="copyright made" aria-label="${copyright}">\n${joined(lines, '\n')}\n</section>`
}

/** Where printed pages begin, by section and block. */
function breaksOf(pages: PageStart[]): Map<string, Breaks> {
  const breaks = new Map<string, Breaks>()
  for (const { section, block, label, chars } of pages) {
    const own = breaks.get(section) ?? new Map<string, { label: string; chars: number }[]>()
    breaks.set(section, own.set(block, [...(own.get(block) ?? []), { label, chars }]))
  }
  return breaks
}

function titleBody(book: Book, { assets, href }: XhtmlContext): Markup {
  const { data } = book
  const asset = data.imprint.logo ? assets.get(data.imprint.logo) : undefined
  const logo =
    asset &&
    xml`<p class="logo"><img src="${href(asset.id)}" alt="${data.imprint.name}"${!data.imprint.name && xml` role="presentation"`}/></p>\n`
  const line = (cls: string, t: string | undefined): Markup | undefined =>
    t ? xml`<p class="${cls}">${t}</p>\n` : undefined
  return xml`<section epub:type="titlepage" class="titlepage">\n<h1>${data.title}</h1>\n${line('subtitle', data.subtitle)}${line('series', seriesLine(book))}${line('author', authorLine(data))}${logo}${line('imprint', data.imprint.name)}</section>`
}
