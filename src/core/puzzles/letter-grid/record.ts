import type { LetterGrid } from './grid'

/** What is printed of a grid for other programs: "." for a closed cell; a word by its letters, the first one's cell and its direction. */
export const record = ({ rows, cols, letters, words, message, hollow }: LetterGrid): object => ({
  rows,
  cols,
  cells: Array.from({ length: rows }, (_, r) =>
    letters
      .slice(r * cols, (r + 1) * cols)
      .map(sign => sign || '.')
      .join(''),
  ),
  words: words.map(({ word, letters: of, row, col, direction }) => ({ word: of, print: word, row, col, direction })),
  ...(message && { message: message.words }),
  ...(hollow?.holds && { hollow: hollow.holds }),
})
