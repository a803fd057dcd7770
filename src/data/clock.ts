import type { Hours } from '@/core/outlets'
import { db } from './db'

/** The simulated clock: hours since it was started. The author moves it; nothing else does. */
export const readClock = async (): Promise<Hours> => ((await db.settings.get('clock'))?.value as Hours | undefined) ?? 0

export const advanceClock = (hours: Hours): Promise<void> =>
  db.transaction('rw', db.settings, async () => {
    await db.settings.put({ key: 'clock', value: (await readClock()) + hours })
  })
