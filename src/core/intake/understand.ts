import {
  type Book,
  createBook,
  docWords,
  Ids,
  innerLinks,
  type InlineJson,
  inlineText,
  languageOf,
  printedLanguages,
  primaryTag,
  retargeted,
  type Role,
  roles,
  type Section,
  type TitleData,
} from '../book'
import type { Candidate } from './candidates'
import { choose } from './choose'
import type { Dirt } from './dirt'
import { type Conversion, type Converted, takePicture, toDoc } from './convert'
import { looksLikeTitle, propose, type Proposal } from './headings'
import { withoutEntries, withoutFolios } from './noHeadings'
import { findIsbn, readPrelude } from './prelude'
import { DropCounter, type Dropped, lettersIn, type RawBlock, type RawManuscript, textOfBlock } from './raw'

/** A manuscript as it was understood: a book, with the evidence for each section, and what was left out or tidied. */
export interface Understood {
  book: Book
  /** Bytes of the book's pictures and recordings by their ids. */
  pictures: Map<string, Uint8Array>
  dropped: Dropped[]
  /** What was tidied. Letters: typed signs that the book makes by itself. */
  cleaned: Dropped[]
  /** Dirt that there was, by kind. The book is without it, but for what is only cleaned where it is asked for. */
  dirt: Dirt[]
  /** Its sections with all of their dirt, where there was any. */
  asTyped?: Section[]
  /** Paragraphs that may begin a section and were not taken for one. */
  candidates: Candidate[]
  /** Levels of the headings that sections were read from, by the sections' ids. */
  levels: Record<string, number>
  /** Read out of a typed title or copyright page. */
  isbn?: string
}

/** Reads the structure of a raw manuscript; its dirt stays. `name` is the file's, for a title where the text gives none. */
export function understand(raw: RawManuscript, name = ''): Omit<Understood, 'dirt'> {
  const into: Converted = { assets: new Map(), recordings: new Map(), cleaned: new DropCounter(), empty: 0 }
  if (raw.remade) into.cleaned.take(raw.remade)
  const blocks = withGaps(raw.blocks)
  const bodySize = commonSize(blocks) ?? raw.bodySize ?? 0
  const language = languageOf(beginningOf(blocks))
  const proposed = blocks.flatMap((b, i) => propose(b, i, bodySize, language ?? raw.meta.language) ?? [])
  const weighed = withoutEntries(blocks, withoutFolios(blocks, proposed))
  const proposals = choose(blocks, weighed)
  const data = statedData(raw, language)
  const placed = new Map<RawBlock, string | undefined>(weighed.map(p => [blocks[p.index]!, undefined]))
  const conversion: Conversion = {
    ids: new Ids(0),
    pictures: raw.pictures,
    dropped: raw.dropped,
    into,
    counted: new Map(),
    language: data.language,
    placed,
    anchors: new Map(),
  }
  const found = new Sections(conversion)
  const logo = raw.meta.logo && takePicture(raw.meta.logo, data.imprint.name, conversion)
  if (logo) data.imprint.logo = logo

  const prelude = blocks.slice(0, proposals[0]?.index ?? 0)
  for (const p of readPrelude(prelude, data)) {
    if (p.isbn) found.isbn = p.isbn
    if (p.role) found.addLead(p.role, p.why, p.blocks)
  }
  if (!proposals.length) {
    const evidence = ['no headings were found: the text is one section']
    found.add({ role: 'chapter', title: '', numbered: false, evidence }, blocks.slice(prelude.length))
  }
  const chapterLevel = Math.min(...proposals.map(p => p.level ?? 9))
  proposals.forEach((p, i) => {
    const part = readSection(blocks, proposals, i, bodySize)
    if (part.role === 'contents')
      found.addTyped('contents', 'a list of what the book holds', [...part.heading, ...part.content])
    else found.addHeaded(part, p, p.level ?? (chapterLevel < 9 ? chapterLevel : 0), raw)
  })

  completeData(data, raw, name)
  const inOrder = counted(found.list, proposals.length > 1).sort((a, b) => partRank(a) - partRank(b))
  const sections = withLinks(renamed(inOrder), found.anchors, inOrder, raw)
  const levels = sections.flatMap((s, i) => {
    const level = found.levels.get(inOrder[i]!.id)
    return level === undefined ? [] : [[s.id, level] as const]
  })
  const assets = [...into.assets.values()]
  const recordings = [...into.recordings.values()]
  return {
    book: {
      ...createBook('book', data, sections),
      assets: assets.map(a => a.asset),
      ...(recordings.length ? { recordings: recordings.map(r => r.recording) } : {}),
    },
    pictures: new Map([
      ...assets.map(a => [a.asset.id, a.bytes] as const),
      ...recordings.map(r => [r.recording.id, r.bytes] as const),
    ]),
    dropped: raw.dropped.list(),
    cleaned: into.cleaned.list(),
    candidates: candidatesOf(blocks, weighed, proposals, placed),
    levels: Object.fromEntries(levels),
    ...((found.isbn ?? raw.meta.isbn) ? { isbn: found.isbn ?? raw.meta.isbn } : {}),
  }
}

