import { setMiddle } from '../gridDrawing'
import { drawSheet, type SheetLine, sheetRatio } from '../lineSheet'
import type { PuzzleBox, PuzzleWork } from '../puzzle'
import { make } from './make'
import { prove } from './solve'
import type { MissingVowels, VowelValues } from './values'

/** Words in boxes: a space of a phrase is a gap only where its groups are its own. */
const linesOf = ({ items }: MissingVowels, answer: boolean): SheetLine[] =>
  items.map(({ letters, given }) => ({ given, boxes: Array.from(letters, sign => (answer ? sign : '')) }))

/** Share of the height that the theme stands in, over the lines. */
const THEME = 0.06
/** No larger than the heading of its page, points. */
const THEME_MOST = 12
const head = ({ theme }: MissingVowels): number => (theme === undefined ? 0 : THEME)

async function draw(on: PuzzleBox<MissingVowels>): Promise<void> {
  const { puzzle, width, height, place, styleOf, out, answer } = on
  const top = head(puzzle) * height
  if (puzzle.theme !== undefined) {
    const size = Math.min(top * 0.62, THEME_MOST)
    const style = await styleOf('fraunces/bold', Math.min(size, (width / puzzle.theme.length) * 1.6))
    setMiddle(out, puzzle.theme, { style, size, x: width / 2, y: top * 0.4, place })
  }
  await drawSheet({ ...on, height: height - top, top }, linesOf(puzzle, answer))
}

export const work: PuzzleWork<VowelValues, MissingVowels> = {
  make,
  prove,
  ratio: puzzle => sheetRatio(linesOf(puzzle, false)) * (1 - head(puzzle)),
  draw,
  record: ({ theme, items }) => ({
    ...(theme !== undefined && { theme }),
    words: items.map(({ word, letters, given }) => ({ word: letters, print: word, given })),
  }),
}
