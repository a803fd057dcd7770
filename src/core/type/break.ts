import { attempt } from './justified'
import type { Paragraph } from './paragraph'
import { balanced, ragged, raggedLengths } from './ragged'

/**
 * Optimal line breaking over the whole paragraph, after Knuth and Plass ("Breaking Paragraphs into Lines", Software:
 * Practice and Experience 11, 1981), with hanging punctuation and glyph scaling counted into each line's natural width
 * and stretch (after Hàn Thế Thành, "Micro-typographic extensions", 2000). Division points of a word are asked for only
 * where a line can end in it.
 */
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

/** Where the lines end. Line i holds the pieces from the end of line i − 1; `toChar` > 0 divides piece `toFrag`. */
export interface BrokenParagraph {
  count: number
  toFrag: number[]
  toChar: number[]
  demerits: number
  /** A line that could not be set within the tolerance, the last pass was needed. */
  loose: boolean
}

/** Greatest stretch ratio of each pass; the last takes anything. */
const passes = [0.5, 2.2, Infinity]

/**
 * Breaks a paragraph. The first result is the best; the others, if any, are the best with one line more or fewer, for
 * levelling pages; `everyLength` looks harder for them. A paragraph with nothing in it has no lines.
 */
export function breakParagraph(p: Paragraph, rules: BreakRules, everyLength = false): BrokenParagraph[] {
  if (!p.frags.length) return []
  if (rules.align === 'center' || rules.even) return [balanced(p, rules)]
  if (rules.align !== 'justify') return everyLength ? raggedLengths(p, rules) : [ragged(p, rules)]
  // What can be set well without dividing a word is set so: most paragraphs, and words need not be looked up.
  if (rules.hyphenate && !everyLength) {
    const whole = attempt(p, rules, passes[0]!, false)
    if (whole) return whole.map(f => ({ ...f, loose: false }))
  }
  for (let pass = 0; pass < passes.length; pass++) {
    const found = attempt(p, rules, passes[pass]!, rules.hyphenate)
    if (!found) continue
    const loose = pass === passes.length - 1
    const out = found.map(f => ({ ...f, loose }))
    // Lengths beyond those that the best setting's tolerance gave by the way, from the next.
    if (everyLength && pass === 0)
      for (const f of attempt(p, rules, passes[1]!, rules.hyphenate) ?? [])
        if (!out.some(o => o.count === f.count)) out.push({ ...f, loose: false })
    return out
  }
  throw new Error('unreachable: the last pass takes any line')
}
