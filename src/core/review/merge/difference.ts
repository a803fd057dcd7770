import type { Part } from '@/core/compare'

/**
 * What a difference is: words changed, words set otherwise, a block or section that came, went, or stands elsewhere, a title,
 * something else that the book says of itself.
 */
export type DifferenceKind = 'words' | 'set' | 'came' | 'went' | 'moved' | 'title' | 'record'

/** What others changed and the book has not yet, nor has refused. */
export interface ReviewDifference {
  /** Tells it from all others of what came back, and stays what it is while the book changes. */
  key: string
  kind: DifferenceKind
  /** Where it stands now: a section, a block of it, and where in that. None of a record’s. */
  section?: string
  block?: string
  place?: LinePlace
  /** What changes, with a few words around it. */
  parts: readonly Part[]
  /** What it is about, where the words do not say so: “moved behind …”. */
  about?: string
  by: string
  /** Milliseconds since 1970; 0 where nobody knows. */
  when: number
  /** The author changed the same: what went out, what came back, what stands there now. */
  clash?: { sent: string; theirs: string; yours: string }
}

/** A place in a line of the text: its block, of verse which of its lines, and letters there; whatever is no text is one letter. */
export interface LinePlace {
  block: string
  row: number
  from: number
  to: number
}
