import { ValidationError } from 'yup'
import { type Recipe, recipeRoles } from '../activity'
import { Fault, fields, parseTrim } from '../trade'
import { planSchema, styleChanges } from './bookSchema'
import { canonicalJson } from './canonical'

const { list, one, optional, shape, text, whole } = fields

/** The open file of a recipe: JSON (docs/formats.md). */
const FORMAT = 'porchlight-recipe'
const VERSION = 1
/** Most letters of a recipe's file: it may hold lists of words. */
const MOST = 4_000_000

const recipeSchema = () =>
  shape({
    format: one(FORMAT).required(),
    version: whole(1, VERSION).required(),
    id: text(60).required(),
    name: text(80).required(),
    says: text(160).defined(),
    trim: text(20).test('trim', '${path} is no trim', v => v === undefined || !!parseTrim(v)),
    sections: optional(
      list(
        shape({
          role: one(...recipeRoles).required(),
          title: text(300).defined(),
          words: list(text(4000).required(), 40).required(),
        }).required(),
        recipeRoles.length,
      ),
    ),
    style: styleChanges as never,
    plan: planSchema().required(),
  })

/** Whether something kept is a recipe in order. */
export const isRecipe = (value: unknown): boolean =>
  !!value && typeof value === 'object' && recipeSchema().isValidSync({ format: FORMAT, version: VERSION, ...value })

export const writeRecipe = (recipe: Recipe): string => canonicalJson({ format: FORMAT, version: VERSION, ...recipe })

/** Reads a recipe's file. Throws a Fault that says what is wrong with it. */
export function readRecipe(file: string): Recipe {
  if (file.length > MOST) throw new Fault('recipe', 'This file is larger than any recipe.')
  const raw = parsed(file)
  if (!raw || typeof raw !== 'object' || (raw as { format?: unknown }).format !== FORMAT)
    throw new Fault('recipe', 'This file is no recipe: recipes are kept from the Pages of a book.')
  if (Number((raw as { version?: unknown }).version) > VERSION)
    throw new Fault('recipe', 'This recipe was written by a later version of Porchlight.')
  try {
    const {
      format: _format,
      version: _version,
      ...recipe
    } = recipeSchema().validateSync(raw) as Recipe & {
      format: string
      version: number
    }
    return recipe
  } catch (e) {
    if (e instanceof ValidationError) throw new Fault('recipe', `This recipe cannot be read: ${e.message}.`)
    throw e
  }
}

function parsed(file: string): unknown {
  try {
    return JSON.parse(file)
  } catch {
    // What is no JSON is no recipe: said by who asks.
    return undefined
  }
}
