import type { BreakRules, BrokenParagraph } from './breakRules'
import { lineWidths, unlike, widthOf } from './measures'
import { Gap, type Paragraph } from './paragraph'
import { ragged } from './ragged'
import { Ends, type Spot, Starts } from './starts'

// What a line costs (Knuth and Plass's demerits): the square of LINE and its badness, and of the penalty of its end; then:
/** Each line costs something, so that of two settings as good the shorter wins. */
const LINE = 10
/** Badness of a line scaled to the limit. */
const SCALED = 12
/** Penalty of an end in a hyphen, and of one after a dash. */
const HYPHEN = 30
const DASH = 15
/** A second line running that ends in a hyphen. */
const LADDER = 8000
/** The last line but one ends in a hyphen. */
const PENULTIMATE = 5000
/** A tight line next to a loose one. */
const FITNESS = 4000
/** A last line shorter than asked. */
const SHORT_LAST = 20000
/** More lines running with a hyphen than allowed: only where nothing else can be set. */
const FORBIDDEN_LADDER = 1e6

/** Words from which a paragraph is long: the lines it may have at one place lie so far apart that each is a search of its own. From there only those near the best are followed, so that time grows with the text and not with its square. */
const LONG = 3000
const LONG_SPREAD = 2

const fitness = (r: number): number => (r < -0.5 ? 0 : r <= 0.5 ? 1 : r <= 1 ? 2 : 3)

type Setting = Omit<BrokenParagraph, 'loose'>

// One breaker works at a time in a thread: what it notes is used again.
const starts = new Starts()
const ends = new Ends()

/** A point at which lines are tried to end: what stands before it, what hangs out, and what it is. */
interface Trial {
  w: number
  g: number
  e: number
  hangRight: number
  penalty: number
  hyphen: boolean
  final: boolean
  forced: boolean
}

/**
 * The best setting in which no gap is stretched beyond `tolerance`, and the best with a line more and a line fewer where there
 * are such; undefined where there is none. With an infinite tolerance there always is.
 */
export function attempt(p: Paragraph, rules: BreakRules, tolerance: number, hyphenate: boolean): Setting[] | undefined {
  const found = new Search(p, rules, tolerance, hyphenate).run()
  return found ?? (tolerance === Infinity ? overfull(p, rules) : undefined)
}

/**
 * Optimal line breaking over the whole paragraph, after Knuth and Plass ("Breaking Paragraphs into Lines", Software:
 * Practice and Experience 11, 1981), with hanging punctuation and glyph scaling counted into each line's natural width
 * and stretch (after Hàn Thế Thành, "Micro-typographic extensions", 2000). Division points of a word are asked for only
 * where a line can end in it.
 */
class Search {
  private readonly widths: number[]
  /** How wide a line's words may be made at most, as a part of their own width, and what one gap may add to that: from this each start knows before which width no line of it can end, and words before that are passed over. */
  private readonly most: number
  private readonly slack: number
  /** Starts stand in the order of the text, so what each reaches grows along the list but for what hangs out of the measure, and for lines of other widths. */
  private readonly hangs: number
  private readonly long: boolean
  private active: number[]
  /** No line can end before this width. */
  private nearest: number
  // What stands before the word at hand.
  private w = 0
  private g = 0
  private e = 0

  constructor(
    private readonly p: Paragraph,
    private readonly rules: BreakRules,
    private readonly tolerance: number,
    private readonly hyphenate: boolean,
  ) {
    const { indents, stretch, scaling, tracking, optical } = rules
    this.widths = lineWidths(rules)
    this.long = p.gap.length > LONG
    const { share, widest, dense } = reaches(p)
    this.most = 1 + scaling + dense * tracking + tolerance * stretch * share
    // A line that begins inside a divided word may hold one gap more than its share.
    this.slack = tolerance * stretch * widest + 0.001
    this.hangs = (optical ? 2 * widest : 0) + unlike(this.widths)
    starts.count = 0
    const hang = optical && !(indents[0]! > 0) ? p.frags[0]!.hangLeft : 0
    const start = starts.begin({ frag: 0, char: 0, w: 0, g: 0, e: 0, hang })
    this.active = [start]
    this.nearest = this.reach(start)
  }

