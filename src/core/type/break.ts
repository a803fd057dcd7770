import type { Frag } from './textStyle'
import { Gap, type Paragraph } from './paragraph'

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

const LINE = 10
/** Badness of a line scaled to the limit. */
const SCALED = 12
const HYPHEN = 30
const DASH = 15
const LADDER = 8000
const PENULTIMATE = 5000
const FITNESS = 4000
const SHORT_LAST = 20000
const FORBIDDEN_LADDER = 1e6

/** Greatest stretch ratio of each pass; the last takes anything. */
const passes = [0.5, 2.2, Infinity]

const fitness = (r: number): number => (r < -0.5 ? 0 : r <= 0.5 ? 1 : r <= 1 ? 2 : 3)

// One breaker works at a time in a thread: scratch is shared and grows.
let cap = 256
let nFrag = new Int32Array(cap),
  nChar = new Int32Array(cap),
  nLine = new Int32Array(cap),
  nFit = new Int8Array(cap),
  nPrev = new Int32Array(cap),
  nLadder = new Int8Array(cap)
let nReach = new Float64Array(cap),
  nE = new Float64Array(cap),
  nW = new Float64Array(cap),
  nG = new Float64Array(cap),
  nHang = new Float64Array(cap),
  nDem = new Float64Array(cap)
let nodes = 0

function grow(): void {
  cap *= 2
  const up = <T extends Int32Array | Int8Array | Float64Array>(a: T): T => {
    const b = new (a.constructor as new (n: number) => T)(cap)
    b.set(a as never)
    return b
  }
  nFrag = up(nFrag)
  nChar = up(nChar)
  nLine = up(nLine)
  nFit = up(nFit)
  nPrev = up(nPrev)
  nLadder = up(nLadder)
  nReach = up(nReach)
  nE = up(nE)
  nW = up(nW)
  nG = up(nG)
  nHang = up(nHang)
  nDem = up(nDem)
}

function node(
  frag: number,
  char: number,
  line: number,
  fit: number,
  prev: number,
  ladder: number,
  w: number,
  g: number,
  e: number,
  hangLeft: number,
  dem: number,
): number {
  if (nodes === cap) grow()
  const n = nodes++
  nFrag[n] = frag
  nChar[n] = char
  nLine[n] = line
  nFit[n] = fit
  nPrev[n] = prev
  nLadder[n] = ladder
  nW[n] = w
  nG[n] = g
  nE[n] = e
  nHang[n] = hangLeft
  nDem[n] = dem
  return n
}

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

/** What is taken from a line on one side. */
const taken = (indents: number[] | undefined, line: number): number =>
  indents?.length ? indents[Math.min(line, indents.length - 1)]! : 0

/** What is taken from the right of a line, points. */
export const takenRight = (rules: Pick<BreakRules, 'rightIndents'>, line: number): number =>
  taken(rules.rightIndents, line)

/** Width of each line; the last entry holds for all that follow. */
function widths({ measure, indents, rightIndents }: BreakRules): number[] {
  const out: number[] = []
  for (let i = 0; i < Math.max(1, indents.length, rightIndents?.length ?? 0); i++)
    out.push(measure - taken(indents, i) - taken(rightIndents, i))
  return out
}

const widthOf = (widths: number[], line: number): number => widths[line < widths.length ? line : widths.length - 1]!

/** By how much lines of one paragraph differ in width at most. */
function unlike(widths: number[]): number {
  let [least, most] = [Infinity, -Infinity]
  for (const w of widths) {
    if (w < least) least = w
    if (w > most) most = w
  }
  return most - least
}

// Feasible ends of a line at one point, the best for each line number and fitness: parallel arrays, reused.
let feasible = 0
const cLine: number[] = [],
  cFit: number[] = [],
  cDem: number[] = [],
  cFrom: number[] = [],
  cLadder: number[] = []

/** Words from which a paragraph is long: the lines it may have at one place lie so far apart that each is a search of its own. From there only those near the best are followed, so that time grows with the text and not with its square. */
const LONG = 3000
const LONG_SPREAD = 2

