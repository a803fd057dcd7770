import { type PageMarks, visitPage } from '../marks'

/** A box on a page, points from the trim's top left. */
export interface PageBox {
  x: number
  y: number
  width: number
  height: number
}

/** A line as it stands, with its gaps against the face's own. */
export interface LineAsSet extends PageBox {
  baseline: number
  /** Mean gap ÷ natural gap; 1 where the line has none. */
  gaps: number
}

/** One character of a page and where it stands. */
interface Placed {
  text: string
  x: number
  end: number
  baseline: number
  size: number
}

/** The characters of a page in the order in which they are set, spaces among them. */
function placed(page: PageMarks): Placed[] {
  const out: Placed[] = []
  visitPage(page, v => {
    if (!('text' in v)) return
    const t = v.text
    for (let r = 0; r < t.count; r++) {
      const face = t.faces[t.face[r]!]!
      const unit = (t.size[r]! * t.stretch[r]!) / face.unitsPerEm
      for (let g = t.start[r]!; g < t.start[r + 1]!; g++) {
        const x = v.x + t.x[g]!
        out.push({
          text: face.pairText(t.glyphs[g]!),
          x,
          end: x + face.advance(face.pairGlyph(t.glyphs[g]!)) * unit,
          baseline: v.y + t.baseline[r]!,
          size: t.size[r]!,
        })
      }
    }
  })
  return out
}

/** The lines of a page and how wide their gaps came out: what is loose or tight, measured on what will print. */
export function linesOf(page: PageMarks): LineAsSet[] {
  const lines: { chars: Placed[]; baseline: number }[] = []
  for (const c of placed(page)) {
    const last = lines[lines.length - 1]
    // Raised marks and small capitals stay in their line.
    if (last && Math.abs(last.baseline - c.baseline) < c.size * 0.45 && c.x > last.chars[last.chars.length - 1]!.x - 1)
      last.chars.push(c)
    else lines.push({ chars: [c], baseline: c.baseline })
  }
  return lines
    .filter(l => l.chars.some(c => c.text.trim()))
    .map(({ chars, baseline }) => {
      let sum = 0
      let n = 0
      chars.forEach((c, i) => {
        const next = chars[i + 1]
        if (c.text !== ' ' || !next || c.end <= c.x) return
        sum += (next.x - c.x) / (c.end - c.x)
        n++
      })
      const size = Math.max(...chars.map(c => c.size))
      const x = chars[0]!.x
      return {
        x,
        y: baseline - size * 0.75,
        width: chars[chars.length - 1]!.end - x,
        height: size,
        baseline,
        gaps: n ? sum / n : 1,
      }
    })
}

/**
 * Where a text stands on a page: one entry a match, one box a line that it touches. Case is not told apart, any run of spaces
 * matches a line's end, and hyphens that setting put in do not part a word.
 */
export function findOnPage(page: PageMarks, wanted: string): PageBox[][] {
  const needle = wanted.trim().toLowerCase().replace(/\s+/g, ' ')
  if (!needle) return []
  const chars: Placed[] = []
  let text = ''
  const at: number[] = []
  const put = (s: string, c: number): void => {
    for (const ch of s.toLowerCase()) {
      if (ch === ' ' && (text.endsWith(' ') || !text)) continue
      text += ch
      for (let k = 0; k < ch.length; k++) at.push(c)
    }
  }
  for (const c of placed(page)) {
    const before = chars[chars.length - 1]
    const turned = before && (Math.abs(before.baseline - c.baseline) > c.size * 0.45 || c.x < before.x - 1)
    // A soft hyphen ends a line inside a word; any other line end parts words.
    if (turned && before.text !== '\u00ad') put(' ', chars.length - 1)
    chars.push(c)
    if (c.text !== '\u00ad') put(c.text, chars.length - 1)
  }
  const out: PageBox[][] = []
  for (let from = text.indexOf(needle); from >= 0; from = text.indexOf(needle, from + needle.length)) {
    const boxes: PageBox[] = []
    let line = NaN
    for (let i = at[from]!; i <= at[from + needle.length - 1]!; i++) {
      const c = chars[i]!
      const box = boxes[boxes.length - 1]
      if (!box || Math.abs(c.baseline - line) > c.size * 0.45 || c.x < box.x) {
        boxes.push({ x: c.x, y: c.baseline - c.size * 0.78, width: c.end - c.x, height: c.size })
        line = c.baseline
      } else box.width = Math.max(box.width, c.end - box.x)
    }
    out.push(boxes)
  }
  return out
}
