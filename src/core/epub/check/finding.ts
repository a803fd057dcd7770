import type { EbookRules } from '../../trade'
import type { EbookView } from './view'

/** Something in an ebook's file that is wrong, whoever made it. */
export interface EpubFinding {
  rule: string
  /** stop: shops refuse it, or readers meet something broken. mend: a careful publisher would not send it. remark: worth a look. */
  severity: 'stop' | 'mend' | 'remark'
  /** The file in the container, and the line in it where that is known. */
  place: { file: string; line?: number }
  /** One plain sentence. */
  message: string
  remedy: string
}

/** An outlet's limits, and what it is called. */
export interface EbookOutlet {
  name: string
  rules: EbookRules
}

/** Something an ebook is held against. */
export type EpubRule = (view: EbookView, outlet: EbookOutlet | undefined) => EpubFinding[]
