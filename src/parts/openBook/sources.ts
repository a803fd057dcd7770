import { liveQuery } from 'dexie'
import { Fault } from '@/core/trade'
import { freshen } from '@/data/books'
import { steps } from '@/data/changes'
import { allOutlets } from '@/data/outlets'
import { hold, holdOf, onHold } from '@/data/writer'
import { openAtPress, press, pressDied } from '@/workers/client'
import type { Sources } from './OpenedBook'

/** A book of this browser's store, set by this window's press. */
export const sourcesOf = (bookId: string): Sources => ({
  watchBook: (held, tell, fail) => watch(async () => (await freshen(bookId, held())) ?? null, tell, fail),
  watchOutlets: (tell, fail) => watch(allOutlets, tell, fail),
  watchHistory: (tell, fail) => watch(() => steps(bookId), tell, fail),
  watchHold(tell) {
    const say = (): void => tell(holdOf(bookId))
    const [unhear, letGo] = [onHold(say), hold(bookId)]
    say()
    return () => {
      unhear()
      letGo()
    }
  },
  warmUp: () => void press(),
  open: openAtPress,
  leaves: editionId => press().leaves(bookId, editionId),
  figures: (editionId, outletId) => press().figures(bookId, editionId, outletId),
  died: e =>
    e instanceof Fault && e.code === pressDied
      ? `${e.message} It broke down again at this book: ${e.place ? 'take that picture out, or save it again with the program that made it and bring it in anew' : 'a setting of it may be the cause'}. Other books are not touched.`
      : undefined,
})

function watch<T>(query: () => Promise<T>, tell: (value: T) => void, fail: (e: Error) => void): () => void {
  const watched = liveQuery(query).subscribe(tell, fail)
  return () => watched.unsubscribe()
}
