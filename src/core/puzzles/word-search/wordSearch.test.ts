import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cases } from '../../../../tests/support/deep'
import { coverOn } from '../../silhouettes'
import { type Fault, seeded } from '../../trade'
import { offences, plainLetters } from '../../words'
import { type Bed, directions, type LetterGrid, steps, wholeBed } from '../letter-grid/grid'
import { fill } from '../letter-grid/fill'
import { prove } from '../letter-grid/find'
import { largestBox, squarely } from '../letter-grid/hollow'
import { lay } from '../letter-grid/lay'
import { makePuzzles } from '../makePuzzles'
import { puzzleKind } from '../registry'

const kind = puzzleKind('word-search')!
const made = async (params: object, count: number, seed = 6): Promise<LetterGrid[]> =>
  (await makePuzzles(kind, { ...kind.plain, ...params }, { seed, count })).map(m => m.puzzle as LetterGrid)
const own = (text: string) => ({ words: { bank: '', text } })

/** A third opinion: from every open cell in every direction, letter by letter. Cells of each place, in order. */
function placesOf(word: string, { rows, cols, letters }: Pick<LetterGrid, 'rows' | 'cols' | 'letters'>): number[][] {
  const out: number[][] = []
  for (let row = 0; row < rows; row++)
    for (let col = 0; col < cols; col++)
      for (const d of directions) {
        const cells: number[] = []
        for (let i = 0; i < word.length; i++) {
          const [r, c] = [row + steps[d][0] * i, col + steps[d][1] * i]
          if (r < 0 || c < 0 || r >= rows || c >= cols || letters[r * cols + c] !== word[i]) break
          cells.push(r * cols + c)
        }
        if (cells.length === word.length) out.push(cells)
      }
  return out
}
const key = (cells: number[]): string => [...cells].sort((a, b) => a - b).join()

/** Lines of a grid, with what stands in them without accents. */
function linesOf({ rows, cols, letters }: LetterGrid): { text: string; cells: number[] }[] {
  const out: { text: string; cells: number[] }[] = []
  for (const d of directions)
    for (let row = 0; row < rows; row++)
      for (let col = 0; col < cols; col++) {
        const [down, right] = steps[d]
        const before = [row - down, col - right]
        if (before[0]! >= 0 && before[1]! >= 0 && before[0]! < rows && before[1]! < cols) continue
        const cells: number[] = []
        for (let r = row, c = col; r >= 0 && c >= 0 && r < rows && c < cols; r += down, c += right)
          cells.push(r * cols + c)
        out.push({ text: cells.map(at => plainLetters(letters[at]!) || '.').join(''), cells })
      }
  return out
}

test('every word stands once, and no line spells a word that offends but within one of the list', async () => {
  const grids = [
    ...(await made({}, cases(4, 300))),
    ...(await made(
      { words: { bank: 'birds', text: '' }, rows: 20, cols: 12, count: 24, band: 'stubborn' },
      cases(2, 100),
    )),
  ]
  const bad = offences()
  for (const grid of grids) {
    const homes = grid.words.map(w => {
      const places = placesOf(w.letters, grid)
      expect([w.word, new Set(places.map(key)).size]).toEqual([w.word, 1])
      return new Set(places[0])
    })
    for (const { text, cells } of linesOf(grid))
      for (const word of bad)
        for (let at = text.indexOf(word); at >= 0; at = text.indexOf(word, at + 1)) {
          const here = cells.slice(at, at + word.length)
          expect([word, homes.some(h => here.every(c => h.has(c)))]).toEqual([word, true])
        }
  }
})

test('a word that reads the same both ways is found once; accents stay, and phrases lose their spaces', async () => {
  const words = 'level\nkayak\nÉclair\nrowing boat\nmañana\nStraße\nquay\nbuoy'
  const [grid] = await made({ ...own(words), count: 8, rows: 13, cols: 13, band: 'hard' }, 1)
  expect(new Set(grid!.words.map(w => w.letters))).toEqual(
    new Set(['LEVEL', 'KAYAK', 'ÉCLAIR', 'ROWINGBOAT', 'MAÑANA', 'STRASSE', 'QUAY', 'BUOY']),
  )
  expect(prove(grid!)).toEqual({ answers: 1, agrees: true })
  expect(new Set(placesOf('LEVEL', grid!).map(key)).size).toBe(1)
})