/** Letters from the beginning by which the language is told. */
const TOLD_BY = 60_000

function beginningOf(blocks: readonly RawBlock[]): string {
  let text = ''
  for (const b of blocks) {
    if (text.length >= TOLD_BY) break
    text += `${textOfBlock(b)}\n`
  }
  return text
}

/** What speaks for a section and was not taken for one, in the order of the text. */
function candidatesOf(
  blocks: readonly RawBlock[],
  weighed: readonly Proposal[],
  taken: readonly Proposal[],
  placed: ReadonlyMap<RawBlock, string | undefined>,
): Candidate[] {
  const known = new Set(taken.map(p => p.index))
  return weighed.flatMap(p => {
    const block = placed.get(blocks[p.index]!)
    const b = blocks[p.index]!
    if (block === undefined || known.has(p.index) || (b.type === 'para' && b.quote)) return []
    const { title, role, numbered, evidence, level } = p
    return [{ block, title, role, numbered, evidence, ...(level === undefined ? {} : { level }) }]
  })
}

/** What the file says of the book; its title is looked for in the text first. */
function statedData({ meta }: RawManuscript, told: string | undefined): TitleData {
  return {
    title: '',
    contributors: [],
    language: languageTag(meta.language, told),
    imprint: { name: meta.imprint ?? '', ...(meta.place ? { place: meta.place } : {}) },
    subjects: [],
    ...(meta.subtitle ? { subtitle: meta.subtitle } : {}),
    ...(meta.description ? { description: meta.description } : {}),
    ...(meta.series
      ? { series: { name: meta.series, ...(meta.seriesNumber ? { number: meta.seriesNumber } : {}) } }
      : {}),
  }
}

/** A title page typed in front may say its title only in the file's properties; else the file's name stands for it. */
function completeData(data: TitleData, { meta }: RawManuscript, name: string): void {
  const named = name
    .replace(/\.[^.]*$/, '')
    .replace(/[_-]+/g, ' ')
    .trim()
  data.title ||= meta.title || named || 'Untitled'
  if (!data.contributors.length && meta.author)
    data.contributors = meta.author
      .split(/;|\band\b|&/)
      .map(n => ({ name: n.trim(), role: 'aut' }))
      .filter(c => c.name)
}

/** A section as its heading proposes it. */
interface Headed {
  role: Role
  title: string
  subtitle?: string
  evidence: string[]
  heading: RawBlock[]
  content: RawBlock[]
}

/** The sections as they are found, with what is read out of them on the way. */
class Sections {
  readonly list: Section[] = []
  /** Levels of their headings, by the ids that they have here. */
  readonly levels = new Map<string, number>()
  /** Sections by the names that links lead to; what leads to their heading leads to them. */
  get anchors(): ReadonlyMap<string, string> {
    return this.conversion.anchors
  }
  isbn: string | undefined

  constructor(private readonly conversion: Conversion) {}

  add(of: Pick<Section, 'role' | 'title' | 'subtitle' | 'numbered' | 'evidence'>, content: RawBlock[], base = 0): void {
    this.list.push({
      part: roles[of.role].part,
      ...of,
      id: `s${this.list.length + 1}`,
      made: false,
      doc: toDoc(content, this.conversion, base),
    })
  }

  /** What stands before the first heading: a page that the book makes by itself, or one that is the author's. */
  addLead(role: Role, why: string, blocks: RawBlock[]): void {
    if (role === 'title-page') this.addTyped(role, why, blocks)
    else this.add({ role, title: '', numbered: false, evidence: [why] }, blocks)
  }

