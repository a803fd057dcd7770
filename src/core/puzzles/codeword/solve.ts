import type { Proof } from '../puzzle'
import { readings } from '../substitution/readings'
import type { Codeword } from './values'

/** Reads the numbers' lines, across and down, as one does who knows all words. */
export function prove({ rows, cols, numbers, key, hints, letters }: Codeword): Proof {
  const words: number[][] = []
  const lines = (count: number, length: number, at: (line: number, i: number) => number): void => {
    for (let line = 0; line < count; line++) {
      let word: number[] = []
      for (let i = 0; i <= length; i++) {
        const number = i < length ? numbers[at(line, i)]! : 0
        if (number) word.push(number)
        else {
          if (word.length > 1) words.push(word)
          word = []
        }
      }
    }
  }
  lines(rows, cols, (r, i) => r * cols + i)
  lines(cols, rows, (c, i) => i * cols + c)
  const given = new Map(hints.map(n => [n, key[n]!]))
  const { count, key: found } = readings({ words, given, also: [] })
  const read = numbers.map(n => (n ? found.get(n) : ''))
  return { answers: count, agrees: count === 1 && read.join() === letters.join() }
}
