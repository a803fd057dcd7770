import type { Recipe } from '@/core/activity'
import { isSetting } from '@/core/archive'
import { slugOf } from '@/core/book'
import { db } from './db'
import { guarded } from './trouble'

/** Recipes that the author kept, for all books of this library. */
export const keptRecipes = async (): Promise<Recipe[]> => {
  const value = (await db.settings.get('recipes'))?.value
  // One bad recipe does not take the others along.
  return Array.isArray(value) ? (value as Recipe[]).filter(r => isSetting('recipes', [r])) : []
}

/** Keeps a recipe under an id that no other has; gives it. */
export async function keepRecipe(recipe: Recipe): Promise<string> {
  return guarded(() =>
    db.transaction('rw', db.settings, async () => {
      const others = await keptRecipes()
      const base = `own-${slugOf(recipe.name, 'recipe')}`.slice(0, 50)
      let id = base
      for (let n = 2; others.some(r => r.id === id); n++) id = `${base}-${n}`
      await db.settings.put({ key: 'recipes', value: [...others, { ...recipe, id }] })
      return id
    }),
  )
}

/** Forgets a kept recipe. Books that were made by it stay as they are. */
export async function forgetRecipe(id: string): Promise<void> {
  await guarded(() =>
    db.transaction('rw', db.settings, async () => {
      await db.settings.put({ key: 'recipes', value: (await keptRecipes()).filter(r => r.id !== id) })
    }),
  )
}
