/** The page plan of a book without a manuscript: its runs, block by block. Drawn by `core/activity`. */
export interface PagePlan {
  runs: Run[]
  /** Margins of its pages, points; what an outlet asks for is kept where it asks for more. */
  margins?: PlanMargins
  /** Where a page's number is printed, in the foot margin. */
  folios?: 'none' | 'outside' | 'centre'
  /** Pages that the whole book is to have; as many as it takes where it is not said. */
  wished?: number | undefined
}

export interface PlanMargins {
  head: number
  foot: number
  inside: number
  outside: number
}

/** A run of like pages. What it is stands in its kind's own folder (`core/activity/kinds`). */
export interface Run {
  id: string
  kind: string
  pages: number
  /** The section that it stands behind, of those that come after the front pages; where absent, it follows on the front pages. */
  behind?: string
  /** Printed at the head of each page; `from`: numbered, the first page bears this number. */
  heading?: { words: string; from?: number }
  /** Printed under the whole leaf and over its edge; tone 0 (paper) to 1 (black). */
  ground?: { tone: number }
  /** What chance begins with where pages are made by it: the same seed makes the same pages. */
  seed: number
  /** Values of its kind. */
  params: Record<string, unknown>
}
