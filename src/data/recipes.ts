import type { Recipe } from '@/core/activity'
import { isSetting } from '@/core/archive'
import { slugOf } from '@/core/book'
import { db } from './db'
import { guarded } from './trouble'

/** All that is kept, as it is stored: what cannot be read stays as it is. */
async function stored(): Promise<Recipe[]> {
  const value = (await db.settings.get('recipes'))?.value
  return Array.isArray(value) ? (value as Recipe[]) : []
}

/** Recipes that the author kept, for all books of this library. One that is broken does not take the others along. */
export const keptRecipes = async (): Promise<Recipe[]> => (await stored()).filter(r => isSetting('recipes', [r]))

/** Keeps a recipe under an id that no other has; gives it. */
export async function keepRecipe(recipe: Recipe): Promise<string> {
  return guarded(() =>
    db.transaction('rw', db.settings, async () => {
      const others = await stored()
      const base = `own-${slugOf(recipe.name, 'recipe')}`.slice(0, 50)
      let id = base
      for (let n = 2; others.some(r => r?.id === id); n++) id = `${base}-${n}`
      await db.settings.put({ key: 'recipes', value: [...others, { ...recipe, id }] })
      return id
    }),
  )
}

/** Forgets a kept recipe. Books that were made by it stay as they are. */
export async function forgetRecipe(id: string): Promise<void> {
  await guarded(() =>
    db.transaction('rw', db.settings, async () => {
      await db.settings.put({ key: 'recipes', value: (await stored()).filter(r => r?.id !== id) })
    }),
  )
}
