import { PathBuilder } from '../../marks'
import { setFrag } from '../../type'
import { CELL_LINE, held, setMiddle } from '../gridDrawing'
import type { PuzzleBox } from '../puzzle'
import type { GuessSheet } from './values'

/** A round's measures, by the width of a letter of the strip: what it is called, the blanks, the strip, and air below it. */
const HEAD = 1.9
const BLANK = 1.5
const BLANKS = 3.2
const STRIP = 1.5
const AIR = 2.2
const ROUND = HEAD + BLANKS + STRIP + AIR
const STRIPPED = 26
/** A lamp's radius. */
const LAMP = 0.36

const wide = ({ rounds }: GuessSheet): number => Math.max(STRIPPED, ...rounds.map(r => r.letters.length * BLANK))
/** An answer has the words only. */
const round = (answer: boolean): number => (answer ? HEAD + BLANKS : ROUND)
const high = ({ rounds }: GuessSheet, answer: boolean): number => rounds.length * round(answer) - (answer ? 0 : AIR)

export const ratio = (puzzle: GuessSheet, answer: boolean): number => wide(puzzle) / high(puzzle, answer)

/** For each round its number and lamps to cross out, a blank a letter, and the strip of letters that may be asked for. */
export async function draw({
  out,
  puzzle,
  answer,
  width,
  height,
  place,
  styleOf,
}: PuzzleBox<GuessSheet>): Promise<void> {
  const { rounds, lamps, theme } = puzzle
  const unit = Math.min(width / wide(puzzle), height / high(puzzle, answer))
  const [x0, y0] = [(width - wide(puzzle) * unit) / 2, (height - high(puzzle, answer) * unit) / 2]
  const sizes = { head: unit * 0.78, blank: unit * 1.1, strip: unit * 0.66 }
  const [head, word, strip] = await Promise.all([
    styleOf('fraunces/bold', sizes.head),
    styleOf('figtree/bold', sizes.blank),
    styleOf('figtree/regular', sizes.strip),
  ])
  const hair = held(CELL_LINE, width)
  const [lines, rings] = [new PathBuilder(), new PathBuilder()]
  rounds.forEach(({ letters }, r) => {
    const top = y0 + r * round(answer) * unit
    setFrag(out, head.frag(`${theme === undefined ? '' : `${theme}, `}${letters.length} letters`), {
      x: x0,
      y: top + 0.75 * unit,
      place,
    })
    for (let i = 0; i < lamps && !answer; i++)
      rings.circle(x0 + (wide(puzzle) - (lamps - i - 0.5)) * unit, top + 0.5 * unit, LAMP * unit)
    const blanksFrom = x0 + ((wide(puzzle) - letters.length * BLANK) / 2) * unit
    Array.from(letters).forEach((sign, i) => {
      const x = blanksFrom + (i + 0.5) * BLANK * unit
      const y = top + (HEAD + 1.55) * unit
      lines.rect(x - 0.6 * unit, y, 1.2 * unit, Math.max(hair, unit * 0.06))
      if (answer) setMiddle(out, sign, { style: word, size: sizes.blank, x, y: y - 0.6 * unit, place })
    })
    if (answer) return
    const stripFrom = x0 + ((wide(puzzle) - STRIPPED) / 2) * unit
    Array.from('ABCDEFGHIJKLMNOPQRSTUVWXYZ').forEach((sign, i) => {
      const x = stripFrom + (i + 0.5) * unit
      setMiddle(out, sign, { style: strip, size: sizes.strip, x, y: top + (HEAD + BLANKS + 0.4) * unit, place })
    })
  })
  if (!answer) out.add({ kind: 'path', path: rings.build(), stroke: { colour: { k: 1 }, width: Math.max(0.4, hair) } })
  out.add({ kind: 'path', path: lines.build(), fill: { k: 1 } })
}