  /** A page that was typed and that the book makes by itself: it does, and keeps what was typed for when that is wished for. */
  addTyped(role: 'title-page' | 'contents', why: string, blocks: RawBlock[]): void {
    const words = blocks.map(textOfBlock).join('\n')
    const what = role === 'contents' ? 'typed contents list' : 'typed title page, read into the book’s data'
    this.conversion.into.cleaned.add(
      `${what}: the book makes its own and keeps this one behind it`,
      words.trim(),
      1,
      lettersIn(words),
    )
    // Its lines are nobody's headings; what leads to it leads to the page.
    const apart = {
      ...this.conversion,
      placed: new Map<RawBlock, undefined>(),
      anchors: new Map<string, string>(),
      // All of its letters are counted already.
      into: { ...this.conversion.into, cleaned: new DropCounter() },
    }
    const id = `s${this.list.length + 1}`
    const plain = blocks.map((b): RawBlock => (b.type === 'para' ? { ...b, level: undefined } : b))
    this.list.push({
      ...{ id, part: roles[role].part, role, title: '', numbered: false, made: true, evidence: [why] },
      doc: toDoc(plain, apart, 0),
    })
    for (const name of apart.anchors.keys()) this.conversion.anchors.set(name, id)
  }

  /** Adds a section under its heading, whose words become its title. */
  addHeaded(
    { role, title, subtitle, evidence, heading, content }: Headed,
    p: Proposal,
    base: number,
    raw: RawManuscript,
  ): void {
    let typed = -lettersIn(title + (subtitle ?? ''))
    const below: RawBlock[] = []
    for (const b of heading)
      if (b.type === 'para') {
        below.push(...besidesWords(b.content, title, raw))
        typed += lettersIn(inlineText(b.content))
      }
    if (typed > 0)
      this.conversion.into.cleaned.add('typed chapter numbers, which the book now makes by itself', '', 1, typed)
    if (role === 'copyright') this.isbn ??= findIsbn(content)
    const numbered = p.numbered && !!roles[role].numbered
    this.add({ role, title, ...(subtitle ? { subtitle } : {}), numbered, evidence }, [...below, ...content], base)
    const { id } = this.list.at(-1)!
    if (p.level !== undefined) this.levels.set(id, p.level)
    for (const b of heading) for (const a of b.anchors ?? []) this.conversion.anchors.set(a, id)
  }
}

/** What stands from a proposal to the next, its heading parted from the rest. */
function readSection(blocks: RawBlock[], proposals: Proposal[], i: number, bodySize: number): Headed {
  const p = proposals[i]!
  const end = proposals[i + 1]?.index ?? blocks.length
  const evidence = [...p.evidence]
  let from = p.index + 1
  let { title } = p
  const next = blocks[from]
  if (p.bare && from < end && looksLikeTitle(next, bodySize)) {
    title = plainTitle(next.content)
    evidence.push('the line below is its title')
    from++
  }
  const below = blocks[from]
  let subtitle: string | undefined
  if (from < end && below?.type === 'para' && /^subtitle$/i.test(below.style ?? '') && below.level === undefined) {
    subtitle = plainTitle(below.content)
    from++
  }
  return {
    role: placed(p.role, i, proposals),
    title,
    ...(subtitle ? { subtitle } : {}),
    evidence,
    heading: blocks.slice(p.index, from),
    content: blocks.slice(from, end),
  }
}

/** A title as it is kept: without what divides its words or spaces them. */
const plainTitle = (content: InlineJson[]): string =>
  inlineText(content)
    .replace(/\u00ad/g, '')
    .replace(/\s+/g, ' ')
    .trim()

/** Chapters that only carry titles are counted too, unless others carry numbers and they do not. */
function counted(sections: readonly Section[], several: boolean): Section[] {
  if (sections.some(s => s.role === 'chapter' && s.numbered)) return [...sections]
  return sections.map(s => (s.role === 'chapter' && s.title && several ? { ...s, numbered: false } : s))
}

const partRank = (s: Section): number => ({ front: 0, body: 1, back: 2 })[s.part]
const renamed = (sections: Section[]): Section[] => sections.map((s, i) => ({ ...s, id: `s${i + 1}` }))

