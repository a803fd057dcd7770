/** What the last write to the browser's storage met with. Rooms show it; nothing is called saved while it stands. */
export type StorageTrouble = 'full' | 'failed' | undefined

let trouble: StorageTrouble
const listeners = new Set<() => void>()

export const storageTrouble = (): StorageTrouble => trouble
export function onTrouble(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

function say(now: StorageTrouble): void {
  if (now === trouble) return
  trouble = now
  listeners.forEach(l => l())
}

const refused = new Set<(why: string) => void>()
/** Hears of every write that was refused, whoever asked for it. */
export function onRefused(listener: (why: string) => void): () => void {
  refused.add(listener)
  return () => refused.delete(listener)
}

/** Said where a write is asked for in a window that follows another. */
export class FollowingWindow extends Error {
  constructor() {
    super('This book is open in another window, which writes it. Nothing was changed here.')
    this.name = 'FollowingWindow'
  }
}

/** The error of a write that this window may not do; it is said to all who listen. */
export function refuse(): FollowingWindow {
  const e = new FollowingWindow()
  refused.forEach(l => l(e.message))
  return e
}

/** Whether an error says that the store has no room. Dexie wraps what the browser throws. */
export const storeFull = (e: unknown): boolean =>
  [(e as Error)?.name, (e as { inner?: Error })?.inner?.name].includes('QuotaExceededError')

/** Runs a write; a full or failing store is said, and the error goes on to whoever asked. */
export async function guarded<T>(write: () => Promise<T>): Promise<T> {
  try {
    const value = await write()
    say(undefined)
    return value
  } catch (e) {
    const names = [(e as Error)?.name, (e as { inner?: Error })?.inner?.name]
    if (storeFull(e)) say('full')
    else if (names.some(n => n === 'AbortError' || n === 'UnknownError' || n === 'OpenFailedError')) say('failed')
    throw e
  }
}
