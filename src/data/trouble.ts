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

/** Runs a write; a full or failing store is said, and the error goes on to whoever asked. */
export async function guarded<T>(write: () => Promise<T>): Promise<T> {
  try {
    const value = await write()
    say(undefined)
    return value
  } catch (e) {
    const names = [(e as Error)?.name, (e as { inner?: Error })?.inner?.name]
    if (names.includes('QuotaExceededError')) say('full')
    else if (names.some(n => n === 'AbortError' || n === 'UnknownError' || n === 'OpenFailedError')) say('failed')
    throw e
  }
}
