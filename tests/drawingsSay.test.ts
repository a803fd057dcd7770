import { describe, expect, test } from '@jest/globals'
import { smallPrint } from '../src/core/activity'
import { LayerBuilder, pageText } from '../src/core/marks'
import { makePuzzles, puzzleKind, puzzleKinds } from '../src/core/puzzles'
import { shelf } from './support/core'
import { cases } from './support/deep'

/**
 * What is drawn of a puzzle is what is printed of it for other programs: the signs of the drawing, and of the answer's, counted and held
 * against the record. A number that is lost on the way to the page, or an answer that stands in its puzzle, is told here.
 */

/** The signs of a text that a pattern finds, in order of the alphabet. */
const signs = (text: string, of: RegExp): string => (text.match(of) ?? []).sort().join('')
const figures = (of: unknown): string => signs(JSON.stringify(of), /\d/g)
const letters = (text: string): string => signs(text.toUpperCase(), /[A-Z]/g)
const capitals = (text: string): string => signs(text, /[A-Z]/g)
const upTo = (n: number): number[] => [...Array(n).keys()].map(i => i + 1)
/** Cells of an across-and-down grid with their letters, each once. */
function filled(entries: Entry[]): Map<string, string> {
  const cells = new Map<string, string>()
  for (const { direction, row, col, answer } of entries)
    Array.from(answer).forEach((sign, i) => {
      cells.set(direction === 'across' ? `${row},${col + i}` : `${row + i},${col}`, sign)
    })
  return cells
}

interface Entry {
  direction: string
  row: number
  col: number
  answer: string
  clue: string
}

type Says = (record: never, puzzle: string, answer: string) => void

/** Both drawings have the same figures: those of the clues. */
const clued: Says = ({ clues }: { clues: unknown[][] }, puzzle, answer) => {
  const said = clues.flat().filter(c => c !== '?')
  expect(figures(puzzle)).toBe(figures(said))
  expect(figures(answer)).toBe(figures(said))
}

/** The puzzle has what is given, the answer all. */
const squared: Says = ({ givens, solution }: { givens: number[][]; solution: number[][] }, puzzle, answer) => {
  expect(figures(puzzle)).toBe(figures(givens.flat().filter(Boolean)))
  expect(figures(answer)).toBe(figures(solution))
}

/** The puzzle has its clues and the letters that are given, the answer all letters of its cells. */
const crossed: Says = (record: { entries: Entry[]; given: { row: number; col: number }[] }, puzzle, answer) => {
  const cells = filled(record.entries)
  const run = puzzle.replace(/\s+/g, '')
  for (const { clue } of record.entries) expect(run).toContain(clue.replace(/\s+/g, ''))
  const [grid] = puzzle.split('Across')
  expect(capitals(grid!)).toBe(capitals(record.given.map(({ row, col }) => cells.get(`${row},${col}`)).join('')))
  expect(capitals(answer)).toBe(capitals([...cells.values()].join('')))
}