/** The sections with their links leading to what stands in the book now; those that lead to nothing in it are counted, and their words stay. */
function withLinks(
  sections: Section[],
  anchors: ReadonlyMap<string, string>,
  before: readonly Section[],
  { dropped }: RawManuscript,
): Section[] {
  const ids = new Map(before.map((s, i) => [s.id, sections[i]!.id]))
  for (const s of sections)
    for (const l of s.made ? [] : innerLinks(s.doc))
      if (!anchors.has(l.to)) dropped.add('links that lead nowhere in the document: their words are kept', l.words)
  return retargeted(sections, to => {
    const at = anchors.get(to)
    return at === undefined ? null : (ids.get(at) ?? at)
  })
}

/** The language that a file states; where its words tell another, that one: programs state the language of their own window. One that is not offered here is never taken for its neighbour. */
function languageTag(tag: string | undefined, told: string | undefined): string {
  const t = (tag ?? '').replace('_', '-')
  const stated = /^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/i.test(t) ? t : undefined
  const known = !stated || printedLanguages.includes(primaryTag(stated))
  if (told && known && (!stated || primaryTag(stated) !== told)) return told === 'en' ? 'en-US' : told
  return stated ?? 'en-US'
}

/** Without empty paragraphs, which are told by what stands behind them: what begins a section is judged by its neighbours that say something. */
function withGaps(blocks: readonly RawBlock[]): RawBlock[] {
  const out: RawBlock[] = []
  let carry = false
  let gap = 0
  // What leads to a paragraph that goes leads to what comes behind it.
  const anchors: string[] = []
  for (const b of blocks) {
    if (b.type === 'para' && !b.content.length) {
      gap++
      carry ||= !!b.newPage
      anchors.push(...(b.anchors ?? []))
      continue
    }
    const turns = carry && (b.type === 'para' || b.type === 'picture') && !b.newPage
    out.push(
      turns || gap || anchors.length || b.type === 'container'
        ? ({
            ...b,
            ...(b.type === 'container' ? { blocks: withGaps(b.blocks) } : {}),
            ...(turns ? { newPage: true } : {}),
            ...(gap && b.type === 'para' ? { gap } : {}),
            ...(anchors.length ? { anchors: [...(b.anchors ?? []), ...anchors.splice(0)] } : {}),
          } as RawBlock)
        : b,
    )
    gap = 0
    if (b.type !== 'scene') carry = false
  }
  return out
}

/** A section's title is plain words: what else stood in it stands below it, and is counted. */
function besidesWords(content: InlineJson[], title: string, { dropped }: RawManuscript): RawBlock[] {
  return content.flatMap((n): RawBlock[] => {
    if (n.type === 'sign') {
      dropped.add('pictures in titles: they stand below', n.attrs.alt || title)
      return [{ type: 'picture', key: n.attrs.asset, alt: n.attrs.alt }]
    }
    if (n.type !== 'footnote' || !n.content?.length) return []
    dropped.add('notes in titles: their words stand below', inlineText(n.content))
    return [{ type: 'para', content: n.content }]
  })
}

/** The size most of the text is set in. */
function commonSize(blocks: RawBlock[]): number | undefined {
  const by = new Map<number, number>()
  for (const b of blocks)
    if (b.type === 'para' && b.size) by.set(b.size, (by.get(b.size) ?? 0) + inlineText(b.content).length)
  let best: number | undefined
  for (const [size, n] of by) if (best === undefined || n > by.get(best)!) best = size
  return best
}

/** A role by name holds only where it can: a "Notes" chapter between chapters is a chapter. */
function placed(role: Role, i: number, all: Proposal[]): Role {
  const facts = roles[role]
  if (
    facts.part === 'front' &&
    all.slice(0, i).some(p => p.role === 'chapter' || p.role === 'part' || p.role === 'prologue')
  )
    return role === 'acknowledgements' ? 'afterword' : facts.listed ? 'chapter' : role
  if (facts.part === 'back' && all.slice(i + 1).some(p => p.role === 'chapter')) return 'chapter'
  return role
}

/** Words of a book as understood. */
export const understoodWords = (book: Book): number =>
  book.sections.reduce((n, s) => n + (s.made ? 0 : docWords(s.doc)), 0)
