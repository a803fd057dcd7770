import type { EbookSettings } from '@/core/book'
import type { EbookRules, OutletProfile } from '@/core/trade'

/** What the file for an outlet has or lacks, by what the outlet's rules make of it. */
interface Variant {
  cover: boolean
  contents: boolean
  faces: boolean
  links: boolean
  sound: boolean
  film: boolean
}

const variantOf = (rules: EbookRules | undefined, settings: EbookSettings | undefined): Variant => ({
  cover: rules?.coverPage !== false,
  contents: rules?.contentsPage !== false,
  faces: !!settings?.faces && rules?.faces !== false,
  links: rules?.linksTo === undefined,
  sound: !rules || !!rules.plays?.includes('sound'),
  film: !rules || !!rules.plays?.includes('film'),
})

const names: Record<keyof Variant, string> = {
  cover: 'page with its cover',
  contents: 'contents page',
  faces: 'face',
  links: 'link to other shops',
  sound: 'sound',
  film: 'film',
}

const applies = (k: keyof Variant, has: InBook): boolean =>
  k === 'links' || k === 'sound' || k === 'film' ? !!has[k] : true

/** Of what may differ between outlets, what the book has. */
export type InBook = Partial<Record<'links' | 'sound' | 'film', boolean>>

/** In words, how the files for other outlets differ from this one's: "Pellowick’s has no page with its cover". */
export function differences(
  here: OutletProfile,
  others: readonly OutletProfile[],
  settings: EbookSettings | undefined,
  has: InBook,
): string[] {
  const own = variantOf(here.ebook, settings)
  return others.flatMap(o => {
    const is = variantOf(o.ebook, settings)
    const parts = (Object.keys(names) as (keyof Variant)[]).filter(k => is[k] !== own[k] && applies(k, has))
    if (o.id === here.id || !parts.length) return []
    return [`${o.name}’s has ${parts.map(k => (is[k] ? `a ${names[k]}` : `no ${names[k]}`)).join(' and ')}`]
  })
}
