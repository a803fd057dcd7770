import type { Face } from './face'
import type { Frag, TextStyle } from './textStyle'
import { nextHash } from './wordTable'

/** What stands between one box and the next. */
export const Gap = { glue: 1, none: 2, forced: 3, tie: 4, end: 0 } as const

/** A paragraph ready for breaking: boxes (strings that stay whole or are divided) and the gaps behind them. */
export interface Paragraph {
  frags: Frag[]
  /** Box i holds frags[boxStart[i] … boxStart[i+1]). */
  boxStart: number[]
  gap: number[]
  /** Natural width of the gap behind each box, points. */
  glue: number[]
  boxWidth: number[]
  /** Size × number of letters in each box, points: what letter-spacing works on. */
  boxEms: number[]
  /** Notes called in the paragraph: the box that carries the mark. */
  notes: { box: number; id: string }[]
  /** Words with characters that no face has. */
  missing: string[]
  /** Characters that the face lacks and another lends. */
  borrowed: { text: string; from: Face }[]
}

// Where a long string may be parted without a hyphen: after a dash or a hyphen that stands between letters.
const parts = /[^—–‐-]*[—–‐-]+(?=[\p{L}\p{N}“‘(])|.+$/gu

/** Letters from which a string is no word, and those that stay together where it is parted; accents stay with their letters. */
const LONGEST_WORD = 150
const byForce = /(?:\P{M}\p{M}*){1,24}/gu

/** Collects styled text into a paragraph. */
export class ParagraphBuilder {
  readonly p: Paragraph = {
    frags: [],
    boxStart: [],
    gap: [],
    glue: [],
    boxWidth: [],
    boxEms: [],
    notes: [],
    missing: [],
    borrowed: [],
  }
  private open = false

  /** Adds text in a style. Spaces part boxes; no-break spaces make ties. */
  text(text: string, style: TextStyle): void {
    let i = 0
    const n = text.length
    while (i < n) {
      const c = text.charCodeAt(i)
      if (c === 32 || c === 9 || c === 10 || c === 13) {
        this.close(Gap.glue, style.space)
        i++
      } else if (c === 0xa0 || c === 0x202f) {
        this.close(Gap.tie, c === 0xa0 ? style.space : style.space * 0.6)
        i++
      } else {
        let j = i + 1
        let hash = nextHash(0, c)
        while (j < n) {
          const d = text.charCodeAt(j)
          if (d === 32 || d === 10 || d === 9 || d === 13 || d === 0xa0 || d === 0x202f) break
          hash = nextHash(hash, d)
          j++
        }
        const known = style.met.find(text, i, j, hash)
        if (known) this.push(known)
        else this.word(text.slice(i, j), style, hash)
        i = j
      }
    }
  }

  /** A forced line end; at the very beginning there is no line to end. */
  lineBreak(): void {
    this.close(Gap.forced, 0)
  }

  /** A note's mark, bound to the word before it. */
  note(id: string, mark: string, style: TextStyle): void {
    this.ensure()
    this.p.frags.push(style.later(mark))
    this.p.notes.push({ box: this.p.boxStart.length - 1, id })
  }

  /** A picture in the line: a piece without letters, kept whole. */
  sign(width: number, style: TextStyle, drawn: NonNullable<Frag['drawn']>): void {
    this.ensure()
    this.p.frags.push({
      text: '\ufffc',
      style,
      shaped: [],
      width,
      ems: 0,
      hangLeft: 0,
      hangRight: 0,
      divisions: [],
      drawn,
    })
  }

  build(): Paragraph {
    const p = this.p
    if (this.open) this.close(Gap.end, 0)
    else if (p.gap.length) {
      p.gap[p.gap.length - 1] = Gap.end
      p.glue[p.glue.length - 1] = 0
    }
    p.boxStart.push(p.frags.length)
    // New words of a paragraph are shaped together; only then are widths known.
    for (const f of p.frags) if (!f.shaped.length && !f.drawn) f.style.shapePending()
    for (let i = 0; i < p.gap.length; i++) {
      let width = 0
      let ems = 0
      for (let f = p.boxStart[i]!; f < p.boxStart[i + 1]!; f++) {
        const frag = p.frags[f]!
        width += frag.width
        ems += frag.ems
        for (const s of frag.shaped) {
          if (s.missing) p.missing.push(frag.text)
          else if (s.face !== frag.style.face)
            p.borrowed.push({ text: s.pairs.map(pair => s.face.pairText(pair)).join(''), from: s.face })
        }
      }
      p.boxWidth.push(width)
      p.boxEms.push(ems)
    }
    return p
  }

  private word(word: string, style: TextStyle, hash: number): void {
    // A string that no language calls a word is parted by force: nothing else would ever fit a line.
    if (word.length > LONGEST_WORD) {
      const pieces = word.match(byForce) ?? [word]
      return pieces.forEach((piece, i) => {
        this.piece(piece, style)
        if (i < pieces.length - 1) this.close(Gap.none, 0)
      })
    }
    if (word.length < 4 || !/[—–‐-]/.test(word)) {
      const frag = this.piece(word, style)
      if (frag) style.met.add(hash, frag)
      return
    }
    const pieces = word.match(parts) ?? [word]
    pieces.forEach((piece, i) => {
      this.piece(piece, style)
      if (i < pieces.length - 1) this.close(Gap.none, 0)
    })
  }

  private piece(text: string, style: TextStyle): Frag | undefined {
    // A soft hyphen typed by hand is an old manuscript's idea of a line end: the patterns know better.
    const clean = text.includes('\u00ad') ? text.replace(/\u00ad/g, '') : text
    if (!clean) return undefined
    const frag = style.later(clean)
    this.push(frag)
    // What holds a soft hyphen is not what the text says.
    return clean === text ? frag : undefined
  }

  private push(frag: Frag): void {
    this.ensure()
    this.p.frags.push(frag)
  }

  private ensure(): void {
    if (this.open) return
    this.p.boxStart.push(this.p.frags.length)
    this.open = true
  }

  private close(gap: number, glue: number): void {
    if (this.open) {
      this.p.gap.push(gap)
      this.p.glue.push(glue)
      this.open = false
    } else if (this.p.gap.length) {
      // A second space does not widen the gap, but a forced end wins over a space.
      const last = this.p.gap.length - 1
      if (gap === Gap.forced) {
        this.p.gap[last] = gap
        this.p.glue[last] = 0
      }
    }
  }
}
