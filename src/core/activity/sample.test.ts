import { expect, test } from '@jest/globals'
import { shelf } from '../../../tests/support/core'
import { wordsOn } from '../../../tests/support/wordsOn'
import { kindOf, RunPress, runKinds, SAMPLE, samplePage, samplePlan, shippedRecipes } from '.'

const press = new RunPress(shelf)
/** Puzzles are drawn at length elsewhere: here a few stand for all. */
const shown = runKinds.filter((k, i) => k.family !== 'puzzles' || i % 5 === 0 || k.refersTo)

test.each(shown.map(k => [k.id, k] as const))('a sample of “%s” is a page of it under its name', async (_id, kind) => {
  const page = await samplePage(press, kind, { language: 'en-GB', look: 'lane-end' })
  expect([page.width, page.height]).toEqual([SAMPLE.width, SAMPLE.height])
  const [placed] = page.layers
  expect(placed!.layer.items.length).toBeGreaterThan(0)
  const said = wordsOn(placed!.layer).map(w => w.text)
  if (!kind.bare && kind.id !== 'own') expect(said.join(' ')).toContain(kind.name)
  for (const w of wordsOn(placed!.layer))
    expect(placed!.x + w.end).toBeLessThanOrEqual(SAMPLE.width - SAMPLE.margin + 1)
})

test('a sample follows the look; a recipe is shown by what it is most of, its puzzles before all', async () => {
  const looks = ['plain', 'chart-table'].map(look => samplePage(press, kindOf('lined')!, { language: 'en', look }))
  const [plain, chart] = await Promise.all(looks)
  expect(chart!.layers[0]!.layer.items.length).toBeGreaterThan(plain!.layers[0]!.layer.items.length)
  const shownOf = async (id: string): Promise<string> =>
    wordsOn((await samplePlan(press, shippedRecipes.find(r => r.id === id)!.plan, 'en')).layers[0]!.layer)
      .map(w => w.text)
      .join(' ')
  expect(await shownOf('large-word-search')).toMatch(/^Word search 1/)
  expect(await shownOf('weeks-dated')).toMatch(/January 4 – 10, 2027.*Monday/)
  expect((await samplePlan(press, { runs: [] }, 'en')).layers).toEqual([])
})
