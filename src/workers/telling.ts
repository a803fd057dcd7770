import type { Progress } from '@/core/trade'

/** How the press says how far it has come. Messages leave a worker also while it computes without a pause. */
let listener: ((p: Progress) => void) | undefined
let last = 0

export function tellTo(report: (p: Progress) => void): void {
  listener = report
}

/** Tells at most every twentieth of a second: a progress is for eyes. */
export function tell(p: Progress): void {
  const now = performance.now()
  if (!listener || now - last < 50) return
  last = now
  listener(p)
}
