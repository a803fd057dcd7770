import type { EbookSettings } from '@/core/book'
import type { EbookRules, OutletProfile } from '@/core/trade'

/** What the file for an outlet has or lacks, by what the outlet's rules make of it. */
interface Variant {
  cover: boolean
  contents: boolean
  faces: boolean
}

const variantOf = (rules: EbookRules | undefined, settings: EbookSettings | undefined): Variant => ({
  cover: rules?.coverPage !== false,
  contents: rules?.contentsPage !== false,
  faces: !!settings?.faces && rules?.faces !== false,
})

const names: Record<keyof Variant, string> = {
  cover: 'page with its cover',
  contents: 'contents page',
  faces: 'face',
}

/** In words, how the files for other outlets differ from this one's: "Pellowick’s has no page with its cover". */
export function differences(
  here: OutletProfile,
  others: readonly OutletProfile[],
  settings: EbookSettings | undefined,
): string[] {
  const own = variantOf(here.ebook, settings)
  return others.flatMap(o => {
    const is = variantOf(o.ebook, settings)
    const parts = (Object.keys(names) as (keyof Variant)[]).filter(k => is[k] !== own[k])
    if (o.id === here.id || !parts.length) return []
    return [`${o.name}’s has ${parts.map(k => (is[k] ? `a ${names[k]}` : `no ${names[k]}`)).join(' and ')}`]
  })
}
