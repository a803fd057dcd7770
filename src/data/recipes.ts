import type { Recipe } from '@/core/activity'
import { slugOf } from '@/core/book'
import { keptList } from './keptList'

const kept = keptList<Recipe>('recipes', 'recipe')

/** Recipes that the author kept, for all books of this library. */
export const keptRecipes = kept.all

/** Keeps a recipe under an id that no other has; gives it. */
export const keepRecipe = async (recipe: Recipe): Promise<string> =>
  (await kept.add(`own ${slugOf(recipe.name, 'recipe')}`, id => ({ ...recipe, id }))).id

/** Forgets a kept recipe. Books that were made by it stay as they are. */
export const forgetRecipe = (id: string): Promise<void> => kept.change(all => all.filter(r => r?.id !== id))
