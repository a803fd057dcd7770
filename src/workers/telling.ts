import type { Progress } from '@/core/trade'

/** How the press says how far it has come. Messages leave a worker also while it computes without a pause. */
let listener: ((p: Progress) => void) | undefined
let last = 0

export function tellTo(report: (p: Progress) => void): void {
  listener = report
}

/** Work goes on at most this long before messages are let in, milliseconds. */
const BREATH = 24
const channel = new MessageChannel()
const turns: (() => void)[] = []
channel.port1.onmessage = () => turns.shift()?.()
let breathed = 0

/** Tells, and lets messages in that wait: a newer state of the book, a page to be painted. */
export async function tellAndHear(p: Progress): Promise<void> {
  tell(p)
  const now = performance.now()
  if (now - breathed < BREATH) return
  breathed = now
  await new Promise<void>(done => {
    turns.push(done)
    channel.port2.postMessage(0)
  })
}

/** Tells at most every twentieth of a second: a progress is for eyes. */
export function tell(p: Progress): void {
  const now = performance.now()
  if (!listener || now - last < 50) return
  last = now
  listener(p)
}

/** Says which picture is being decoded, at once and always: where that breaks the press, it is the last that the page hears. */
export function atHand(picture: string | undefined): void {
  if (typeof WorkerGlobalScope !== 'undefined') postMessage({ picture })
}
