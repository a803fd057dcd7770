import type { EbookSettings } from '@/core/book'
import type { EbookRules, OutletProfile } from '@/core/trade'

/** What the file for an outlet has or lacks, by what the outlet's rules make of it. */
interface Variant {
  cover: boolean
  contents: boolean
  faces: boolean
  links: boolean
}

const variantOf = (rules: EbookRules | undefined, settings: EbookSettings | undefined): Variant => ({
  cover: rules?.coverPage !== false,
  contents: rules?.contentsPage !== false,
  faces: !!settings?.faces && rules?.faces !== false,
  links: rules?.linksTo === undefined,
})

const names: Record<keyof Variant, string> = {
  cover: 'page with its cover',
  contents: 'contents page',
  faces: 'face',
  links: 'link to other shops',
}

/** In words, how the files for other outlets differ (`leadsOut`: the book has links that lead out of it) from this one's: "Pellowick’s has no page with its cover". */
export function differences(
  here: OutletProfile,
  others: readonly OutletProfile[],
  settings: EbookSettings | undefined,
  leadsOut: boolean,
): string[] {
  const own = variantOf(here.ebook, settings)
  return others.flatMap(o => {
    const is = variantOf(o.ebook, settings)
    const parts = (Object.keys(names) as (keyof Variant)[]).filter(k => is[k] !== own[k] && (k !== 'links' || leadsOut))
    if (o.id === here.id || !parts.length) return []
    return [`${o.name}’s has ${parts.map(k => (is[k] ? `a ${names[k]}` : `no ${names[k]}`)).join(' and ')}`]
  })
}