  run(): Setting[] | undefined {
    const { p, rules } = this
    // One object for all words: there are many of them.
    const next: Spot = { frag: 0, char: 0, w: 0, g: 0, e: 0, hang: 0 }
    for (let i = 0; i < p.gap.length; i++) {
      const gap = p.gap[i]!
      const width = this.w + p.boxWidth[i]!
      const [final, forced] = [gap === Gap.end, gap === Gap.forced]
      const reached = width >= this.nearest
      if (this.hyphenate && !final && reached) this.divide(i)
      const end = p.boxStart[i + 1]!
      next.frag = end
      next.w = width + p.glue[i]!
      next.g = this.g + p.glue[i]!
      next.e = this.e + p.boxEms[i]!
      next.hang = 0
      if (gap !== Gap.tie && (reached || final || forced)) {
        const hangRight = rules.optical ? p.frags[end - 1]!.hangRight : 0
        const penalty = gap === Gap.none ? DASH : 0
        this.tryEnds({ w: width, g: this.g, e: next.e, hangRight, penalty, hyphen: false, final, forced }, true)
        if (final) return ends.count ? this.best(next) : undefined
        if (forced) this.active = []
        if (rules.optical && i + 1 < p.gap.length) next.hang = p.frags[end]!.hangLeft
        this.accept(next)
        if (!this.active.length) return undefined
        this.nearest = Infinity
        for (const a of this.active) this.nearest = Math.min(this.nearest, starts.reach[a]!)
      }
      this.w = next.w
      this.g = next.g
      this.e = next.e
    }
    return undefined
  }

  /** Tries to end lines inside the words of a box. */
  private divide(box: number): void {
    const { p, rules, g } = this
    let [w, e] = [this.w, this.e]
    for (let f = p.boxStart[box]!; f < p.boxStart[box + 1]!; f++) {
      const frag = p.frags[f]!
      if (frag.text.length >= 5) {
        const hyphen = frag.style.hyphenWidth
        const hangRight = rules.optical ? hyphen * 0.6 : 0
        for (const d of frag.style.divisions(frag)) {
          const end = w + d.before + hyphen
          if (end < this.nearest) continue
          const ems = e + (frag.ems * d.at) / frag.text.length
          const at = { w: end, g, e: ems, hangRight, penalty: HYPHEN, hyphen: true, final: false, forced: false }
          this.tryEnds(at, false)
          this.accept({ frag: f, char: d.at, w: w + d.before, g, e: ems, hang: 0 })
        }
      }
      w += frag.width
      e += frag.ems
    }
  }

  /** Tries to end a line of every active start at a point; what can be set becomes one of `ends`. `drop`: a start whose line is too wide here is spent, since it only grows; not where the hyphen alone may have made it so. */
  private tryEnds(at: Trial, drop: boolean): void {
    const { active } = this
    ends.count = 0
    const anyway = at.final || at.forced
    let kept = 0
    let k = 0
    for (; k < active.length; k++) {
      const a = active[k]!
      if (at.w < starts.reach[a]! && !anyway) {
        if (at.w < starts.reach[a]! - this.hangs) break
        active[kept++] = a
      } else if (this.tryEnd(a, at) || !drop) active[kept++] = a
    }
    if (kept === k) return
    for (; k < active.length; k++) active[kept++] = active[k]!
    active.length = kept
  }

