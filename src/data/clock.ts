import { type Hours, isHours } from '@/core/outlets'
import { db } from './db'

/** The simulated clock: hours since it was started. The author moves it; nothing else does. */
export const readClock = async (): Promise<Hours> => {
  const value = (await db.settings.get('clock'))?.value
  // A clock that is no clock stands at the beginning: it must not stop the listings and the ledger.
  return isHours(value) ? value : 0
}

export const advanceClock = (hours: Hours): Promise<void> =>
  db.transaction('rw', db.settings, async () => {
    await db.settings.put({ key: 'clock', value: (await readClock()) + hours })
  })
