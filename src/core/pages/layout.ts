import { type Book, labels, type Run, type Section, type SectionLabel } from '../book'
import { Fault } from '../trade'
import { basesOf } from './context'
import { notesTitle } from './endNotes'
import type { BookContext } from './section'
import { type InteriorStyle, marginsOf } from './style'
import { mayBeExcepted, type StyleChanges, withChanges } from './styleChanges'
import type { Typefaces } from './typefaces'

/** The leaf that an interior is set on. Points. */
export interface PageSpec {
  width: number
  height: number
  /** Inside margin; the style's own is the least. */
  inside: number
  /** What a plate prints past the trim, and whether on the edge at the spine, too. No bleed where absent. */
  bleed?: number
  bleedsInside?: boolean
  isbn?: string
  /** Runs that a plan sets among the sections: room is kept for them, and numbers go on behind them. */
  planned?: readonly Run[]
  /** Departures at one section, by its id: see `mayBeExcepted`. */
  exceptions?: Record<string, StyleChanges>
}

/** A book with how it is to be set. */
export interface ToSet {
  book: Book
  style: InteriorStyle
  spec: PageSpec
}

/** What all sections of a book have in common for a setting: the block on the leaf, faces, names, and what each departs in. */
export interface Layout extends ToSet {
  /** Inside margin, points: the style's own at least. */
  inside: number
  margins: InteriorStyle['margins']
  ctx: BookContext
  /** Those of the book, and one for its notes where the style keeps them for the end. */
  sections: Section[]
  names: Map<string, SectionLabel>
  /** The context of a section, with what it departs in. */
  ctxOf(section: Section): BookContext
  /** Tells settings of one document apart. */
  keyOf(section: Section): string
}

/** Lays a book out. `styleKey`: tells styles apart. Throws a Fault `page-too-small` where the margins leave no room. */
export function layoutOf({ book, style, spec }: ToSet, faces: Typefaces, styleKey: string): Layout {
  const margins = marginsOf(style)
  const inside = Math.max(spec.inside, margins.inside)
  const measure = spec.width - inside - margins.outside
  const lines = Math.floor((spec.height - margins.head - margins.foot) / style.text.leading)
  if (measure < style.text.size * 8 || lines < 8)
    throw new Fault('page-too-small', 'The margins leave no room for text on this trim.')
  const { bleed = 0, bleedsInside = false, exceptions = {}, width, height } = spec
  const ctx: BookContext = {
    faces,
    style,
    bases: basesOf(style),
    measure,
    noteMeasure: measure,
    lines,
    leaf: { width, height, bleed, bleedsInside, top: margins.head },
    assets: new Map(book.assets.map(a => [a.id, a])),
  }
  const departing = new Map(
    Object.entries(exceptions).map(([id, changes]) => {
      const own = Object.fromEntries(Object.entries(changes).filter(([path]) => mayBeExcepted(path)))
      return [id, { ...ctx, style: withChanges(style, own) }]
    }),
  )
  const sections = withNotes(book.sections, style, book.data.language)
  const key = `${styleKey}|${measure}|${lines}|${book.data.language}|${width}|${bleed}|${bleedsInside}`
  return {
    book,
    style,
    spec,
    inside,
    margins,
    ctx,
    sections,
    names: labels(sections, book.data.language),
    ctxOf: s => departing.get(s.id) ?? ctx,
    keyOf: s => (departing.has(s.id) ? `${key}|${JSON.stringify(exceptions[s.id])}` : key),
  }
}

/** The text block's box on a recto: x, y, width, height; and the outside margin. Points. */
export const blockOf = ({
  ctx,
  inside,
  margins,
}: Layout): { block: { x: number; y: number; width: number; height: number }; outside: number } => ({
  block: { x: inside, y: margins.head, width: ctx.measure, height: ctx.lines * ctx.style.text.leading },
  outside: margins.outside,
})

/** Sections without words stay out of print, and those that are kept out of it. */
export const isPrinted = (s: Section): boolean =>
  !s.unprinted &&
  (s.made || s.role === 'part' || !!s.title || s.doc.content.some(b => b.type !== 'paragraph' || !!b.content?.length))

export function opensOnRecto(s: Section, style: InteriorStyle): boolean {
  if (s.role === 'copyright') return false
  if (s.part === 'front' || s.role === 'part') return true
  return style.openings.recto
}

/** The section that notes at the end of the book stand in: made while setting, not part of the book. */
const NOTES = 'notes-of-the-book'
export const holdsNotes = (s: Section): boolean => s.id === NOTES
const hasNotes = (s: Section): boolean => !s.made && JSON.stringify(s.doc).includes('"footnote"')

/** The sections, and one for the book's notes behind the text that calls them, where the style keeps notes for the end. */
function withNotes(sections: Section[], style: InteriorStyle, language: string): Section[] {
  if (style.notes.at !== 'book') return sections
  const last = sections.findLastIndex(hasNotes)
  if (last < 0) return sections
  const body = sections.findLastIndex(s => s.part === 'body')
  const at = Math.max(last, body) + 1
  return [
    ...sections.slice(0, at),
    {
      id: NOTES,
      part: 'back',
      role: 'notes',
      title: notesTitle(language),
      numbered: false,
      made: false,
      doc: { type: 'doc', content: [] },
    },
    ...sections.slice(at),
  ]
}