test('letters cross about as often as wanted', async () => {
  for (const overlap of [0, 10, 20]) {
    const grids = await made({ overlap, rows: 16, cols: 16, count: 20 }, cases(6, 100))
    for (const { words, letters, cols } of grids) {
      const all = words.reduce((n, w) => n + w.letters.length, 0)
      const cells = new Set(
        words.flatMap(w =>
          Array.from(
            w.letters,
            (_l, i) => (w.row + steps[w.direction][0] * i) * cols + w.col + steps[w.direction][1] * i,
          ),
        ),
      )
      expect(letters).toHaveLength(256)
      expect(Math.abs(((all - cells.size) / all) * 100 - overlap)).toBeLessThanOrEqual(5)
    }
  }
})

test('the letters left over say the message, in the order of reading', async () => {
  for (const grid of await made({ message: 'saying' }, cases(5, 100))) {
    const covered = new Set(grid.words.flatMap(w => placesOf(w.letters, grid)[0]!))
    const left = grid.letters.filter((_l, at) => !covered.has(at)).join('')
    expect(grid.message!.letters).toBe(plainLetters(grid.message!.words))
    expect(left.startsWith(grid.message!.letters)).toBe(true)
  }
})

test('what has no place is said by name, with a grid that takes it; grown, the grid takes it at once', async () => {
  const values = { rows: 8, cols: 8, count: 12 }
  const fault = await made(values, 1).then(
    () => undefined,
    e => e as Fault,
  )
  expect(fault!.message).toMatch(/^“.+ no place in 8 by 8: (\d+) by \1 takes them; so may fewer words\.$/)
  const [mended] = await made({ ...values, ...fault!.remedy!.values }, 1)
  expect(mended!.rows).toBe(fault!.remedy!.values.rows)
  const [grown] = await made({ ...values, size: 'grown' }, 1)
  expect(grown!.words).toHaveLength(12)
  expect(grown!.rows).toBeGreaterThan(8)
})

test('words that only read forwards are never stubborn, and that is said', async () => {
  await expect(made({ directions: 'forward', band: 'stubborn' }, 1)).rejects.toThrow('never stubborn')
  await expect(made({ directions: 'all', band: 'gentle' }, 1)).rejects.toThrow('never gentle')
  const [grid] = await made({ directions: 'forward', band: 'gentle' }, 1)
  expect(new Set(grid!.words.map(w => w.direction)).size).toBeLessThanOrEqual(2)
  const all = await made({ directions: 'all', band: 'middling', count: 24, rows: 18, cols: 18 }, 4)
  expect(new Set(all.flatMap(g => g.words.map(w => w.direction))).size).toBe(8)
})

test('one list is dealt over all puzzles: no word comes again before the others', async () => {
  const grids = await made({ count: 15, deal: 'once' }, 4)
  const words = grids.flatMap(g => g.words.map(w => w.letters))
  expect(new Set(words).size).toBe(60)
  await expect(made({ count: 15, deal: 'once' }, 5)).rejects.toThrow('enough for 4 puzzles of 15')
})

describe('the second solver', () => {
  const cell = fc.constantFrom(...'ABC')
  const some = fc.record({
    rows: fc.integer({ min: 1, max: 5 }),
    cols: fc.integer({ min: 1, max: 5 }),
    signs: fc.array(fc.oneof({ weight: 8, arbitrary: cell }, fc.constant('')), { minLength: 25, maxLength: 25 }),
    word: fc.string({ unit: cell, minLength: 2, maxLength: 4 }),
  })
  test('counts places as somebody does who reads from every cell', () => {
    fc.assert(
      fc.property(some, ({ rows, cols, signs, word }) => {
        const letters = signs.slice(0, rows * cols)
        const open = Uint8Array.from(letters, l => (l ? 1 : 0))
        const places = placesOf(word, { rows, cols, letters })
        const different = new Set(places.map(key)).size
        const at = places[0]?.[0] ?? 0
        const grid: LetterGrid = {
          ...{ rows, cols, open, letters, marked: 'tone' },
          words: [{ word, letters: word, row: Math.floor(at / cols), col: at % cols, direction: 'E' }],
        }
        const proof = prove(grid)
        expect(proof.answers).toBe(Math.min(2, different))
        if (different === 1) {
          expect(proof.agrees).toBe(true)
          // The word's other end is not where it begins, but where it reads the same from there.
          const back = { ...grid.words[0]!, row: Math.floor(places[0]!.at(-1)! / cols), col: places[0]!.at(-1)! % cols }
          const same = Array.from(word).reverse().join('') === word
          expect(prove({ ...grid, words: [back] }).agrees).toBe(same)
        }
      }),
      { numRuns: cases(500, 20_000) },
    )
  })
})

