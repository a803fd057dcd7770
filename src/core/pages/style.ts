import { boolean, type InferType, number, object, string } from 'yup'
import { Fault, IN, once, strangeKey } from '../trade'
import { ornamentNames } from '../ornaments'

/**
 * An interior style: how every role of a book is drawn. An open JSON document (docs/formats.md). Margins are inches, other
 * lengths points, spaces lines of the grid, indents and letter-spacing ems.
 */
const amount = (least: number, most: number) => number().min(least).max(most)
const one = <T extends string>(...of: T[]) => string().oneOf(of)
const ornament = () => string().oneOf(ornamentNames)
/** SHA-256 of a picture's bytes, or nothing. */
export const pictureIdForm = /^([0-9a-f]{64})?$/
const pictureId = () => string().matches(pictureIdForm, '${path} wants the id of a picture').default('')

const textPart = () =>
  object({
    family: string().max(60).required(),
    size: amount(6, 30).required(),
    /** Distance of baselines: the grid of the whole book. */
    leading: amount(7, 48).required(),
    align: one('justify', 'left').required(),
    /** How one paragraph is told from the next: by a first-line indent, or by a line of space. */
    paragraphs: one('indent', 'space').default('indent'),
    /** First-line indent, ems. */
    indent: amount(0, 4).default(1.4),
    hyphenate: boolean().default(true),
    /** Least letters before and after a hyphen; most lines running that end in one; whether words with a capital may be divided. */
    hyphenBefore: number().integer().min(2).max(6).default(2),
    hyphenAfter: number().integer().min(2).max(6).default(3),
    ladder: number().integer().min(1).max(6).default(2),
    hyphenCapitals: boolean().default(false),
    /** A gap's stretch and shrink, parts of its width. */
    stretch: amount(0.1, 1).default(0.5),
    shrink: amount(0, 0.33).default(0.22),
    /** Glyph scaling each way. */
    scaling: amount(0, 0.02).default(0.02),
    /** Letter-spacing each way, ems. */
    tracking: amount(0, 0.01).default(0.01),
    /** Punctuation hangs in the margins. */
    optical: boolean().default(true),
    oldStyleFigures: boolean().default(true),
    /** One decision for tired eyes: no text under 16 pt anywhere, open leading, ragged, nothing hyphenated. */
    large: boolean().default(false),
  })
    .noUnknown()
    .required()

const marginsPart = () =>
  object({
    head: amount(0.25, 3).required(),
    foot: amount(0.25, 3).required(),
    outside: amount(0.25, 3).required(),
    /** At least; the outlet's rule may ask for more. */ inside: amount(0.25, 3).required(),
  })
    .noUnknown()
    .required()

const openingsPart = () =>
  object({
    /** Chapters begin on the right-hand page. */
    recto: boolean().default(true),
    /** Lines left empty above. */
    sink: number().integer().min(0).max(24).default(6),
    align: one('center', 'left').default('center'),
    number: one('words', 'word and figures', 'figures', 'roman', 'none').default('words'),
    numberSize: amount(6, 80).default(12),
    titleSize: amount(8, 60).default(20),
    title: one('as written', 'italic', 'small capitals', 'capitals', 'bold').default('as written'),
    ornament: ornament().default('none'),
    /** A picture of the book in place of the ornament, by its id. */
    ornamentPicture: pictureId(),
    /** Width of a picture over the opening, as part of the measure. */
    picture: amount(0.1, 1).default(0.5),
    /** Lines between title and text. */
    below: number().integer().min(0).max(16).default(3),
  })
    .noUnknown()
    .required()

const firstsPart = () =>
  object({
    flush: boolean().default(true),
    /** Lines of the initial; 0 for none. */
    initial: number().integer().min(0).max(6).default(0),
    /** What is set in small capitals at the start. */
    leadIn: one('nothing', 'words', 'line').default('nothing'),
    leadInWords: number().integer().min(1).max(12).default(4),
    /** Initial and lead-in also after breaks. */
    afterBreaks: one('flush only', 'lead-in', 'initial and lead-in').default('flush only'),
  })
    .noUnknown()
    .required()

const breaksPart = () =>
  object({
    ornament: ornament().default('three lights'),
    /** A picture of the book in place of the ornament, by its id. */ picture: pictureId(),
    /** Lines above and below. */ space: number().integer().min(0).max(4).default(1),
  })
    .noUnknown()
    .required()

const notesPart = () =>
  object({
    at: one('foot', 'chapter', 'book').default('foot'),
    size: amount(6, 24).required(),
    leading: amount(7, 32).required(),
  })
    .noUnknown()
    .required()

const headsPart = () =>
  object({
    verso: one('author', 'title', 'none').default('author'),
    recto: one('section', 'title', 'none').default('section'),
    size: amount(6, 24).required(),
    /** From the text block's top up to the head's baseline. */
    distance: amount(6, 60).required(),
    align: one('center', 'outside').default('center'),
    rule: boolean().default(false),
  })
    .noUnknown()
    .required()

const foliosPart = () =>
  object({
    at: one('foot, centred', 'foot, outside', 'head, outside').default('foot, centred'),
    size: amount(6, 24).required(),
    /** From the text block's foot down to the folio's baseline. */
    distance: amount(6, 60).required(),
  })
    .noUnknown()
    .required()

const styleSchema = once(() =>
  object({
    format: one('porchlight-style').required(),
    version: number().oneOf([1]).required(),
    id: string()
      .matches(/^[a-z0-9-]{1,40}$/, 'id wants small letters, figures and hyphens')
      .required(),
    name: string().max(60).required(),
    /** Its character, in a line. */
    words: string().max(160).default(''),
    text: textPart(),
    margins: marginsPart(),
    openings: openingsPart(),
    /** The first paragraph of a chapter, and of what follows a break or heading. */
    firsts: firstsPart(),
    headings: object({ align: one('center', 'left').default('center') })
      .noUnknown()
      .default({ align: 'center' }),
    breaks: breaksPart(),
    quotes: object({ inset: amount(0, 5).default(1.6), italic: boolean().default(false) })
      .noUnknown()
      .required(),
    notes: notesPart(),
    heads: headsPart(),
    folios: foliosPart(),
    contents: object({ leaders: boolean().default(false) })
      .noUnknown()
      .default({ leaders: false }),
  }).noUnknown(),
)

export type InteriorStyle = InferType<ReturnType<typeof styleSchema>>

/** Text of large print is nowhere smaller. Points. */
export const LARGE_PRINT = 16

/** Reads a style document. Throws a Fault that names the field which is wrong. */
export function readStyleDocument(data: unknown): InteriorStyle {
  const strange = strangeKey(data)
  if (strange)
    throw new Fault('style', `This style cannot be read: it has “${strange.key}”, which is nothing a style has.`)
  try {
    return styleSchema().validateSync(data, { strict: false, stripUnknown: false })
  } catch (e) {
    throw new Fault(
      'style',
      `This style cannot be read: ${(e as Error).message.split('\n')[0]!.slice(0, 300).replace(/\.?$/, '.')}`,
    )
  }
}

/** Margins in points. */
export const marginsOf = ({ margins: m }: InteriorStyle): InteriorStyle['margins'] => ({
  head: m.head * IN,
  foot: m.foot * IN,
  outside: m.outside * IN,
  inside: m.inside * IN,
})

/** A size held to what the style promises: in large print nothing is smaller than sixteen points. */
export const legible = (style: InteriorStyle, size: number): number =>
  style.text.large ? Math.max(LARGE_PRINT, size) : size
