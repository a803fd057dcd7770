import { type OrnamentName, ornamentNames } from '../../ornaments'
import { fields } from '../../trade'

const { amount, one, shape, text } = fields

/** How planned pages look: their heads, folios and frames, as one document. Shares are of the width of a page's room. */
export interface PageLook {
  id: string
  name: string
  /** Its character, in a few words. */
  says: string
  head: LookHead
  folio: { face: string; form: (typeof folioForms)[number] }
  frame: { line: (typeof frameLines)[number]; tone: number; corner: (typeof frameCorners)[number] }
  /** What pages that are read are set in. */
  text: { face: string }
}

export interface LookHead {
  face: string
  /** Size of its letters, a share. */
  size: number
  capitals: boolean
  /** Added between letters, ems. */
  letter: number
  at: (typeof headPlaces)[number]
  number: (typeof headNumbers)[number]
  rule: (typeof headRules)[number]
  /** Under it. */
  ornament: OrnamentName
}

/** In the middle, or at the edge away from the gutter. */
const headPlaces = ['centre', 'outside'] as const
/** Behind the words, over them, or in a disc at the outer edge. */
const headNumbers = ['after', 'over', 'disc'] as const
/** None, one below, two below, one at each side, a dark band behind. */
const headRules = ['none', 'under', 'double', 'beside', 'band'] as const
const folioForms = ['plain', 'dashes', 'disc', 'over a rule'] as const
/** What stands where the sides of a frame would meet. */
const frameCorners = ['none', 'lozenge', 'disc', 'flower'] as const
const frameLines = ['none', 'single', 'double', 'dots', 'round', 'notched'] as const

/** The shape of a look's document. */
export const lookSchema = () =>
  shape({
    id: text(40).required(),
    name: text(60).required(),
    says: text(120).required(),
    head: shape({
      face: text(60).required(),
      size: amount(0.02, 0.12).required(),
      capitals: fields.yesNo().required(),
      letter: amount(0, 0.4).required(),
      at: one(...headPlaces).required(),
      number: one(...headNumbers).required(),
      rule: one(...headRules).required(),
      ornament: one(...ornamentNames).required(),
    }).required(),
    folio: shape({ face: text(60).required(), form: one(...folioForms).required() }).required(),
    frame: shape({
      line: one(...frameLines).required(),
      tone: amount(0.05, 1).required(),
      corner: one(...frameCorners).required(),
    }).required(),
    text: shape({ face: text(60).required() }).required(),
  })
