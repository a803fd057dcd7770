import type { Asset, Book, Section } from '@/core/book'
import type { Dropped } from '@/core/intake'

/** A change that whoever changed the text left a record of: who, and when in milliseconds since 1970 (0: unknown). */
export interface Told {
  did: 'came' | 'went' | 'set'
  by: string
  when: number
  words: string
}

/** Sections as they came back from others, each thing under the name that it went out with. */
export interface Returned {
  sections: Section[]
  /** Pictures that came new, with their bytes by hash. */
  assets: Asset[]
  pictures: Map<string, Uint8Array>
  /** What is known of changes, by the block (or the section, for its title) that they are in. */
  told: Record<string, Told[]>
  /** What the file had that a book has not. */
  dropped: Dropped[]
  /** The highest number that an id has now. */
  lastId: number
}

/** A return as it is looked at: what went out, what came back, what is known of who changed what, and who brought it. */
export interface ReviewOf {
  sent: Book
  back: Book
  told: Readonly<Record<string, readonly Told[]>>
  by: string
  when: number
}
