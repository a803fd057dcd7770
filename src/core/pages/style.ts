import { IN } from '../trade'

/** An interior style: how every role of a book is drawn. An open document (docs/formats.md); lengths in points, spaces in lines of the grid. */
export interface InteriorStyle {
  id: string
  name: string
  text: {
    family: string
    /** Asked, in order, where the family lacks a character. */
    fallbacks: string[]
    size: number
    /** Distance of baselines: the grid of the whole book. */
    leading: number
    align: 'justify' | 'left'
    /** First-line indent, ems. */
    indent: number
    hyphenate: boolean
    /** Most hyphens at the ends of lines running. */
    ladder: number
    /** A gap's stretch and shrink, parts of its width. */
    stretch: number
    shrink: number
    /** Glyph scaling each way. */
    scaling: number
    /** Letter-spacing each way, ems. */
    tracking: number
    /** Punctuation hangs in the margins. */
    optical: boolean
    oldStyleFigures: boolean
  }
  margins: { head: number; foot: number; outside: number; /** At least; the outlet's rule may ask for more. */ inside: number }
  openings: {
    /** Chapters begin on the right-hand page. */
    recto: boolean
    /** Lines left empty above. */
    sink: number
    number: 'words' | 'figures' | 'none'
    numberSize: number
    titleSize: number
    /** Lines between title and text. */
    below: number
    /** Words set in small capitals at the start of the first paragraph. */
    leadIn: number
  }
  breaks: { ornament: 'three lights' | 'wave' | 'none'; /** Lines above and below. */ space: number }
  quotes: { inset: number }
  notes: { size: number; leading: number }
  heads: { verso: 'author' | 'title' | 'none'; recto: 'section' | 'title' | 'none'; size: number; /** From the text block's top up to the head's baseline. */ distance: number }
  folios: { size: number; /** From the text block's foot down to the folio's baseline. */ distance: number }
}

/** The first shipped style: a quiet book face for fiction, made for 5 to 6 inch trims. */
export const harbourRoman: InteriorStyle = {
  id: 'harbour-roman',
  name: 'Harbour Roman',
  text: {
    family: 'eb-garamond', fallbacks: ['source-serif/regular'], size: 11, leading: 14, align: 'justify', indent: 1.4, hyphenate: true, ladder: 2,
    stretch: 0.5, shrink: 0.22, scaling: 0.02, tracking: 0.01, optical: true, oldStyleFigures: true,
  },
  margins: { head: 0.86 * IN, foot: 0.9 * IN, outside: 0.62 * IN, inside: 0.73 * IN },
  openings: { recto: true, sink: 6, number: 'words', numberSize: 12, titleSize: 20, below: 3, leadIn: 4 },
  breaks: { ornament: 'three lights', space: 1 },
  quotes: { inset: 1.6 },
  notes: { size: 9, leading: 11 },
  heads: { verso: 'author', recto: 'section', size: 9.5, distance: 17 },
  folios: { size: 9.5, distance: 24 },
}

export const shippedStyles: InteriorStyle[] = [harbourRoman]
