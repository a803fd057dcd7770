import { PathBuilder } from '../../marks'
import { CELL_LINE, held, setMiddle } from '../gridDrawing'
import type { PuzzleBox, PuzzleWork } from '../puzzle'
import { make } from './make'
import { prove } from './solve'
import type { LadderValues, WordLadder } from './values'

/** Between ladders, in sides of a box; a rung's height; letters by the side of a box. */
const GAP = 1.2
const RUNG = 1.28
const LETTER = 0.6
const HELD_TONE = 0.1

/** Ladders side by side: three at most, then below. */
function shape({ ladders }: WordLadder) {
  const across = Math.min(3, ladders.length)
  const rows = Array.from({ length: Math.ceil(ladders.length / across) }, (_, r) =>
    ladders.slice(r * across, (r + 1) * across),
  )
  const letters = ladders[0]![0]!.length
  const heights = rows.map(row => Math.max(...row.map(l => l.length)) * RUNG)
  return {
    across,
    rows,
    letters,
    heights,
    wide: across * letters + (across - 1) * GAP,
    high: heights.reduce((a, b) => a + b, 0) + (rows.length - 1) * GAP,
  }
}

/** Boxes a rung, the first and the last word in theirs. */
async function draw({ out, puzzle, answer, width, height, place, styleOf }: PuzzleBox<WordLadder>): Promise<void> {
  const { rows, letters, heights, wide, high } = shape(puzzle)
  const unit = Math.min(width / wide, height / high)
  const hair = held(CELL_LINE, width)
  const size = unit * LETTER
  const [given, found] = [await styleOf('figtree/bold', size), await styleOf('figtree/regular', size)]
  const [frames, tones] = [new PathBuilder(), new PathBuilder()]
  let top = (height - high * unit) / 2
  const text: { sign: string; x: number; y: number; ends: boolean }[] = []
  rows.forEach((row, r) => {
    row.forEach((ladder, c) => {
      const left = (width - wide * unit) / 2 + c * (letters + GAP) * unit
      ladder.forEach((word, i) => {
        const ends = i === 0 || i === ladder.length - 1
        const y = top + i * RUNG * unit
        Array.from(word).forEach((sign, k) => {
          const x = left + k * unit
          if (ends) tones.rect(x, y, unit, unit)
          frames.rect(x, y, unit, hair).rect(x, y + unit - hair, unit, hair)
          frames.rect(x, y, hair, unit).rect(x + unit - hair, y, hair, unit)
          if (ends || answer) text.push({ sign, x: x + unit / 2, y: y + unit / 2, ends })
        })
      })
    })
    top += (heights[r]! + GAP) * unit
  })
  out.add({ kind: 'path', path: tones.build(), fill: { k: HELD_TONE } })
  out.add({ kind: 'path', path: frames.build(), fill: { k: 1 } })
  for (const { sign, x, y, ends } of text) setMiddle(out, sign, { style: ends ? given : found, size, x, y, place })
}

export const work: PuzzleWork<LadderValues, WordLadder> = {
  make,
  prove,
  ratio: puzzle => {
    const { wide, high } = shape(puzzle)
    return wide / high
  },
  draw,
  record: ({ ladders }) => ({ ladders: ladders.map(words => ({ words })) }),
}
