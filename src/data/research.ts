import { db } from './db'
import { guarded } from './trouble'

/** What research was last asked, and for which book. */
export interface LastQuestion {
  market?: string
  word?: string
  book?: string
}

export const lastQuestion = async (): Promise<LastQuestion | undefined> =>
  (await db.settings.get('research'))?.value as LastQuestion | undefined

export const keepQuestion = (q: LastQuestion): Promise<unknown> =>
  guarded(() => db.settings.put({ key: 'research', value: q }))
