import { type Cover, drawCover, flatFor } from '../cover'
import type { FontShelf } from '../type'
import type { PrintInputs } from './printChain'

/** Pages that a cover is drawn for while nobody has set any. */
const ANY_PAGES = 200

/** The cover of a print edition before its pages are known: a front is the same whatever the spine. Undefined where the outlet binds no such book. */
export async function quickCover(
  { profile, spec, design, data, isbn, barcode, price: amount, assets, ownWrap: wrap, coverPages }: PrintInputs,
  shelf: FontShelf,
): Promise<Cover | undefined> {
  const rules = profile.print?.bindings.find(b => b.kind === spec.binding)
  if (!rules) return undefined
  const pages = coverPages ?? Math.min(rules.mostPages, Math.max(rules.leastPages, ANY_PAGES))
  const flat = flatFor(profile, { ...spec, pages, language: data.language, barcode })
  const price = amount === undefined ? undefined : { amount, currency: profile.currency }
  return drawCover(flat, design, data, { isbn, price, shelf, assets, wrap })
}
