import type { OutletProfile } from '../trade'

/** Room that an outlet gives to keywords: so many slots, so many characters in each, and in all where they stand in one field. */
export interface KeywordRoom {
  count: number
  characters: number
  /** Of the whole field, with what stands between the keywords. */
  inAll?: number
}

/** Where an outlet counts keywords and not their letters, none is longer than people type. */
const LONGEST_TYPED = 60
/** Where an outlet has one field for all of them, so many are offered to be filled. */
const OFFERED = 8

/** The room for keywords; undefined where the outlet takes none. */
export function keywordRoom({ listing }: Pick<OutletProfile, 'listing'>): KeywordRoom | undefined {
  const { keywordSlots, keywordCharacters, keywordCount } = listing
  if (keywordSlots) return keywordSlots
  if (keywordCharacters)
    return { count: keywordCount ?? OFFERED, characters: keywordCharacters, inAll: keywordCharacters }
  return keywordCount ? { count: keywordCount, characters: LONGEST_TYPED } : undefined
}