test('closed cells stay empty, and words are laid and filled around them', () => {
  const bed: Bed = wholeBed(9, 9)
  for (const at of [40, 39, 41, 31, 49, 0, 8, 72, 80]) bed.open[at] = 0
  const chance = seeded(4)
  const words = ['ANCHOR', 'BUOY', 'CARGO', 'PIER', 'TIDE'].map(word => ({ word, letters: word }))
  const mix = Object.fromEntries(directions.map(d => [d, 1])) as never
  const laid = lay(bed, words, { mix, overlap: 0.1, chance })
  if (!('placed' in laid)) throw new Error(laid.homeless)
  const letters = fill(bed, laid, { pool: [...'ETAOIN'], message: '', chance })!
  letters.forEach((sign, at) => expect(!!sign).toBe(!!bed.open[at]))
  expect(prove({ ...bed, letters, words: laid.placed, marked: 'tone' })).toEqual({ answers: 1, agrees: true })
})

test('in a shape of one’s own: letters on its cells and on no others, or the other way round', async () => {
  // A cross, drawn by hand.
  const cells = Array.from({ length: 15 * 15 }, (_, at) => at).filter(at =>
    [at % 15, Math.floor(at / 15)].some(v => v > 4 && v < 10),
  )
  const shape = { says: '', rings: [], scale: 100, right: 0, down: 0, turned: [{ rows: 15, cols: 15, cells }] }
  for (const side of ['inside', 'outside'] as const) {
    const values = { ...own('anchor\nbuoy\ntide\npier\n'), count: 4, outline: 'own', own: shape, side, size: 'grown' }
    for (const { rows, letters, open } of await made(values, 3)) {
      const isIn = (at: number): boolean => {
        const [r, c] = [Math.floor(at / rows), at % rows].map(v => Math.floor(((v + 0.5) / rows) * 15))
        return cells.includes(r! * 15 + c!)
      }
      open.forEach((o, at) => expect(o === 1).toBe(isIn(at) === (side === 'inside')))
      letters.forEach((sign, at) => expect(!!sign).toBe(!!open[at]))
    }
  }
})

test('hollow: a ring of letters around a box in which nothing stands but what is held, another in each puzzle', async () => {
  for (const hollow of ['bare', 'saying', 'silhouette'])
    for (const outline of ['none', 'turn']) {
      const params = { hollow, outline, rows: 22, cols: 22, count: 10, size: 'grown', side: 'inside' }
      const all = await made(params, 4)
      const held = all.map(p => JSON.stringify(p.hollow!.holds))
      if (hollow !== 'bare') expect(new Set(held).size).toBe(4)
      for (const puzzle of all) {
        const { cols, open, letters } = puzzle
        const { row, col, rows: high, cols: wide } = puzzle.hollow!.box
        expect(Math.min(high, wide)).toBeGreaterThanOrEqual(3)
        for (let r = 0; r < high; r++)
          for (let c = 0; c < wide; c++) expect(letters[(row + r) * cols + col + c]).toBe('')
        // It lies within: open cells stand on all its sides.
        const middle = (row + (high >> 1)) * cols + col + (wide >> 1)
        for (const step of [1, -1, cols, -cols]) {
          let at = middle
          while (at >= 0 && at < open.length && !open[at]) at += step
          expect(open[at]).toBe(1)
        }
        expect(prove(puzzle)).toEqual({ answers: 1, agrees: true })
      }
    }
})

