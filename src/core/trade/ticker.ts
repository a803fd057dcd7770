/** How far long work has come. */
export interface Progress {
  /** What is being done, in a word or two. */
  stage: string
  done: number
  of: number
}

/**
 * Called between units of long work. The caller's ticker decides when to yield the thread and when to report; it throws
 * `Cancelled` where the work is no longer wanted.
 */
export type Ticker = (progress: Progress) => void | Promise<void>

/** Hears how far work has come that cannot yield, such as a parser's; who no longer wants it ends the worker that does it. */
export type Report = (progress: Progress) => void

/** Thrown by a ticker when the person who asked no longer wants the answer. */
export class Cancelled extends Error {
  constructor() {
    super('Cancelled')
    this.name = 'Cancelled'
  }
}
