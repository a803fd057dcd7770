import { Fault } from '../trade'

/** Makes a record of one version into one of the next. Pure: the same in, the same out. */
export type Migration = (record: never) => unknown

/** Brings a record from its version to the wanted one, step by step. Newer ones are refused, not guessed at. */
export function migrate(record: unknown, from: number, to: number, steps: Record<number, Migration>): unknown {
  if (!Number.isInteger(from) || from < 1) throw new Fault('version', 'This file does not say which version it is.')
  if (from > to)
    throw new Fault(
      'version',
      `This file was made by a newer Porchlight (its version is ${from}; this one reads up to ${to}).`,
    )
  let now = record
  for (let v = from; v < to; v++) {
    const step = steps[v]
    if (!step) throw new Fault('version', `Files of version ${v} can no longer be read.`)
    now = step(now as never)
  }
  return now
}
