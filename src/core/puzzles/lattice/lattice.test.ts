import { expect, test } from '@jest/globals'
import { cases } from '../../../../tests/support/deep'
import { banks, gridLetters, meaningOf } from '../../words'
import { makePuzzles } from '../makePuzzles'
import { puzzleKind } from '../registry'
import { type Crossword, proveCrossword } from './crossword'

const made = async (id: string, params: object, count: number): Promise<Crossword[]> => {
  const kind = puzzleKind(id)!
  return (await makePuzzles(kind, { ...kind.plain, ...params }, { seed: 4, count })).map(m => m.puzzle as Crossword)
}

/** A third opinion: the cells of each entry laid out; letters agree, and cells side by side belong to one entry. */
function laidOut({ rows, cols, entries }: Crossword): Map<string, string> {
  const cells = new Map<string, string>()
  const inEntry = new Map<string, Set<number>>()
  entries.forEach(({ way, row, col, answer }, e) =>
    Array.from(answer).forEach((sign, i) => {
      const [r, c] = way === 'across' ? [row, col + i] : [row + i, col]
      expect(r < rows && c < cols).toBe(true)
      expect(cells.get(`${r},${c}`) ?? sign).toBe(sign)
      cells.set(`${r},${c}`, sign)
      inEntry.set(`${r},${c}`, (inEntry.get(`${r},${c}`) ?? new Set()).add(e))
    }),
  )
  for (const at of cells.keys()) {
    const [r, c] = at.split(',').map(Number) as [number, number]
    for (const beside of [`${r},${c + 1}`, `${r + 1},${c}`])
      if (cells.has(beside)) expect([...inEntry.get(at)!].some(e => inEntry.get(beside)!.has(e))).toBe(true)
  }
  return cells
}

test('woven: all words of the list, no two side by side but where they cross, the clues of their bank', async () => {
  const own = new Map(banks.find(b => b.id === 'house')!.words.map(w => [gridLetters(w.word), w.clue]))
  for (const puzzle of await made('crossword', { count: 16 }, cases(8, 300))) {
    laidOut(puzzle)
    expect(puzzle.entries).toHaveLength(16)
    for (const { answer, clue } of puzzle.entries) expect(clue).toBe(own.get(answer) ?? meaningOf(answer))
  }
})

test.each([
  ['half', 13, 13],
  ['half', 9, 15],
  ['all', 7, 7],
  ['all', 13, 13],
])(
  'lattice, %s crossed, %i by %i: the same upside down, every word of three letters and more, none twice',
  async (crossing, rows, cols) => {
    for (const puzzle of await made('lattice-crossword', { crossing, rows, cols }, cases(4, 100))) {
      const cells = laidOut(puzzle)
      const open = (r: number, c: number): boolean => cells.has(`${r},${c}`)
      for (let r = 0; r < rows; r++)
        for (let c = 0; c < cols; c++) expect(open(r, c)).toBe(open(rows - 1 - r, cols - 1 - c))
      const answers = puzzle.entries.map(e => e.answer)
      expect(new Set(answers).size).toBe(answers.length)
      expect(answers.filter(a => a.length < 3)).toEqual([])
      const crossed = new Map<number, number>()
      for (const e of puzzle.entries) for (const at of e.cells) crossed.set(at, (crossed.get(at) ?? 0) + 1)
      const twice = [...crossed.values()].filter(n => n === 2).length / crossed.size
      if (crossing === 'all') expect(twice).toBe(1)
      else expect(twice).toBeLessThan(0.7)
    }
  },
)

test('a wrong letter, a word that stands there unasked, two clues alike and parts that hang apart are told', async () => {
  const [puzzle] = await made('crossword', {}, 1)
  expect(proveCrossword(puzzle!)).toEqual({ answers: 1, agrees: true })
  const [first, ...rest] = puzzle!.entries
  expect(
    proveCrossword({ ...puzzle!, entries: [{ ...first!, answer: `${first!.answer.slice(0, -1)}?` }, ...rest] }).agrees,
  ).toBe(false)
  expect(proveCrossword({ ...puzzle!, entries: rest }).agrees).toBe(false)
  expect(proveCrossword({ ...puzzle!, entries: [{ ...first!, clue: rest[0]!.clue }, ...rest] }).answers).toBe(2)
  expect(proveCrossword({ ...puzzle!, entries: [{ ...first!, number: 99 }, ...rest] }).agrees).toBe(false)
})
