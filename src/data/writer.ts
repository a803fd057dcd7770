/**
 * One window writes a book; others follow. The right to write is a Web Lock for each book, held while a room of the book is
 * open; another window may take it over, and then this one follows.
 */
export type Hold = 'asking' | 'writing' | 'following'

interface Held {
  state: Hold
  users: number
  let: () => void
}

const held = new Map<string, Held>()
const listeners = new Set<() => void>()
const tell = (): void => listeners.forEach(l => l())

export function onHold(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

export const holdOf = (book: string): Hold => held.get(book)?.state ?? 'asking'

/** Where nobody asked for the lock (a book being brought in, tests without windows) writing is free. */
export const mayWrite = (book: string): boolean => held.get(book)?.state !== 'following'

const nameOf = (book: string): string => `porchlight/${book}`

/** Asks for the right to write while a room is open; gives the way to let go of it. */
export function hold(book: string): () => void {
  const known = held.get(book)
  if (known) known.users++
  else {
    held.set(book, { state: 'asking', users: 1, let: () => undefined })
    ask(book, false)
  }
  return () => {
    const h = held.get(book)
    if (!h || --h.users) return
    // A room that follows at once (Plan after Interior) keeps the lock: it is let go a moment later.
    setTimeout(() => {
      if (h.users || held.get(book) !== h) return
      held.delete(book)
      h.let()
      tell()
    }, 400)
  }
}

/** Takes the right to write from the window that has it. */
export const takeOver = (book: string): void => ask(book, true)

function ask(book: string, steal: boolean): void {
  const h = held.get(book)
  if (!h) return
  if (!('locks' in navigator)) {
    h.state = 'writing'
    return
  }
  const set = (state: Hold): void => {
    if (held.get(book) !== h || h.state === state) return
    h.state = state
    tell()
  }
  // While it waits in the queue, this window follows; when the other one closes, it writes.
  if (!steal) {
    void navigator.locks.query().then(q => {
      if (h.state === 'asking' && q.held?.some(l => l.name === nameOf(book))) set('following')
    })
  }
  navigator.locks
    .request(nameOf(book), steal ? { steal: true } : {}, () => {
      // Granted after the room was left: let go at once.
      if (held.get(book) !== h) return undefined
      set('writing')
      return new Promise<void>(done => {
        h.let = done
      })
    })
    // Stolen: another window writes now. This one queues again, and writes when that one is closed.
    .catch(() => {
      set('following')
      if (held.get(book) === h) ask(book, false)
    })
}
