export { type Asked, asksOf, type Recipe, recipeOf, withRecipe } from './recipe'
export { shippedRecipes } from './shipped'
