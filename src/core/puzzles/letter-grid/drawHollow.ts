import { PathBuilder } from '../../marks'
import { silhouettes } from '../../silhouettes'
import { setFrag } from '../../type'
import type { PuzzleBox } from '../puzzle'
import type { LetterGrid } from './grid'

/** What stands in a hollow keeps so far from its letters, in cells. */
const AIR = 0.6
const FACE = 'fraunces/bold'
/** Lines of a saying apart, by its size; the most that its letters are larger than a cell. */
const LEADING = 1.25
const LARGEST = 1.3
const TONE = 0.85

/** What a hollow holds: a saying in lines as large as they go, or a silhouette. */
export async function drawHollow(
  { out, puzzle, place, styleOf }: PuzzleBox<LetterGrid>,
  { cell, x0, y0 }: { cell: number; x0: number; y0: number },
): Promise<void> {
  const { box, holds } = puzzle.hollow ?? {}
  if (!box || !holds) return
  const [width, height] = [(box.cols - 2 * AIR) * cell, (box.rows - 2 * AIR) * cell]
  const [left, top] = [x0 + (box.col + AIR) * cell, y0 + (box.row + AIR) * cell]
  if ('silhouette' in holds) {
    const shape = silhouettes().find(s => s.id === holds.silhouette)
    if (!shape) return
    const unit = Math.min(width / shape.width, height / shape.height)
    const [x, y] = [left + (width - shape.width * unit) / 2, top + (height - shape.height * unit) / 2]
    const path = new PathBuilder()
    for (const ring of shape.rings) {
      ring.forEach(([px, py], i) =>
        i ? path.line(x + px * unit, y + py * unit) : path.move(x + px * unit, y + py * unit),
      )
      path.close()
    }
    out.add({ kind: 'path', path: path.build(), fill: { k: TONE } })
    return
  }
  const words = holds.saying.split(' ')
  // Widths grow with the size: they are measured once.
  const unit = await styleOf(FACE, 1)
  const lines = linesFor(words, width / height, text => unit.frag(text).width)
  const widest = Math.max(...lines.map(l => unit.frag(l).width))
  const size = Math.min(width / widest, height / (lines.length * LEADING), cell * LARGEST)
  const style = await styleOf(FACE, size)
  const first = top + (height - lines.length * size * LEADING) / 2 + size
  lines.forEach((line, i) => {
    const frag = style.frag(line)
    setFrag(out, frag, { x: left + (width - frag.width) / 2, y: first + i * size * LEADING, place })
  })
}

/** Words in as many lines as make them largest in a box of a shape (width by height). */
function linesFor(words: readonly string[], shape: number, widthOf: (text: string) => number): string[] {
  let best: { lines: string[]; size: number } | undefined
  for (let count = 1; count <= words.length; count++) {
    const lines = broken(words, count, widthOf)
    const size = Math.min(shape / Math.max(...lines.map(widthOf)), 1 / (lines.length * LEADING))
    if (!best || size > best.size) best = { lines, size }
  }
  return best?.lines ?? []
}

/** Words in no more lines than that, none longer than it must be. */
function broken(words: readonly string[], count: number, widthOf: (text: string) => number): string[] {
  const set = (most: number): string[] => {
    const lines: string[] = []
    for (const word of words) {
      const longer = lines.length ? `${lines.at(-1)!} ${word}` : word
      if (lines.length && widthOf(longer) <= most) lines[lines.length - 1] = longer
      else lines.push(word)
    }
    return lines
  }
  let [low, high] = [Math.max(...words.map(widthOf)), widthOf(words.join(' '))]
  for (let i = 0; i < 12; i++) {
    const middle = (low + high) / 2
    if (set(middle).length <= count) high = middle
    else low = middle
  }
  return set(high)
}
