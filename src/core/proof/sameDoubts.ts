import { steadyList } from '../trade'
import type { Doubt } from './doubt'

const keyOf = ({ section, line, from, kind }: Doubt): string => `${section} ${line} ${from} ${kind}`

const same = (a: Doubt, b: Doubt): boolean =>
  a.to === b.to &&
  a.was === b.was &&
  a.says === b.says &&
  a.about === b.about &&
  a.block === b.block &&
  a.row === b.row &&
  a.remedies.length === b.remedies.length &&
  a.remedies.every((r, i) => r === b.remedies[i])

/** Doubts of a new reading, as they were before where they are the same. */
export const steadyDoubts = (former: readonly Doubt[], now: readonly Doubt[]): readonly Doubt[] =>
  steadyList(former, now, keyOf, same)
