import { press } from '@/workers/client'
import { collectBlobs } from './blobs'
import { markDamaged } from './damaged'
import { db } from './db'
import { playBack } from './playback'
import { sweep } from './removal'
import { foldHistory, keepSitting, thinVersions } from './versions'
import { heldBooks, onHold } from './writer'

/** What every window does for the library as a whole: plays back what dead windows left, tidies when it rests. Gives the way to stop. */
export function keepWords(): () => void {
  // Where the store is full or cannot be written, rooms say so; the journal keeps what it has, and it is tried again.
  let later: ReturnType<typeof setTimeout> | undefined
  const play = (): void => void playBack().catch(() => (later = setTimeout(play, PLAY_AGAIN)))
  play()
  const tidying = setInterval(() => whenIdle(tidy), TIDY_EVERY)
  const unhold = onHold(keepLastSittings)
  return () => {
    unhold()
    clearInterval(tidying)
    clearTimeout(later)
  }
}

/** How long after a failure the journal is played again. Milliseconds. */
const PLAY_AGAIN = 15_000
/** How often a window looks whether something wants tidying, and how often the store is swept. Milliseconds. */
const TIDY_EVERY = 90_000
const SWEEP_EVERY = 24 * 3600 * 1000

const whenIdle = (work: () => Promise<void>): void => {
  const go = (): void => void work().catch(() => undefined) // Tidying can wait for the next time; what is in the way is said by whoever writes.
  if ('requestIdleCallback' in globalThis) requestIdleCallback(go, { timeout: 10_000 })
  else go()
}

/** Books of which the sitting before this one was looked for. */
const opened = new Set<string>()

/** What the last sitting ended with is kept when a book is opened to be written, before it is another. */
function keepLastSittings(): void {
  for (const book of heldBooks()) {
    if (opened.has(book)) continue
    opened.add(book)
    whenIdle(async () => void (await keepSitting(book)))
  }
}

/** Folds long histories of the books this window writes, and looks at their pictures; once a day, in one window, removes what has rested long enough and what nothing names. */
async function tidy(): Promise<void> {
  for (const book of heldBooks()) {
    await foldHistory(book)
    await keepSitting(book)
    await markDamaged(book, (id, bytes) => press().checkPicture(id, bytes))
  }
  const last = ((await db.settings.get('swept'))?.value as number | undefined) ?? 0
  if (Date.now() - last < SWEEP_EVERY || !('locks' in navigator)) return
  await navigator.locks.request('porchlight-sweeping', { ifAvailable: true }, async lock => {
    if (!lock) return
    await db.settings.put({ key: 'swept', value: Date.now() })
    for (const { id } of await db.books.toArray()) await thinVersions(id)
    await sweep()
    await collectBlobs()
  })
}
