import '../../tests/support/store'
import { beforeEach, expect, test } from '@jest/globals'
import { type Recipe, shippedRecipes } from '@/core/activity'

const { db } = await import('./db')
const { forgetRecipe, keepRecipe, keptRecipes } = await import('./recipes')

const recipe = (name: string): Recipe => ({ ...shippedRecipes[0]!, name })

beforeEach(async () => {
  await Promise.all(db.tables.map(t => t.clear()))
})

test('recipes are kept under ids of their own, in their order, and forgotten one by one', async () => {
  expect(await keptRecipes()).toEqual([])
  const ids = [
    await keepRecipe(recipe('Kitchen words')),
    await keepRecipe(recipe('Kitchen words')),
    await keepRecipe(recipe('…')),
  ]
  expect(ids).toEqual(['own-kitchen-words', 'own-kitchen-words-2', 'own-recipe'])
  expect((await keptRecipes()).map(r => [r.id, r.name])).toEqual([
    [ids[0], 'Kitchen words'],
    [ids[1], 'Kitchen words'],
    [ids[2], '…'],
  ])
  await forgetRecipe(ids[0]!)
  expect((await keptRecipes()).map(r => r.id)).toEqual(ids.slice(1))
  expect((await keptRecipes())[0]!.plan).toEqual(JSON.parse(JSON.stringify(shippedRecipes[0]!.plan)))
})

test('two windows that keep one at the same time keep both', async () => {
  await Promise.all(['One', 'Two', 'Three'].map(n => keepRecipe(recipe(n))))
  expect((await keptRecipes()).map(r => r.name).sort()).toEqual(['One', 'Three', 'Two'])
})

test('one that is broken takes no other along', async () => {
  await keepRecipe(recipe('Sound'))
  const value = (await db.settings.get('recipes'))!.value as Recipe[]
  await db.settings.put({ key: 'recipes', value: [{ ...value[0]!, plan: { runs: 'none' } }, ...value] })
  expect((await keptRecipes()).map(r => r.name)).toEqual(['Sound'])
  // It stays where it is, whatever else is kept.
  await keepRecipe(recipe('Later'))
  expect((await db.settings.get('recipes'))!.value).toHaveLength(3)
})
