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

/** Books that this window writes. */
export const heldBooks = (): string[] => [...held].filter(([, h]) => h.state === 'writing').map(([book]) => book)

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

/** Whether another window writes this book now. */
export async function writtenElsewhere(book: string): Promise<boolean> {
  // Where there are no windows (tests, the command line) nothing is written elsewhere.
  if (typeof navigator === 'undefined' || !('locks' in navigator) || held.get(book)?.state === 'writing') return false
  return !!(await navigator.locks.query()).held?.some(l => l.name === nameOf(book))
}

/** A question that another window asks of the one that writes a book. */
export interface Question {
  book: string
  /** What it wants to do, in words: "put a backup in its place". */
  wants: string
  answer: (yes: boolean) => void
}

type Said =
  | { kind: 'ask'; n: string; book: string; wants: string }
  | { kind: 'answer'; n: string; yes: boolean }
  | { kind: 'over'; n: string }
const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('porchlight-writers')
// In Node an open channel would keep tests from ending.
;(channel as { unref?: () => void } | undefined)?.unref?.()
let asked: (Question & { n: string }) | undefined
const answers = new Map<string, (yes: boolean) => void>()

/** The question that waits for the author's word in this window. */
export const openQuestion = (): Question | undefined => asked

channel?.addEventListener('message', ({ data }: MessageEvent<Said>) => {
  if (data.kind === 'ask' && held.get(data.book)?.state === 'writing') {
    asked = {
      n: data.n,
      book: data.book,
      wants: data.wants,
      answer: yes => {
        asked = undefined
        channel.postMessage({ kind: 'answer', n: data.n, yes } satisfies Said)
        tell()
      },
    }
    tell()
  } else if (data.kind === 'over' && asked?.n === data.n) {
    asked = undefined
    tell()
  } else if (data.kind === 'answer') answers.get(data.n)?.(data.yes)
})

/** How long an author may think it over in the other window. */
const PATIENCE = 60_000

/** Asks the window that writes a book whether something may be done to it; yes where none does, no where it does not answer. */
export async function askWriter(book: string, wants: string, patience = PATIENCE): Promise<boolean> {
  if (!(await writtenElsewhere(book)) || !channel) return true
  const n = crypto.randomUUID()
  return new Promise(done => {
    const end = (yes: boolean): void => {
      clearTimeout(timer)
      answers.delete(n)
      channel.postMessage({ kind: 'over', n } satisfies Said)
      done(yes)
    }
    const timer = setTimeout(() => end(false), patience)
    answers.set(n, end)
    channel.postMessage({ kind: 'ask', n, book, wants } satisfies Said)
  })
}