  /** Weighs the line from `a` to a point. False where it is too wide even when it is shrunk as far as allowed. */
  private tryEnd(a: number, at: Trial): boolean {
    const { stretch, shrink, scaling, tracking } = this.rules
    const glue = at.g - starts.g[a]!
    const natural = at.w - starts.w[a]! - starts.hang[a]! - at.hangRight
    const diff = widthOf(this.widths, starts.line[a]!) - natural
    // Glyph scaling takes up what it can, since nobody sees it; the gaps take what is left. r is the gaps' part.
    const flex = (natural - glue) * scaling + (at.e - starts.e[a]!) * tracking
    let r: number
    if (diff >= 0) {
      const s = glue * stretch
      r = at.final || at.forced || diff <= flex ? 0 : s > 0 ? (diff - flex) / s : 1e9
    } else {
      const s = glue * shrink
      r = -diff <= flex ? 0 : s > 0 ? (diff + flex) / s : -1e9
    }
    if (r < -1.0000001) return false
    if (r > this.tolerance) return true
    const scaled = at.final && diff >= 0 ? 0 : flex > 0 ? Math.min(1, Math.abs(diff) / flex) : 0
    const capped = Math.min(r < 0 ? -r : r, 20)
    const badness = 100 * capped * capped * capped + SCALED * scaled * scaled
    const fit = at.final ? starts.fit[a]! : fitness(r)
    const ladder = at.hyphen ? starts.ladder[a]! + 1 : 0
    let dem = LINE + badness
    dem = dem * dem + at.penalty * at.penalty
    if (Math.abs(fit - starts.fit[a]!) > 1) dem += FITNESS
    if (ladder > 1) dem += LADDER
    if (ladder > this.rules.ladder) dem += FORBIDDEN_LADDER
    if (at.final) {
      if (starts.ladder[a]! > 0) dem += PENULTIMATE
      if (starts.line[a]! > 0 && natural < this.rules.leastLastLine) dem += SHORT_LAST
    }
    ends.offer(starts.line[a]! + 1, fit, dem + starts.demerits[a]!, a, ladder)
    return true
  }

  /** The ends at hand become starts of the next line, but for those that can never win. */
  private accept(at: Spot): void {
    if (!ends.count) return
    const { line, demerits } = ends
    let lead = 0
    if (this.long) for (let c = 1; c < ends.count; c++) if (demerits[c]! < demerits[lead]!) lead = c
    for (let c = 0; c < ends.count; c++) {
      if (this.long && Math.abs(line[c]! - line[lead]!) > LONG_SPREAD) continue
      // A start that another of the same line beats by more than a change of fitness costs can never win.
      let beaten = false
      for (let d = 0; d < ends.count; d++)
        if (line[d] === line[c] && demerits[d]! + FITNESS < demerits[c]!) beaten = true
      if (beaten) continue
      const n = starts.add(at, ends, c)
      this.reach(n)
      this.active.push(n)
    }
  }

  /** Notes, and gives, the width before which no line of a start ends. */
  private reach(n: number): number {
    const room = widthOf(this.widths, starts.line[n]!) + starts.hang[n]! - this.slack
    return (starts.reach[n] = this.tolerance === Infinity ? -1 : starts.w[n]! + room / this.most)
  }

  /** Of the paragraph's ends the best, and the best with a line fewer and a line more. */
  private best(at: Spot): Setting[] {
    const { line, demerits } = ends
    const bestOf = (lines?: number): number => {
      let best = -1
      for (let c = 0; c < ends.count; c++)
        if ((lines === undefined || line[c] === lines) && (best < 0 || demerits[c]! < demerits[best]!)) best = c
      return best
    }
    const best = bestOf()
    return [best, bestOf(line[best]! - 1), bestOf(line[best]! + 1)]
      .filter(c => c >= 0)
      .map(c => trace(starts.add(at, ends, c)))
  }
}

/** Of a paragraph's words: the greatest part that a gap has of its box, the widest gap, the most ems to a width. */
function reaches(p: Paragraph): { share: number; widest: number; dense: number } {
  let [share, widest, dense] = [0, 0, 0]
  for (let i = 0; i < p.gap.length; i++) {
    const glue = p.glue[i]!
    const whole = p.boxWidth[i]! + glue
    if (glue > widest) widest = glue
    if (glue > share * whole) share = glue / whole
    if (p.boxEms[i]! > dense * whole) dense = p.boxEms[i]! / whole
  }
  return { share, widest, dense }
}

/** The lines that lead to a start. */
function trace(end: number): Setting {
  const count = starts.line[end]!
  const toFrag = new Array<number>(count)
  const toChar = new Array<number>(count)
  for (let n = end, i = count - 1; i >= 0; i--, n = starts.prev[n]!) {
    toFrag[i] = starts.frag[n]!
    toChar[i] = starts.char[n]!
  }
  return { count, toFrag, toChar, demerits: starts.demerits[end]! }
}

/** First fit, for when a box alone is wider than its line: callers split such boxes, so this is a safety net that loses nothing. */
function overfull(p: Paragraph, rules: BreakRules): Setting[] {
  const { loose: _loose, ...setting } = ragged(p, rules)
  return [{ ...setting, demerits: 1e9 }]
}