function attempt(
  p: Paragraph,
  rules: BreakRules,
  tolerance: number,
  hyphenate: boolean,
): Omit<BrokenParagraph, 'loose'>[] | undefined {
  nodes = 0
  const { indents, stretch, shrink, scaling, tracking, optical } = rules
  const boxes = p.gap.length
  const lineWidths = widths(rules)
  // How far a line may be stretched at most: from this each start knows before which width no line of it can end, and words before
  // that are passed over. A line that begins inside a divided word may hold one gap more than its share.
  let share = 0
  let widest = 0
  let dense = 0
  for (let i = 0; i < boxes; i++) {
    const glue = p.glue[i]!
    const whole = p.boxWidth[i]! + glue
    if (glue > widest) widest = glue
    if (glue > share * whole) share = glue / whole
    if (p.boxEms[i]! > dense * whole) dense = p.boxEms[i]! / whole
  }
  const most = 1 + scaling + dense * tracking + tolerance * stretch * share
  const slack = tolerance * stretch * widest + 0.001
  const reach = (n: number): number =>
    (nReach[n] = tolerance === Infinity ? -1 : nW[n]! + (widthOf(lineWidths, nLine[n]!) + nHang[n]! - slack) / most)
  const start = node(0, 0, 0, 1, -1, 0, 0, 0, 0, optical && !(indents[0]! > 0) ? p.frags[0]!.hangLeft : 0, 0)
  let active: number[] = [start]
  /** No line can end before this width. */
  let nearest = reach(start)
  let W = 0
  let G = 0
  let E = 0
  // Starts stand in the order of the text, so what each reaches grows along the list but for what hangs out of the measure, and for lines of other widths.
  const hangs = (optical ? 2 * widest : 0) + unlike(lineWidths)

  // Tries to end a line at a point for every active node; feasible ends become candidates.
  const tryEnd = (
    endW: number,
    endG: number,
    endE: number,
    hangRight: number,
    penalty: number,
    hyphen: boolean,
    final: boolean,
    forced: boolean,
    drop: boolean,
  ): void => {
    feasible = 0
    let kept = 0
    const n = active.length
    let k = 0
    for (; k < n; k++) {
      const a = active[k]!
      if (endW < nReach[a]! && !final && !forced) {
        if (endW < nReach[a]! - hangs) break
        active[kept++] = a
        continue
      }
      const glue = endG - nG[a]!
      const natural = endW - nW[a]! - nHang[a]! - hangRight
      const diff = widthOf(lineWidths, nLine[a]!) - natural
      // Glyph scaling takes up what it can, since nobody sees it; the gaps take what is left. r is the gaps' part.
      const flex = (natural - glue) * scaling + (endE - nE[a]!) * tracking
      let r: number
      if (diff >= 0) {
        const s = glue * stretch
        r = final || forced || diff <= flex ? 0 : s > 0 ? (diff - flex) / s : 1e9
      } else {
        const s = glue * shrink
        r = -diff <= flex ? 0 : s > 0 ? (diff + flex) / s : -1e9
      }
      const scaled = final && diff >= 0 ? 0 : flex > 0 ? Math.min(1, Math.abs(diff) / flex) : 0
      if (r < -1.0000001) {
        // The line only grows from here on: this start is spent, unless the hyphen alone made it too wide.
        if (drop) continue
      } else if (r <= tolerance) {
        const capped = Math.min(r < 0 ? -r : r, 20)
        const badness = 100 * capped * capped * capped + SCALED * scaled * scaled
        const fit = final ? nFit[a]! : fitness(r)
        let dem = LINE + badness
        dem = dem * dem + penalty * penalty
        if (Math.abs(fit - nFit[a]!) > 1) dem += FITNESS
        let ladder = 0
        if (hyphen) {
          ladder = nLadder[a]! + 1
          if (ladder > 1) dem += LADDER
          if (ladder > rules.ladder) dem += FORBIDDEN_LADDER
        }
        if (final) {
          if (nLadder[a]! > 0) dem += PENULTIMATE
          if (nLine[a]! > 0 && natural < rules.leastLastLine) dem += SHORT_LAST
        }
        dem += nDem[a]!
        const line = nLine[a]! + 1
        let c = 0
        while (c < feasible && (cLine[c] !== line || cFit[c] !== fit)) c++
        if (c === feasible || dem < cDem[c]!) {
          if (c === feasible) feasible++
          cLine[c] = line
          cFit[c] = fit
          cDem[c] = dem
          cFrom[c] = a
          cLadder[c] = ladder
        }
      }
      active[kept++] = a
    }
    if (kept < k) {
      for (; k < n; k++) active[kept++] = active[k]!
      active.length = kept
    }
  }

  const accept = (frag: number, char: number, w: number, g: number, e: number, hangLeft: number): void => {
    let lead = 0
    if (long) for (let c = 1; c < feasible; c++) if (cDem[c]! < cDem[lead]!) lead = c
    for (let c = 0; c < feasible; c++) {
      if (long && Math.abs(cLine[c]! - cLine[lead]!) > LONG_SPREAD) continue
      // A start that another of the same line beats by more than a change of fitness costs can never win.
      let beaten = false
      for (let d = 0; d < feasible; d++) if (cLine[d] === cLine[c] && cDem[d]! + FITNESS < cDem[c]!) beaten = true
      if (beaten) continue
      const n = node(frag, char, cLine[c]!, cFit[c]!, cFrom[c]!, cLadder[c]!, w, g, e, hangLeft, cDem[c]!)
      reach(n)
      active.push(n)
    }
  }

  const long = boxes > LONG
  const ends: { node: number; line: number; dem: number }[] = []
  for (let i = 0; i < boxes; i++) {
    const bw = p.boxWidth[i]!
    const gap = p.gap[i]!
    const first = p.boxStart[i]!
    const end = p.boxStart[i + 1]!
    if (hyphenate && gap !== Gap.end && W + bw >= nearest) {
      let fragW = W
      let fragE = E
      for (let f = first; f < end; f++) {
        const frag = p.frags[f]!
        if (frag.text.length >= 5) {
          for (const d of frag.style.divisions(frag)) {
            const end = fragW + d.before + frag.style.hyphenWidth
            if (end < nearest) continue
            const ems = fragE + (frag.ems * d.at) / frag.text.length
            tryEnd(end, G, ems, optical ? frag.style.hyphenWidth * 0.6 : 0, HYPHEN, true, false, false, false)
            if (feasible) accept(f, d.at, fragW + d.before, G, ems, 0)
          }
        }
        fragW += frag.width
        fragE += frag.ems
      }
    }
    const last = p.frags[end - 1]!
    const hangRight = optical ? last.hangRight : 0
    const nextW = W + bw + p.glue[i]!
    const nextG = G + p.glue[i]!
    const nextE = E + p.boxEms[i]!
    if (gap === Gap.tie) {
      W = nextW
      G = nextG
      E = nextE
      continue
    }
    const final = gap === Gap.end
    const forced = gap === Gap.forced
    if (W + bw < nearest && !final && !forced) {
      W = nextW
      G = nextG
      E = nextE
      continue
    }
    tryEnd(W + bw, G, nextE, hangRight, gap === Gap.none ? DASH : 0, false, final, forced, true)
    if (final) {
      for (let c = 0; c < feasible; c++)
        ends.push({
          node: node(end, 0, cLine[c]!, cFit[c]!, cFrom[c]!, 0, 0, 0, 0, 0, cDem[c]!),
          line: cLine[c]!,
          dem: cDem[c]!,
        })
      break
    }
    if (forced) active = []
    if (feasible) accept(end, 0, nextW, nextG, nextE, optical && i + 1 < boxes ? p.frags[end]!.hangLeft : 0)
    if (!active.length) return tolerance === Infinity ? overfull(p, rules) : undefined
    nearest = Infinity
    for (let k = 0; k < active.length; k++) nearest = Math.min(nearest, nReach[active[k]!]!)
    W = nextW
    G = nextG
    E = nextE
  }
  if (!ends.length) return tolerance === Infinity ? overfull(p, rules) : undefined
  return bestByLines(ends)
}