test('sayings of one’s own: a line for each puzzle, in their order, in the hollow, among the letters, or in both', async () => {
  const lines = ['The hive is quiet.', 'Nobody asked the drone.', 'Honey keeps.', 'Ask the queen.']
  const sayings = { bank: '', text: lines.join('\n') }
  const grid = { rows: 22, cols: 22, count: 10, size: 'grown', side: 'inside' }
  const held = (await made({ ...grid, hollow: 'saying', sayings }, 5)).map(p => p.hollow!.holds)
  expect(held).toEqual([...lines, lines[0]].map(saying => ({ saying })))
  const messages = await made({ message: 'saying', sayings }, 4)
  expect(messages.map(p => p.message!.words)).toEqual(lines)
  const both = await made({ ...grid, hollow: 'saying', message: 'saying', sayings }, 2)
  expect(both.flatMap(p => [(p.hollow!.holds as { saying: string }).saying, p.message!.words])).toEqual(lines)
})

test.each([
  ['', 'no sayings of your own yet'],
  ['It goes on and on. '.repeat(40), 'are left over'],
  ['It is best with cress, hit or miss', 'offends'],
])('a saying that cannot stand is not left out in silence: %#', async (text, why) => {
  await expect(made({ message: 'saying', sayings: { bank: '', text } }, 1)).rejects.toThrow(why)
})

test('around a silhouette the silhouette itself is the hollow', async () => {
  const [puzzle] = await made({ hollow: 'saying', outline: 'heart', side: 'outside', rows: 25, cols: 25 }, 1)
  const [bare] = await made({ hollow: 'none', outline: 'heart', side: 'outside', rows: 25, cols: 25 }, 1)
  expect(puzzle!.open).toEqual(bare!.open)
  expect(puzzle!.hollow!.holds).toHaveProperty('saying')
})

test('the largest box of cells is as large as the largest there is', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 7 }),
      fc.integer({ min: 1, max: 7 }),
      fc.infiniteStream(fc.boolean()),
      (rows, cols, chance) => {
        const cells = Uint8Array.from({ length: rows * cols }, () => (chance.next().value ? 1 : 0))
        let [most, square] = [0, 0]
        for (let y = 0; y < rows; y++)
          for (let x = 0; x < cols; x++)
            for (let high = 1; y + high <= rows; high++)
              for (let wide = 1; x + wide <= cols; wide++) {
                const full = [...Array(high * wide).keys()].every(
                  i => cells[(y + Math.floor(i / wide)) * cols + x + (i % wide)],
                )
                if (!full) continue
                most = Math.max(most, high * wide)
                square = Math.max(square, Math.min(high, wide))
              }
        const even = largestBox(cells, { rows, cols }, squarely)
        expect(Math.min(even?.rows ?? 0, even?.cols ?? 0)).toBe(square)
        const box = largestBox(cells, { rows, cols })
        expect((box?.rows ?? 0) * (box?.cols ?? 0)).toBe(most)
        if (box)
          for (let r = 0; r < box.rows; r++)
            for (let c = 0; c < box.cols; c++) expect(cells[(box.row + r) * cols + box.col + c]).toBe(1)
      },
    ),
  )
})

test('around a traced shape of one’s own lie all cells but those that are shown of it, turned ones too', async () => {
  const square = { says: 'square', rings: [[0, 0, 1000, 0, 1000, 1000, 0, 1000]], scale: 40, right: 10, down: 10 }
  const shape = { ...square, turned: [{ rows: 15, cols: 15, cells: [0, 16] }] }
  const values = { ...own('anchor\nbuoy\ntide\n'), count: 3, outline: 'own', own: shape, side: 'outside' }
  const { cells } = coverOn('own', shape, [{ rows: 15, cols: 15 }])![0]!
  expect([cells[0], cells[16], cells.reduce((n, c) => n + c, 0)]).toEqual([1, 1, 6 * 6 + 2])
  for (const { open } of await made(values, 2)) expect(open).toEqual(cells.map(c => 1 - c))
})
