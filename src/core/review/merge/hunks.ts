import { diffArrays } from 'diff'
import type { Token } from './tokens'

/** A stretch of what went out that others stand in the place of: from one of its tokens up to another, none where they are the same. */
export interface Hunk {
  from: number
  to: number
  with: readonly Token[]
}

/** What differs between two states, in order (Myers’ algorithm). Two that nothing but a space stands between are one. */
export function hunksBetween(before: readonly Token[], after: readonly Token[]): Hunk[] {
  const out: Hunk[] = []
  let [at, there] = [0, 0]
  const runs = diffArrays(
    before.map(t => t.key),
    after.map(t => t.key),
  )
  for (const run of runs) {
    if (!run.added && !run.removed) {
      at += run.value.length
      there += run.value.length
      continue
    }
    const last = out.at(-1)
    const [gone, came] = run.removed ? [run.value.length, 0] : [0, run.value.length]
    const fresh = after.slice(there, there + came)
    if (last && isSpace(before.slice(last.to, at))) {
      const between = before.slice(last.to, at)
      out[out.length - 1] = { from: last.from, to: at + gone, with: [...last.with, ...between, ...fresh] }
    } else out.push({ from: at, to: at + gone, with: fresh })
    at += gone
    there += came
  }
  return out
}

const isSpace = (tokens: readonly Token[]): boolean =>
  tokens.length === 0 || (tokens.length === 1 && tokens[0]!.is === 'word' && !tokens[0]!.text.trim())

/** Whether two stretches of the same text overlap or meet. */
export const meet = (a: Pick<Hunk, 'from' | 'to'>, b: Pick<Hunk, 'from' | 'to'>): boolean =>
  a.from <= b.to && b.from <= a.to

/** Tokens with hunks in their places. */
export function withHunks(before: readonly Token[], hunks: readonly Hunk[]): Token[] {
  const out: Token[] = []
  let at = 0
  for (const h of hunks.toSorted((a, b) => a.from - b.from || a.to - b.to)) {
    out.push(...before.slice(at, h.from), ...h.with)
    at = h.to
  }
  return [...out, ...before.slice(at)]
}

/** Whether something begins or ends in a stretch that holds others. */
export const isStructural = (tokens: readonly Token[]): boolean => tokens.some(t => t.is === 'open' || t.is === 'close')
