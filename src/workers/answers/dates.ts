// Holidays are loaded when a room asks for them: few books are dated.
const core = () => import('@/core/activity')

/** What rooms ask of calendars; names in the interface's language. */
export const dates = {
  /** Countries whose public holidays are known, by code. */
  countries: async (): Promise<{ code: string; name: string }[]> => (await core()).countriesKnown('en'),
  /** Their regions that have days of their own. */
  regions: async (country: string): Promise<{ code: string; name: string }[]> =>
    country ? (await core()).regionsKnown(country, 'en') : [],
}
