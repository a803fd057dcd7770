import type { InlineJson, MarkJson, Said } from '../../../book'

/**
 * How a document is read that went out from here and has come back: letter for letter, with what its bookmarks say of it. Without
 * one a document is read as a manuscript, and cleaned.
 */
export interface Riding {
  /** Whether a bookmark stands around words of a line, and not at a paragraph. */
  aroundWords: (name: string) => boolean
  /** What stands in the place of what was read between the ends of such a bookmark. */
  between: (name: string, inside: InlineJson[]) => InlineJson[]
  /** What a thread of comments is to the words that it stands at. */
  remark: (thread: readonly Said[]) => Extract<MarkJson, { type: 'remark' }>
  /** The id that a paragraph has by the bookmarks that were passed on the way to it; without what was used. */
  blockId: (anchors: string[]) => string
}

/** A change that a word processor kept a record of. */
export interface Tracked {
  did: 'came' | 'went' | 'set'
  by: string
  /** Milliseconds since 1970; 0 where the file does not say. */
  when: number
  words: string
}
