import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { shelf } from '../../../tests/support/core'
import {
  asksOf,
  fitted,
  kindOf,
  plannedPages,
  type Recipe,
  recipeOf,
  RunPress,
  shippedRecipes,
  withRecipe,
  withRecipeSections,
} from '../activity'
import { createBook, type PagePlan } from '../book'
import { Fault } from '../trade'
import { readRecipe, writeRecipe } from './recipe'

const none: PagePlan = { runs: [] }

describe.each(shippedRecipes.map(r => [r.id, r] as const))('the recipe “%s”', (_id, recipe) => {
  test('is a whole book in one step, and comes back from its file as it was', () => {
    expect(readRecipe(writeRecipe(recipe))).toEqual(JSON.parse(JSON.stringify(recipe)))
    const plan = withRecipe(none, recipe, { seed: 5 })
    expect(plannedPages(plan)).toBeGreaterThanOrEqual(40)
    expect(new Set(plan.runs.map(r => r.id)).size).toBe(plan.runs.length)
    for (const r of plan.runs) {
      const of = kindOf(r.kind)!.refersTo?.(r.params)
      if (of !== undefined) expect(kindOf(plan.runs.find(x => x.id === of)!.kind)!.answers).toBeDefined()
    }
    // Nothing that is asked stays without an answer, unless its solving is seen on the page.
    const answered = new Set(plan.runs.filter(r => r.kind === 'answers').map(r => r.params.of))
    for (const r of plan.runs) if (kindOf(r.kind)!.answers) expect(answered).toContain(r.id)
    // Title, copyright and a welcome stand before the runs on four pages, what closes the book behind them on one or two.
    const [before, behind] = [4, 2]
    if (plan.wished) expect(plannedPages(plan) + before + behind).toBe(plan.wished)
  })
  test('its pages can be made and drawn', async () => {
    const few: PagePlan = fitted({
      ...recipe.plan,
      runs: recipe.plan.runs.map(r => ({
        ...r,
        pages: Math.min(r.pages, 2),
        params: 'count' in r.params && 'from' in r.params ? { ...r.params, count: 1 } : r.params,
      })),
    })
    const press = new RunPress(shelf)
    for (const run of few.runs) {
      const drawing = { runs: few.runs, room: { width: 380, height: 520 }, language: 'de', look: few.look }
      const layers = await press.layersOf(run, drawing)
      expect(layers).toHaveLength(run.pages)
      for (const l of layers) expect(l.items.length + (l.text?.count ?? 0)).toBeGreaterThan(0)
    }
  })
})

test('a recipe brings a welcome and an end to a book that has none, in its language', () => {
  for (const recipe of shippedRecipes) expect(recipe.sections!.map(s => s.role)).toEqual(['foreword', 'afterword'])
  const data = { title: 'A', contributors: [], language: 'en-GB' } as never
  const empty = createBook('a', data)
  const [recipe] = shippedRecipes
  const book = withRecipeSections(empty, recipe!)
  expect(book.sections.map(s => s.role)).toEqual(['title-page', 'copyright', 'foreword', 'afterword'])
  const welcome = book.sections.find(s => s.role === 'foreword')!
  expect([welcome.title, welcome.doc.content.length]).toEqual(['Welcome', 2])
  const named = book.sections.flatMap(s => s.doc.content.map(b => b.attrs.id))
  expect(new Set(named).size).toBe(named.length)
  // What is written there stays, and a book in another language is not given English.
  expect(withRecipeSections(book, recipe!)).toBe(book)
  const french = { ...empty, data: { ...empty.data, language: 'fr' } }
  expect(withRecipeSections(french, recipe!)).toBe(french)
})

