import type { Proof } from '../puzzle'
import type { LetterGrid } from './grid'

/** A line of a grid that can be read: its letters and the cells they stand in. */
interface Line {
  text: string
  cells: number[]
}

/**
 * Looks for every word along every line, forth and back, as a reader with all the time in the world: how often each stands in the
 * grid, and whether that is where the maker says. A word that reads the same both ways counts once; a closed cell ends a line.
 */
export function prove({ rows, cols, letters, words, message }: LetterGrid): Proof {
  const lines: Line[] = []
  const walk = (row: number, col: number, down: number, right: number): void => {
    let cells: number[] = []
    const end = (): void => {
      if (cells.length) lines.push({ text: cells.map(at => letters[at]).join(''), cells })
      cells = []
    }
    for (let r = row, c = col; r >= 0 && c >= 0 && r < rows && c < cols; r += down, c += right)
      if (letters[r * cols + c]) cells.push(r * cols + c)
      else end()
    end()
  }
  for (let r = 0; r < rows; r++) walk(r, 0, 0, 1)
  for (let c = 0; c < cols; c++) walk(0, c, 1, 0)
  for (let c = 0; c < cols; c++) {
    walk(0, c, 1, 1)
    walk(0, c, 1, -1)
  }
  for (let r = 1; r < rows; r++) {
    walk(r, 0, 1, 1)
    walk(r, cols - 1, 1, -1)
  }
  let [agrees, most, least] = [true, 1, 1]
  const covered = new Set<number>()
  for (const word of words) {
    const places = placesOf(word.letters, lines)
    most = Math.max(most, places.size)
    least = Math.min(least, places.size)
    const [only] = places.values()
    if (!only) continue
    const first = word.row * cols + word.col
    const back = Array.from(word.letters).reverse().join('') === word.letters
    agrees &&= only[0] === first || (back && only.at(-1) === first)
    for (const at of only) covered.add(at)
  }
  if (message) {
    const left = letters.filter((sign, at) => sign && !covered.has(at)).join('')
    agrees &&= left.startsWith(message.letters)
  }
  const answers = least < 1 ? 0 : most > 1 ? 2 : 1
  return { answers, agrees: answers === 1 && agrees }
}

/** Every place of a word, by its cells whichever way they are read; its cells from its first letter. */
function placesOf(word: string, lines: readonly Line[]): Map<string, number[]> {
  const places = new Map<string, number[]>()
  const back = Array.from(word).reverse().join('')
  for (const { text, cells } of lines)
    for (const [of, turned] of [
      [word, false],
      [back, true],
    ] as const)
      for (let i = text.indexOf(of); i >= 0; i = text.indexOf(of, i + 1)) {
        const here = cells.slice(i, i + of.length)
        const key = [...here].sort((a, b) => a - b).join()
        if (!places.has(key)) places.set(key, turned ? here.reverse() : here)
      }
  return places
}
