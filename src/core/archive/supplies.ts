import type { KeptImprint, KeptProof, PenName } from '../book'
import type { KeptDictionary } from '../proof'
import { fields } from '../trade'
import { assetSchema, idForm, proofSchema } from './bookSchema'

const { like, list, optional, shape, text, whole } = fields

/** Packages that hold what was kept before, by their hashes. */
export const formerSchema = () => list(like(/^[0-9a-f]{64}$/, 'is no hash').required(), 10_000)

const id = () => like(idForm, 'wants small letters, figures and hyphens').required()

const imprintSchema = () =>
  shape({
    id: id(),
    name: text(300).required(),
    place: text(300),
    site: text(500),
    logo: optional(assetSchema()),
    former: formerSchema(),
  })

const penNameSchema = () =>
  shape({
    id: id(),
    name: text(300).required(),
    sortName: text(300),
    note: text(20_000).defined(),
    portrait: optional(assetSchema()),
    former: formerSchema(),
  })

/** Whether something kept is an imprint in order. */
export const isImprint = (value: unknown): value is KeptImprint =>
  !!value && typeof value === 'object' && imprintSchema().isValidSync(value)

/** Whether something kept is a pen name in order. */
export const isPenName = (value: unknown): value is PenName =>
  !!value && typeof value === 'object' && penNameSchema().isValidSync(value)

/** What proof-reading was told for all books in a language; `id` is its primary tag. */
export interface LanguageProof extends KeptProof {
  id: string
}

/** Whether something kept is what proof-reading was told, in order. */
export const isLanguageProof = (value: unknown): value is LanguageProof => {
  const { id: tag, ...told } = Object(value) as Partial<LanguageProof>
  return typeof tag === 'string' && idForm.test(tag) && proofSchema().isValidSync(told)
}

const hash = () => like(/^[0-9a-f]{64}$/, 'is no hash')
const dictionarySchema = () =>
  shape({
    id: id(),
    name: text(300).required(),
    aff: hash(),
    dic: hash().required(),
    words: whole(1, 1e8).required(),
    bytes: whole(1, 1e9).required(),
  })

/** Whether something kept is a dictionary in order. */
export const isKeptDictionary = (value: unknown): value is KeptDictionary =>
  !!value && typeof value === 'object' && dictionarySchema().isValidSync(value)
