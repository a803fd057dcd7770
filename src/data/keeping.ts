import { readyJournal } from './journal'
import { flushPens, wordsAtRisk } from './pen'
import { playBack } from './playback'

/** What every window does for the words of its author, from its start to its end. Gives the way to stop. */
export function keepWords(): () => void {
  void readyJournal()
  // Where the store cannot be read, rooms say so; the journal keeps what it has until it can be played.
  void playBack().catch(() => undefined)
  const leave = (): void => void flushPens()
  const ask = (e: BeforeUnloadEvent): void => {
    if (wordsAtRisk()) e.preventDefault()
  }
  addEventListener('pagehide', leave)
  document.addEventListener('visibilitychange', leave)
  addEventListener('beforeunload', ask)
  return () => {
    removeEventListener('pagehide', leave)
    document.removeEventListener('visibilitychange', leave)
    removeEventListener('beforeunload', ask)
  }
}
