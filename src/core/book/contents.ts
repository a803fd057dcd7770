import type { Section } from './book'
import { type DocJson, inlineText } from './doc'
import { labels } from './numbering'
import { type Role, roles } from './roles'

/** How deep contents may list: headings of levels 1 to this. */
export const MOST_DEPTH = 3

/** An entry of the contents: a section, or a heading inside one. */
export interface ContentsEntry {
  section: string
  /** The heading's block. */
  block?: string
  /** The section's title, or the heading's words; empty where the section has its number alone. */
  title: string
  /** "Chapter Four", where it is counted. */
  numberWords?: string
  role: Role
  /** The heading's level; 0 of a section. */
  depth: number
  /** How deep it stands in the list, from 0: chapters of a part stand below it, headings below what they stand in. */
  level: number
}

/** Whether the contents list a section: its like are listed, and it is not left out. */
export const isListed = ({ role, unlisted }: Pick<Section, 'role' | 'unlisted'>): boolean =>
  !!roles[role].listed && !unlisted

/** The section that says what contents list: the made contents page; a book without one lists its sections. */
export const contentsOf = (sections: readonly Section[]): Section | undefined =>
  sections.find(s => s.role === 'contents' && s.made)

const read = new WeakMap<DocJson, readonly { block: string; words: string; level: number }[]>()

/** The headings of a document that say something. Remembered by the document's identity. */
export function headingsIn(doc: DocJson): readonly { block: string; words: string; level: number }[] {
  const known = read.get(doc)
  if (known) return known
  const out = doc.content.flatMap(b => {
    const words = b.type === 'heading' ? inlineText(b.content).replace(/\s+/g, ' ').trim() : ''
    return b.type === 'heading' && words ? [{ block: b.attrs.id, words, level: b.attrs.level }] : []
  })
  read.set(doc, out)
  return out
}

/** All that contents of a book can list, what is left out too, in order: for the list in which that is chosen. */
export function listable(sections: readonly Section[], language: string): (ContentsEntry & { left: boolean })[] {
  const names = labels(sections, language)
  const contents = contentsOf(sections)
  const depth = contents?.depth ?? 0
  const omitted = new Set(contents?.omits)
  let inPart = false
  return sections.flatMap(s => {
    if (s.role === 'part') inPart = true
    else if (s.part !== 'body') inPart = false
    const { title, numberWords } = names.get(s.id)!
    // A section without a name has no entry, and nothing can stand below it.
    if (!roles[s.role].listed || !(title || numberWords)) return []
    const { id: section, role } = s
    const level = inPart && role !== 'part' ? 1 : 0
    const own = { section, role, title, ...(numberWords && { numberWords }), depth: 0, level, left: !!s.unlisted }
    // Of what is left out nothing is listed.
    if (s.unlisted || s.made) return [own]
    const inside = headingsIn(s.doc)
      .filter(h => h.level <= depth)
      .map(h => ({
        section,
        block: h.block,
        role,
        title: h.words,
        depth: h.level,
        level: level + h.level,
        left: omitted.has(h.block),
      }))
    return [own, ...inside]
  })
}

/** What the contents of a book list, in order. */
export const contentsEntries = (sections: readonly Section[], language: string): ContentsEntry[] =>
  listable(sections, language).flatMap(({ left, ...e }) => (left ? [] : [e]))

/** Blocks that the contents lead to. */
export function listedBlocks(sections: readonly Section[]): string[] {
  const contents = contentsOf(sections)
  if (!contents?.depth) return []
  const omitted = new Set(contents.omits)
  return sections.flatMap(s =>
    s.made || !isListed(s)
      ? []
      : headingsIn(s.doc).flatMap(h => (h.level <= contents.depth! && !omitted.has(h.block) ? [h.block] : [])),
  )
}

/** Whether the contents of a book would say numbers and hardly a title: such a list tells a reader nothing. */
export function listsBareNumbers(sections: readonly Section[], language: string): boolean {
  const entries = contentsEntries(sections, language)
  const counted = entries.filter(e => !e.block && e.numberWords)
  // Headings inside say something.
  if (entries.some(e => e.block)) return false
  return counted.length > 1 && counted.filter(e => !e.title).length > counted.length / 2
}

/** The sections with an entry left out of the contents, or in them again. What is listed as its like are says nothing of it. */
export function withEntry(
  sections: readonly Section[],
  { section, block }: Pick<ContentsEntry, 'section' | 'block'>,
  listed: boolean,
): Section[] {
  const at = block === undefined ? section : contentsOf(sections)?.id
  return sections.map(s => {
    if (s.id !== at) return s
    const { unlisted, omits = [], ...rest } = s
    if (block === undefined) return { ...rest, ...(omits.length && { omits }), ...(!listed && { unlisted: true }) }
    const others = omits.filter(o => o !== block)
    const next = listed ? others : [...others, block]
    return { ...rest, ...(unlisted && { unlisted }), ...(next.length && { omits: next }) }
  })
}