function bestByLines(ends: { node: number; line: number; dem: number }[]): Omit<BrokenParagraph, 'loose'>[] {
  let best = ends[0]!
  for (const e of ends) if (e.dem < best.dem) best = e
  const out = [trace(best.node)]
  for (const by of [-1, 1]) {
    let other: (typeof ends)[number] | undefined
    for (const e of ends) if (e.line === best.line + by && (!other || e.dem < other.dem)) other = e
    if (other) out.push(trace(other.node))
  }
  return out
}

function trace(end: number): Omit<BrokenParagraph, 'loose'> {
  const count = nLine[end]!
  const toFrag = new Array<number>(count)
  const toChar = new Array<number>(count)
  const demerits = nDem[end]!
  for (let n = end, i = count - 1; i >= 0; i--, n = nPrev[n]!) {
    toFrag[i] = nFrag[n]!
    toChar[i] = nChar[n]!
  }
  return { count, toFrag, toChar, demerits }
}

/** First fit, for when a box alone is wider than its line: callers split such boxes, so this is a safety net that loses nothing. */
function overfull(p: Paragraph, rules: BreakRules): Omit<BrokenParagraph, 'loose'>[] {
  const b = ragged(p, rules)
  return [{ ...b, demerits: 1e9 }]
}

/** Ragged setting: gaps keep their width; breaks minimise the sum of the squares of what is left over, words stay whole. A last line too short counts like one a third empty. */
function ragged(p: Paragraph, rules: BreakRules): BrokenParagraph {
  const n = p.gap.length
  const lineWidths = widths(rules)
  // best[i]: least cost of setting boxes 0…i−1 in whole lines; by line count only through the stored chain.
  const cost = new Float64Array(n + 1).fill(Infinity)
  const prev = new Int32Array(n + 1).fill(-1)
  const line = new Int32Array(n + 1)
  cost[0] = 0
  for (let i = 0; i < n; i++) {
    if (cost[i] === Infinity) continue
    let w = 0
    // Words tied together stay on a line even where they are too wide for it: nothing may be lost.
    let ended = false
    const room = widthOf(lineWidths, line[i]!)
    for (let j = i; j < n; j++) {
      w += p.boxWidth[j]!
      if (w > room + 0.01 && ended) break
      const gap = p.gap[j]!
      if (gap !== Gap.tie) {
        ended = true
        const left = room - w
        const end = gap === Gap.end || gap === Gap.forced
        const short = end && i > 0 && w < rules.leastLastLine ? (room / 3) ** 2 : 0
        const c = cost[i]! + (left < 0 ? 1e6 : end ? short : left * left) + 1
        if (c < cost[j + 1]!) {
          cost[j + 1] = c
          prev[j + 1] = i
          line[j + 1] = line[i]! + 1
        }
        if (end) break
      }
      w += p.glue[j]!
    }
  }
  const count = line[n]!
  const toFrag = new Array<number>(count)
  for (let i = n, k = count - 1; k >= 0; i = prev[i]!, k--) toFrag[k] = p.boxStart[i]!
  return { count, toFrag, toChar: new Array<number>(count).fill(0), demerits: cost[n]!, loose: false }
}

