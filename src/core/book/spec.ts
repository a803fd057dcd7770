import type { PrintSpec } from '../trade'
import type { Edition } from './book'

/** What an edition is bound, trimmed and printed as where it does not say. */
export const USUAL_SPEC: PrintSpec = { binding: 'paperback', trim: '6x9in', paper: 'cream', ink: 'black' }

/** What an edition is printed as; of an ebook, the paperback that it would be. */
export const specOf = (e: Edition): PrintSpec => ({
  binding: e.kind === 'ebook' ? USUAL_SPEC.binding : e.kind,
  trim: e.trim ?? USUAL_SPEC.trim,
  paper: e.paper ?? USUAL_SPEC.paper,
  ink: e.ink ?? USUAL_SPEC.ink,
})