const says: Record<string, Says> = {
  sudoku: squared,
  inequality: squared,
  loop: clued,
  mines: clued,
  crossword: crossed,
  'lattice-crossword': crossed,
  kakuro: ({ runs, solution }: { runs: { sum: number }[]; solution: number[][] }, puzzle, answer) => {
    const sums = runs.map(r => r.sum)
    expect(figures(puzzle)).toBe(figures(sums))
    expect(figures(answer)).toBe(figures([...sums, ...solution.flat().filter(Boolean)]))
  },
  nurikabe: ({ islands }: { islands: { size: number }[] }, puzzle, answer) => {
    for (const drawn of [puzzle, answer]) expect(figures(drawn)).toBe(figures(islands.map(i => i.size)))
  },
  'picture-logic': ({ rowClues, colClues }: { rowClues: number[][]; colClues: number[][] }, puzzle, answer) => {
    // A line without anything in it says 0.
    const said = [...rowClues, ...colClues].map(line => (line.length ? line : [0]))
    for (const drawn of [puzzle, answer]) expect(figures(drawn)).toBe(figures(said))
  },
  'dot-to-dot': ({ dots }: { dots: unknown[] }, puzzle, answer) => {
    expect(figures(puzzle)).toBe(figures(upTo(dots.length)))
    expect(answer).toBe('')
  },
  'shade-by-number': ({ numbers, key }: { numbers: number[][]; key: { number: number }[] }, puzzle, answer) => {
    expect(figures(puzzle)).toBe(figures([numbers, key.map(k => k.number)]))
    expect(answer).toBe('')
  },
  maze: (_record, puzzle, answer) => expect([puzzle, answer]).toEqual(['', '']),
  'number-search': ({ cells, words }: { cells: string[]; words: { word: string }[] }, puzzle, answer) => {
    expect(figures(puzzle)).toBe(figures([cells, words.map(w => w.word)]))
    expect(figures(answer)).toBe(figures(cells))
  },
  'word-search': ({ cells, words }: { cells: string[]; words: { print: string }[] }, puzzle, answer) => {
    expect(letters(puzzle)).toBe(letters([...cells, ...words.map(w => w.print)].join('')))
    expect(letters(answer)).toBe(letters(cells.join('')))
  },
  codeword: (
    { numbers, key, hints }: { numbers: number[][]; key: Record<string, string>; hints: number[] },
    puzzle,
    answer,
  ) => {
    const cells = numbers.flat().filter(Boolean)
    // The grid, then the key under it, in which the letters that are given stand too.
    expect(figures(puzzle)).toBe(figures([cells, upTo(Object.keys(key).length)]))
    const given = cells.filter(n => hints.includes(n)).map(n => key[n])
    expect(capitals(puzzle)).toBe(capitals([...given, ...hints.map(n => key[n])].join('')))
    expect(figures(answer)).toBe(figures(cells))
    expect(capitals(answer)).toBe(capitals(cells.map(n => key[n]).join('')))
  },
  cryptogram: ({ plain, cipher, key, hints }: Record<'plain' | 'cipher', string> & CipherKey, puzzle, answer) => {
    const given = Array.from(cipher).flatMap(sign => (hints.includes(key[sign]!) ? [key[sign]!] : []))
    const strip = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ'
    // Under the saying stands the alphabet of the cipher, with what is given.
    expect(capitals(puzzle)).toBe(capitals([cipher, ...given, strip, ...hints].join('')))
    expect(capitals(answer)).toBe(capitals(plain + cipher))
  },
  'word-ladder': ({ ladders }: { ladders: { words: string[] }[] }, puzzle, answer) => {
    expect(capitals(puzzle)).toBe(capitals(ladders.flatMap(l => [l.words[0]!, l.words.at(-1)!]).join('')))
    expect(capitals(answer)).toBe(capitals(ladders.flatMap(l => l.words).join('')))
  },
  'word-scramble': ({ words }: { words: { word: string; mixed: string }[] }, puzzle, answer) => {
    expect(capitals(puzzle)).toBe(capitals(words.map(w => w.mixed).join('')))
    expect(capitals(answer)).toBe(capitals(words.map(w => w.mixed + w.word).join('')))
  },
  'missing-vowels': (
    { theme, words }: { theme?: string; words: { word: string; given: string }[] },
    puzzle,
    answer,
  ) => {
    const head = theme ?? ''
    expect(letters(puzzle)).toBe(letters([head, ...words.map(w => w.given)].join('')))
    expect(letters(answer)).toBe(letters([head, ...words.map(w => w.given + w.word)].join('')))
  },
  'guess-the-word': ({ words }: { words: { word: string }[] }, puzzle, answer) => {
    expect(capitals(puzzle)).toBe(capitals('ABCDEFGHIJKLMNOPQRSTUVWXYZ'.repeat(words.length)))
    for (const { word } of words) expect(puzzle).toContain(`${word.length} letters`)
    expect(capitals(answer)).toBe(capitals(words.map(w => w.word).join('')))
  },
}

interface CipherKey {
  key: Record<string, string>
  hints: string[]
}

test('no kind is passed over', () => {
  expect(Object.keys(says).sort()).toEqual(puzzleKinds.map(k => k.id).sort())
})

describe.each(Object.entries(says))('%s', (id, check) => {
  test.each([90, 430])(
    'drawn %i points wide, it says what its record says, and the answer only in the answer',
    async width => {
      const kind = puzzleKind(id)!
      const work = await kind.work()
      const drawn = async (puzzle: unknown, answer: boolean): Promise<string> => {
        const out = new LayerBuilder()
        const height = width / work.ratio(puzzle, answer)
        const place = { section: 's', block: 'b', kind: 'body' } as never
        const styleOf = (face: string, size: number) => smallPrint(face, size, 'en', shelf)
        await work.draw({ out, puzzle, answer, width, height, place, styleOf, language: 'en' })
        return pageText({ layers: [{ layer: out.build(), x: 0, y: 0 }] } as never)
      }
      for (const { puzzle } of await makePuzzles(kind, kind.plain, { seed: 12, count: cases(3, 60) })) {
        const record = JSON.parse(JSON.stringify(work.record(puzzle))) as never
        check(record, await drawn(puzzle, false), await drawn(puzzle, true))
      }
    },
  )
})