test('a recipe of a run leaves pictures behind, those of its grounds as well', () => {
  const run = {
    ...shippedRecipes[0]!.plan.runs[1]!,
    ground: { tone: 0.2, pictures: ['a'] },
    backs: { ground: { tone: 0.2, pictures: ['a'] } },
  }
  const [kept] = recipeOf({ runs: [run] }, { id: 'x', name: 'X' }).plan.runs
  expect(JSON.stringify(kept)).not.toContain('pictures')
  const toned = recipeOf({ runs: [{ ...run, ground: { tone: 0.1 } }] }, { id: 'x', name: 'X' }).plan.runs[0]!
  expect(toned.ground).toEqual({ tone: 0.1 })
})

test('there are at least twelve, of many kinds, and each says what it asks', () => {
  expect(shippedRecipes.length).toBeGreaterThanOrEqual(12)
  expect(new Set(shippedRecipes.flatMap(r => r.plan.runs.map(x => x.kind))).size).toBeGreaterThan(20)
  const asks = (id: string) => asksOf(shippedRecipes.find(r => r.id === id)!)
  expect([asks('large-word-search'), asks('weeks-dated'), asks('three-bands')]).toEqual([
    { words: { bank: 'all', text: '' } },
    { from: '2027-01-01' },
    {},
  ])
})

test('what is asked goes where it belongs; a plan that has runs keeps its own and what holds for all pages', () => {
  const words = { bank: '', text: 'one\ntwo\nthree' }
  const first = withRecipe(none, shippedRecipes[0]!, { words, seed: 9 })
  expect(first.runs.find(r => r.kind === 'word-search')!.params.words).toEqual(words)
  expect(first.look).toBe(shippedRecipes[0]!.plan.look)
  const both = withRecipe(
    first,
    shippedRecipes.find(r => r.id === 'weeks-dated')!,
    { from: '2031-02-03', seed: 9 },
  )
  expect(both.runs.slice(0, first.runs.length)).toEqual(first.runs)
  expect([both.look, both.wished]).toEqual([first.look, first.wished])
  expect(both.runs.find(r => r.kind === 'week')!.params.from).toBe('2031-02-03')
})

test('a run is kept with its answers and rules, and goes into another book beside what is there', () => {
  fc.assert(
    fc.property(fc.constantFrom(...shippedRecipes), fc.nat({ max: 30 }), (recipe, n) => {
      const plan = withRecipe(none, recipe, { seed: n })
      const run = plan.runs[n % plan.runs.length]!
      const kept = recipeOf(plan, { id: 'own', name: 'Mine', run: run.id })
      const belongs = plan.runs.filter(r => r.id === run.id || kindOf(r.kind)!.refersTo?.(r.params) === run.id)
      expect(kept.plan.runs.map(r => r.kind)).toEqual(belongs.map(r => r.kind))
      expect(readRecipe(writeRecipe(kept))).toEqual(JSON.parse(JSON.stringify(kept)))
      const twice = withRecipe(withRecipe(none, kept, { seed: 1 }), kept, { seed: 2 })
      expect(new Set(twice.runs.map(r => r.id)).size).toBe(2 * belongs.length)
      const seeds = twice.runs.map(r => r.seed)
      expect(new Set(seeds).size).toBe(seeds.length)
    }),
  )
})

test('what is no recipe is said to be none', () => {
  const [recipe] = shippedRecipes as [Recipe]
  const file = JSON.parse(writeRecipe(recipe)) as Record<string, unknown>
  const broken: [string, RegExp][] = [
    ['not json', /no recipe/],
    ['[]', /no recipe/],
    [JSON.stringify({ ...file, format: 'other' }), /no recipe/],
    [JSON.stringify({ ...file, version: 2 }), /later version/],
    [JSON.stringify({ ...file, trim: 'wide' }), /cannot be read: trim/],
    [
      JSON.stringify({ ...file, plan: { runs: [{ id: 'a', kind: 'carved', pages: 1, seed: 1, params: {} }] } }),
      /cannot be read/,
    ],
  ]
  for (const [text, why] of broken) {
    expect(() => readRecipe(text)).toThrow(Fault)
    expect(() => readRecipe(text)).toThrow(why)
  }
})