/** Ragged setting at its best, and a line longer: set to a measure up to a twelfth narrower. */
function raggedLengths(p: Paragraph, rules: BreakRules): BrokenParagraph[] {
  const best = ragged(p, rules)
  for (const part of [0.98, 0.96, 0.94, 0.92]) {
    const longer = ragged(p, { ...rules, measure: rules.measure * part })
    if (longer.count === best.count + 1 && longer.demerits < 1e6)
      return [best, { ...longer, demerits: best.demerits + (1 - part) * 1e5 }]
    if (longer.count > best.count) break
  }
  return [best]
}

/** Lines of like length, by the narrowest measure that needs no more lines. */
function balanced(p: Paragraph, rules: BreakRules): BrokenParagraph {
  let best = ragged(p, rules)
  if (best.count < 2) return best
  let low = rules.measure / 3
  let high = rules.measure
  for (let i = 0; i < 7; i++) {
    const measure = (low + high) / 2
    const tried = ragged(p, { ...rules, measure })
    if (tried.count === best.count && tried.demerits < 1e6) {
      best = tried
      high = measure
    } else low = measure
  }
  return best
}

/** Parts pieces that are wider than a line (addresses, rows of signs) between characters, so that nothing overflows. */
export function splitLong(p: Paragraph, measure: number): Paragraph {
  if (!p.boxWidth.some(w => w > measure)) return p
  const out: Paragraph = {
    frags: [],
    boxStart: [],
    gap: [],
    glue: [],
    boxWidth: [],
    boxEms: [],
    notes: [],
    missing: p.missing,
    borrowed: p.borrowed,
  }
  const boxAt: number[] = []
  for (let i = 0; i < p.gap.length; i++) {
    const frags = p.frags.slice(p.boxStart[i]!, p.boxStart[i + 1]!)
    const pieces: Frag[][] = []
    if (p.boxWidth[i]! <= measure) pieces.push(frags)
    else {
      let w = Infinity
      for (const f of frags)
        for (const part of chunks(f, measure * 0.98)) {
          if (w + part.width > measure * 0.98) {
            pieces.push([])
            w = 0
          }
          pieces[pieces.length - 1]!.push(part)
          w += part.width
        }
    }
    pieces.forEach((piece, k) => {
      out.boxStart.push(out.frags.length)
      out.frags.push(...piece)
      out.boxWidth.push(piece.reduce((s, f) => s + f.width, 0))
      out.boxEms.push(piece.reduce((s, f) => s + f.ems, 0))
      const last = k === pieces.length - 1
      out.gap.push(last ? p.gap[i]! : Gap.none)
      out.glue.push(last ? p.glue[i]! : 0)
    })
    boxAt.push(out.gap.length - 1)
  }
  out.boxStart.push(out.frags.length)
  for (const n of p.notes) out.notes.push({ ...n, box: boxAt[n.box]! })
  return out
}

/** A piece in parts no wider than `room`: whole words' worth of characters each. */
function chunks(f: Frag, room: number): Frag[] {
  if (f.width <= room || f.drawn) return [f]
  const out: Frag[] = []
  let rest = [...f.text]
  while (rest.length) {
    // Guess from the average width, then step down: few tries even for very long strings.
    let k = Math.max(1, Math.min(rest.length, Math.floor((room / f.width) * f.text.length)))
    let part = f.style.frag(rest.slice(0, k).join(''))
    while (k > 1 && part.width > room)
      part = f.style.frag(rest.slice(0, (k = Math.max(1, Math.floor(k * 0.9)))).join(''))
    out.push(part)
    rest = rest.slice(k)
  }
  return out
}
