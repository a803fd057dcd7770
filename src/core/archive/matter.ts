import { type Role, roles } from '../book'
import { fields } from '../trade'
import { assetSchema, idForm, recordingSchema } from './bookSchema'
import { formerSchema } from './supplies'
import { isSound } from './project'

const { like, list, one, shape, text } = fields

const matterSchema = () =>
  shape({
    id: like(idForm, 'wants small letters, figures and hyphens').required(),
    name: text(300).required(),
    role: one(...(Object.keys(roles) as Role[])).required(),
    title: text(2000).defined(),
    subtitle: text(2000),
    assets: list(assetSchema(), 500).required(),
    recordings: list(recordingSchema(), 500),
    former: formerSchema(),
  })

/** Whether something kept is standing matter in order: its head, and a document of the book's own schema. */
export function isMatter(value: unknown): boolean {
  if (!value || typeof value !== 'object') return false
  const { doc, ...head } = value as { doc?: unknown }
  return matterSchema().isValidSync(head) && isSound(doc)
}
