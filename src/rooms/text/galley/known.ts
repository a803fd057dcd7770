import type { BlockFinding, PlacedDoubt, SaidException } from './marginItems'
import type { Turns } from './useEarlyTurns'

/** What the margins know of the section that is written. */
export interface Known {
  bookId: string
  language: string
  /** The print edition whose pages turn; none where there is none, or none is looked at. */
  editionId: string | undefined
  section: string
  /** Of the pages. */
  version: number
  /** How many pages are printed. */
  count: number | undefined
  /** Page turns that were known before all else that follows. */
  early: Turns | undefined
  /** Findings of the edition: of printed pages by their label, and of blocks of this section. */
  pages: ReadonlyMap<string, string>
  blocks: readonly BlockFinding[]
  isThere: (id: string) => boolean
  exceptions: readonly SaidException[]
  /** What proof-reading doubts in this section; and what happens when one is chosen. */
  doubts: readonly PlacedDoubt[]
  onDoubt: (key: string) => void
}
