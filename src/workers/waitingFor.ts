import type { Progress } from '@/core/trade'

/** The press at work for longer than a moment: how far it has come, as far as it says so. */
export interface AtWork {
  progress?: Progress
}

/** Work that ends sooner is not worth a word. */
const A_MOMENT = 450
/** Pictures, which come one by one where they are looked at, and work whose room shows how far it is with its own way to stop it. */
const silent = new Set([
  'pack',
  'paint',
  'paintCover',
  'sample',
  'placeAt',
  'pageOf',
  'boxOn',
  'plannedPages',
  'handsOn',
  'ruled',
  'wordInPages',
  'turns',
  'printed',
  'firstLook',
  'front',
  'lines',
  'find',
  'setOutlets',
])

/** Calls that wait for an answer, by the way to refuse them. */
const waiting = new Set<(e: Error) => void>()
/** How many of them the sill speaks of. */
let spoken = 0
let timer: ReturnType<typeof setTimeout> | undefined
let latest: Progress | undefined
let atWork: AtWork | undefined
const listeners = new Set<() => void>()

/** Whether anybody waits for the press. */
export const isAwaited = (): boolean => waiting.size > 0

/** What the press was last heard to be at. */
export const latestStage = (): string | undefined => latest?.stage

/** Refuses all that wait: an ended worker answers no more. */
export function refuseAll(why: () => Error): void {
  const refused = [...waiting]
  waiting.clear()
  spoken = 0
  settle()
  for (const refuse of refused) refuse(why())
}

export const pressAtWork = (): AtWork | undefined => atWork
export function onPressAtWork(l: () => void): () => void {
  listeners.add(l)
  return () => listeners.delete(l)
}

/** An answer of the press, or a refusal when it is stopped: an ended worker answers no more. */
export function awaited<T>(call: Promise<T>, name: string): Promise<T> {
  return new Promise((resolve, reject) => {
    const aloud = !silent.has(name)
    if (aloud && spoken++ === 0) timer = setTimeout(() => show({ progress: latest }), A_MOMENT)
    waiting.add(reject)
    const done = (): void => {
      if (waiting.delete(reject) && aloud && --spoken === 0) settle()
    }
    call.then(
      v => {
        done()
        resolve(v)
      },
      (e: Error) => {
        done()
        reject(e)
      },
    )
  })
}

export function hear(progress: Progress): void {
  latest = progress
  if (atWork) show({ progress })
}

function settle(): void {
  clearTimeout(timer)
  latest = undefined
  show(undefined)
}

function show(next: AtWork | undefined): void {
  if (next === atWork) return
  atWork = next
  listeners.forEach(l => l())
}
