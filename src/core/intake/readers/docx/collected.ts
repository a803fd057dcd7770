import type { InlineJson } from '../../../book'
import type { RawBlock } from '../../raw'

/** Most paragraphs have none: they share it. */
export const NO_RANGES: Range[] = []

/** A bookmark around words, from where on in what was collected. */
export interface Range {
  id: string
  name: string
  from: number
}

/** What is read of a paragraph. */
export interface Collected {
  content: InlineJson[]
  size: number
  chars: number
  boldChars: number
  italicChars: number
  pictures: Extract<RawBlock, { type: 'picture' }>[]
  /** What stands in boxes that are tied to it. */
  boxes: RawBlock[]
  pageAfter: boolean
  inContents: boolean
  /** Bookmarks around words that are open; and up to where words are closed, so that what follows begins anew. */
  ranges: Range[]
  barrier: number
}
