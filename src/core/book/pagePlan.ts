/** The page plan of a book without a manuscript: its runs, block by block. Drawn by `core/activity`. */
export interface PagePlan {
  runs: Run[]
}

/** A column of a log table: its heading and its share of the width. */
export interface LogColumn {
  name: string
  share: number
}

/** A run of like pages. Lengths in points, tone 0 (paper) to 1 (black). */
export interface Run {
  id: string
  kind: 'blank' | 'lined' | 'dot' | 'log'
  pages: number
  /** Printed at the head of each page of the run, where there is one. */
  heading?: string
  /** Distance of lines or dots; height of a table's rows. */
  spacing: number
  tone: number
  /** Of a log table. */
  columns?: LogColumn[]
}
