import type { Rect } from '../cover'
import type { Remedy } from './remedies'

/**
 * stop: the outlet refuses it, or readers get something broken. mend: accepted, but a careful publisher would not send it.
 * remark: worth a look.
 */
export type Severity = 'stop' | 'mend' | 'remark'

/** Where a finding is: on a page, in the text, on the cover, in the data. */
export type FindingPlace =
  | { kind: 'page'; page: number; label: string; section?: string; block?: string }
  | { kind: 'text'; section: string; block: string }
  /** `area`: where on the flat, points, of what is no piece. */
  | { kind: 'cover'; piece: string; area?: Rect }
  | { kind: 'data'; field: string }
  | { kind: 'edition' }

/** What a rule found: where, how much, against which rule, and what to do about it. */
export interface Finding extends Remedy {
  rule: string
  severity: Severity
  place: FindingPlace
  /** How far off, in words with a unit. */
  amount?: string
  /** One plain sentence. */
  message: string
}
