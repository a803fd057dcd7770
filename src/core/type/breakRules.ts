/** What lines are broken by. */
export interface BreakRules {
  /** Width of a full line, points. */
  measure: number
  /** Space taken from the left of the first lines (paragraph indent, initial), one entry a line; later lines take the last. */
  indents: number[]
  /** The same from the right, where a picture stands beside the text. */
  rightIndents?: number[]
  align: 'justify' | 'left' | 'center' | 'right'
  /** Lines of like length, as titles are set. Centred text always is. */
  even?: boolean
  /** A gap's stretch and shrink as parts of its width. */
  stretch: number
  shrink: number
  /** Glyph scaling allowed each way, 0.02 = ±2 %. */
  scaling: number
  /** Letter-spacing allowed each way, ems. */
  tracking: number
  hyphenate: boolean
  /** Most lines running that may end in a hyphen. */
  ladder: number
  /** Least width of a last line, points. */
  leastLastLine: number
  optical: boolean
}

/** Rules of lines that are displayed and not read on and on: nothing is stretched, nothing divided. `even`: they are as long as each other. */
export const displayedRules = ({
  measure,
  align,
  even,
}: Pick<BreakRules, 'measure' | 'align'> & { even: boolean }): BreakRules => ({
  measure,
  indents: [],
  align,
  stretch: 0,
  shrink: 0,
  scaling: 0,
  tracking: 0,
  hyphenate: false,
  ladder: 0,
  leastLastLine: 0,
  optical: false,
  ...(even ? { even } : {}),
})

/** Where the lines end. Line i holds the pieces from the end of line i − 1; `toChar` > 0 divides piece `toFrag`. */
export interface BrokenParagraph {
  count: number
  toFrag: number[]
  toChar: number[]
  demerits: number
  /** A line that could not be set within the tolerance, the last pass was needed. */
  loose: boolean
}
