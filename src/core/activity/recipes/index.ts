export { type Asked, asksOf, type Recipe, recipeOf, recipeRoles, withRecipe, withRecipeSections } from './recipe'
export { shippedRecipes } from './shipped'
