import { describe, expect, test } from '@jest/globals'
import { shelf } from './core'
import { cases } from './deep'
import { type Layer, LayerBuilder } from '@/core/marks'
import { Op, pathBox } from '@/core/marks/path'
import { smallPrint } from '@/core/activity'
import { type Band, bands } from '@/core/puzzles/difficulty'
import { makePuzzles } from '@/core/puzzles/makePuzzles'
import type { Made, PuzzleKind } from '@/core/puzzles/puzzle'

/** Puzzles of a band with the kind's other values as they begin; none where it never comes in this band. */
async function some(kind: PuzzleKind, band: Band, count: number, seed: number): Promise<Made[]> {
  return makePuzzles(kind, { ...kind.plain, band }, { seed, count }).catch(e => {
    if ((e as { code?: string }).code === 'band') return []
    throw e
  })
}

/** What every kind promises, whichever it is: a new one is held to it by its line in the registry. Half of them a file: files run side by side. */
export function heldToPromises(kinds: readonly PuzzleKind[]): void {
  describe.each(kinds.map(k => [k.id, k] as const))('puzzles of the kind “%s”', (_id, kind) => {
    test.each(bands)(
      '%s: one answer by the second solver, in the wanted band, no twins, the same again',
      async band => {
        const { prove } = await kind.work()
        // Seeds are books: so many puzzles of each.
        for (let seed = 5; seed < 5 + cases(1, 8); seed++) {
          const made = await some(kind, band, cases(6, 25), seed)
          expect(made.map(m => prove(m.puzzle))).toEqual(made.map(() => ({ answers: 1, agrees: true })))
          expect(made.map(m => m.difficulty.band)).toEqual(made.map(() => band))
          expect(new Set(made.map(m => m.twin)).size).toBe(made.length)
          expect(await some(kind, band, Math.min(1, made.length), seed)).toEqual(made.slice(0, 1))
          for (const { difficulty } of made)
            expect(Object.values(difficulty.steps).reduce((a, b) => a + b, 0)).toBeGreaterThan(0)
        }
      },
    )

    test('values that the kind does not have are refused before anything is made of them', async () => {
      for (const params of [{}, { ...kind.plain, rows: 7.5 }, { ...kind.plain, band: 'fiendish' }])
        await expect(makePuzzles(kind, params, { seed: 1, count: 1 })).rejects.toThrow('These values make no')
    })

    test('what is printed of it for other programs is whole', async () => {
      const [made] = await makePuzzles(kind, kind.plain, { seed: 8, count: 1 })
      const record = (await kind.work()).record(made!.puzzle)
      expect(JSON.parse(JSON.stringify(record))).toEqual(record)
    })

    test('is drawn within its box, small and large, high and wide; its answer is another drawing', async () => {
      const work = await kind.work()
      const [made] = await makePuzzles(kind, kind.plain, { seed: 8, count: 1 })
      const drawn = async (answer: boolean, width: number, height: number): Promise<Layer> => {
        const out = new LayerBuilder()
        await work.draw({
          out,
          puzzle: made!.puzzle,
          answer,
          width,
          height,
          place: { section: 's', block: 'b', kind: 'body' } as never,
          styleOf: (face, size) => smallPrint(face, size, 'en', shelf),
          language: 'en',
        })
        return out.build()
      }
      const boxes = (answer: boolean): [number, number][] => {
        const ratio = work.ratio(made!.puzzle, answer)
        return [...[80, 300, 560].map((w): [number, number] => [w, w / ratio]), [400, 300]]
      }
      const answers = boxes(true)
      for (const [i, [width, height]] of boxes(false).entries()) {
        const [puzzle, answer] = [await drawn(false, width, height), await drawn(true, ...answers[i]!)]
        expect(answer).not.toEqual(puzzle)
        for (const item of [...puzzle.items, ...answer.items]) {
          if (item.kind !== 'path') continue
          // A line that is open ends where its path ends.
          const half = item.path.ops.includes(Op.close) ? (item.stroke?.width ?? 0) / 2 : 0
          const [x0, y0, x1, y1] = pathBox(item.path)
          expect(Math.min(x0, y0) - half).toBeGreaterThanOrEqual(-0.02)
          expect(x1 + half).toBeLessThanOrEqual(width + 0.02)
          expect(y1 + half).toBeLessThanOrEqual(height + 0.02)
          if (item.fill === undefined) expect(item.stroke!.width).toBeGreaterThanOrEqual(0.25)
        }
        expect(answer.items.length).toBeGreaterThan(0)
      }
    })
  })
}
