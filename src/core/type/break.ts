import type { BreakRules, BrokenParagraph } from './breakRules'
import { attempt } from './justified'
import type { Paragraph } from './paragraph'
import { balanced, ragged, raggedLengths } from './ragged'

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
