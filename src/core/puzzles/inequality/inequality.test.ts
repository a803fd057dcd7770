import { describe, expect, test } from '@jest/globals'
import { cases } from '../../../../tests/support/deep'
import { makePuzzles } from '../makePuzzles'
import { puzzleKind } from '../registry'
import { type Inequality, sizes } from './grid'
import { bandsOf, reason } from './reason'
import { prove } from './solve'

const kind = puzzleKind('inequality')!
const made = async (size: string, band: string, count: number): Promise<Inequality[]> =>
  (await makePuzzles(kind, { size, band }, { seed: 4, count })).map(m => m.puzzle as Inequality)

/** A third opinion: numbers tried cell by cell in the order of reading, held against the rules as they are said. */
function answersByTrying({ size: n, givens, signs }: Inequality): number {
  const numbers = givens.map(() => 0)
  const breaks = (): boolean =>
    signs.some(([less, more]) => numbers[less]! && numbers[more]! && numbers[less]! >= numbers[more]!)
  const tried = (cell: number): number => {
    if (cell === n * n) return 1
    const [row, col] = [Math.floor(cell / n), cell % n]
    let found = 0
    for (let v = 1; v <= n && found < 2; v++) {
      if (givens[cell] && givens[cell] !== v) continue
      if (numbers.some((w, o) => w === v && (Math.floor(o / n) === row || o % n === col))) continue
      numbers[cell] = v
      if (!breaks()) found += tried(cell + 1)
      numbers[cell] = 0
    }
    return found
  }
  return tried(0)
}

describe.each(sizes.map(s => [s]))('%s', size => {
  test('in every band it has, each has one answer, and its signs tell the truth', async () => {
    for (const band of bandsOf(Number(size)))
      for (const square of await made(size, band, cases(size > '5' ? 1 : 3, 100))) {
        expect(prove(square)).toEqual({ answers: 1, agrees: true })
        for (const [less, more] of square.signs) expect(square.solution[less]!).toBeLessThan(square.solution[more]!)
        expect(reason(square, 'stubborn').difficulty).toBeDefined()
      }
  })
})

test('trying every number comes to the same, with a sign less and with a sign turned, too', async () => {
  for (const square of [...(await made('4', 'easy', 4)), ...(await made('5', 'middling', 3))]) {
    expect(answersByTrying(square)).toBe(1)
    expect(square.signs.length).toBeGreaterThan(2)
    for (const at of [0, 1, 2]) {
      const fewer = { ...square, signs: square.signs.filter((_s, i) => i !== at) }
      expect(prove(fewer).answers).toBe(Math.min(2, answersByTrying(fewer)))
      const turned = { ...square, signs: square.signs.map((s, i) => (i === at ? ([s[1], s[0]] as const) : s)) }
      const proof = prove(turned)
      expect(proof).toEqual({ answers: Math.min(2, answersByTrying(turned)), agrees: false })
    }
  }
})

test('four by four is never stubborn, and says so', async () => {
  await expect(made('4', 'stubborn', 1)).rejects.toThrow('A square of 4 by 4 is never stubborn')
})
