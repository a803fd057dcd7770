import { PathBuilder } from '../../marks'
import { setMiddle } from '../gridDrawing'
import type { PuzzleBox } from '../puzzle'
import type { Cryptogram } from './values'

/** Letters in a line, and height of a line by a letter's width: the answer above, its line, the cipher under it. */
const LINE = 16
const HIGH = 2.9
/** The table of all letters at the foot: two rows, by a letter's width. */
const TABLE = 3.4
const ANSWER = 0.92
const CIPHER = 0.74
const HAIR = 0.05

/** Words in lines that are no longer than may be. */
export function linesOf(cipher: string): string[] {
  const lines = ['']
  for (const word of cipher.split(/\s+/)) {
    const line = lines.at(-1)!
    if (line && line.length + 1 + word.length > LINE) lines.push(word)
    else lines[lines.length - 1] = line ? `${line} ${word}` : word
  }
  return lines
}
const wide = (lines: string[]): number => Math.max(12, ...lines.map(l => l.length))
const high = (lines: string[], answer: boolean): number => lines.length * HIGH + (answer ? 0 : TABLE + 0.6)

export const ratio = ({ cipher }: Cryptogram, answer: boolean): number => {
  const lines = linesOf(cipher)
  return wide(lines) / high(lines, answer)
}

/** The cipher under lines to write on, the letters that are given on theirs; at the foot all letters to keep the key in. */
export async function draw({
  out,
  puzzle,
  answer,
  width,
  height,
  place,
  styleOf,
}: PuzzleBox<Cryptogram>): Promise<void> {
  const { cipher, key, hints } = puzzle
  const lines = linesOf(cipher)
  const unit = Math.min(width / wide(lines), height / high(lines, answer))
  const y0 = (height - high(lines, answer) * unit) / 2
  const [big, small] = [unit * ANSWER, unit * CIPHER]
  const [plain, code] = [await styleOf('figtree/bold', big), await styleOf('figtree/regular', small)]
  const rules = new PathBuilder()
  const hair = Math.max(0.4, unit * HAIR)
  lines.forEach((line, row) => {
    const x0 = (width - line.length * unit) / 2
    Array.from(line).forEach((sign, i) => {
      const [x, y] = [x0 + (i + 0.5) * unit, y0 + row * HIGH * unit]
      const read = key[sign]
      if (read === undefined) {
        if (sign !== ' ') setMiddle(out, sign, { style: plain, size: big, x, y: y + 0.72 * unit, place })
        return
      }
      rules.rect(x - 0.42 * unit, y + 1.3 * unit, 0.84 * unit, hair)
      if (answer || hints.includes(read))
        setMiddle(out, read, { style: plain, size: big, x, y: y + 0.72 * unit, place })
      setMiddle(out, sign, { style: code, size: small, x, y: y + 1.85 * unit, place })
    })
  })
  if (!answer) {
    const top = y0 + (lines.length * HIGH + 0.6) * unit
    const cell = Math.min(unit * 1.3, width / 26)
    const left = (width - 26 * cell) / 2
    const tiny = cell * 0.6
    const style = await styleOf('figtree/regular', tiny)
    Array.from('ABCDEFGHIJKLMNOPQRSTUVWXYZ').forEach((sign, i) => {
      const x = left + (i + 0.5) * cell
      setMiddle(out, sign, { style, size: tiny, x, y: top + 0.4 * cell, place })
      rules.rect(x - 0.4 * cell, top + 1.75 * cell, 0.8 * cell, hair)
      const read = key[sign]
      if (read && hints.includes(read)) setMiddle(out, read, { style, size: tiny, x, y: top + 1.3 * cell, place })
    })
  }
  out.add({ kind: 'path', path: rules.build(), fill: { k: 1 } })
}
