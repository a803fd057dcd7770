import { strToU8 } from 'fflate'
import { type BlockJson, hashOf } from '@/core/book'
import { type Hunk, hunksBetween, isStructural, meet, withHunks } from './hunks'
import { blocksOf, type Token, tokensOf, unsaid } from './tokens'

/** A change of one side to some blocks, against what the other made of them. */
export interface Change {
  /** Of the places in what went out that it is made of: stays the same whatever the other side does. */
  key: string
  /** What went out, what came back, and what stands there now. */
  sent: readonly Token[]
  theirs: readonly Token[]
  yours: readonly Token[]
  /** Where that stands now, among the tokens of now. */
  from: number
  to: number
  /** Both sides changed the same words, each otherwise. */
  clash: boolean
}

/** The changes of theirs that are not in what stands now, and the tokens of that. */
export interface Merged {
  now: readonly Token[]
  changes: readonly Change[]
}

/** Three states of the same blocks: what went out, what came back, what stands now. `left`: keys of changes that were refused. */
export function merged(
  sent: readonly BlockJson[],
  theirs: readonly BlockJson[],
  yours: readonly BlockJson[],
  { name, left }: { name: string; left: ReadonlySet<string> },
): Merged {
  const [base, back, now] = [tokensOf(sent), tokensOf(theirs), tokensOf(yours)]
  const own = hunksBetween(base, now)
  const keyed = soundHunks(base, hunksBetween(base, back), back).map(h => ({ ...h, key: keyOf(name, h) }))
  const open = keyed.filter(h => !left.has(h.key))
  const changes = clustersOf(open, own).flatMap((c): Change[] => {
    const [from, to] = [c.from, c.to]
    const sides = { sent: base.slice(from, to), theirs: stretch(base, c.theirs, c), yours: stretch(base, c.yours, c) }
    if (same(sides.theirs, sides.yours)) return []
    return [
      {
        ...sides,
        theirs: sides.theirs.map(unsaid),
        key: c.theirs.map(h => h.key).join('+'),
        from: shifted(own, from, c),
        to: shifted(own, from, c) + sides.yours.length,
        clash: c.yours.length > 0,
      },
    ]
  })
  return { now, changes: soundChanges(now, changes, back) }
}

/** The tokens of now with changes taken; undefined where they make no text together. */
export const withChanges = (now: readonly Token[], changes: readonly Change[]): BlockJson[] | undefined =>
  blocksOf(
    withHunks(
      now,
      changes.map(({ from, to, theirs }) => ({ from, to, with: theirs })),
    ),
  )

/** A change is known by its place in what went out and by what it makes of it. */
const keyOf = (name: string, { from, to, with: fresh }: Hunk): string =>
  `${name}/${from}-${to}.${hashOf(strToU8(fresh.map(t => t.key).join('\n'))).slice(0, 12)}`

interface Cluster {
  from: number
  to: number
  theirs: (Hunk & { key: string })[]
  yours: Hunk[]
}

/** Changes of theirs, each with what of yours it meets; those that the same of yours meet are one. */
function clustersOf(theirs: readonly (Hunk & { key: string })[], yours: readonly Hunk[]): Cluster[] {
  const out: Cluster[] = []
  const all = [...theirs.map(hunk => ({ hunk, mine: false })), ...yours.map(hunk => ({ hunk, mine: true }))]
  for (const { hunk, mine } of all.toSorted((a, b) => a.hunk.from - b.hunk.from || a.hunk.to - b.hunk.to)) {
    const last = out.at(-1)
    const cluster =
      last && meet(last, hunk) ? last : (out.push({ from: hunk.from, to: hunk.to, theirs: [], yours: [] }), out.at(-1)!)
    cluster.to = Math.max(cluster.to, hunk.to)
    if (mine) cluster.yours.push(hunk)
    else cluster.theirs.push(hunk as Hunk & { key: string })
  }
  return out.filter(c => c.theirs.length)
}

/** A stretch of what went out as one side has it. */
function stretch(base: readonly Token[], hunks: readonly Hunk[], { from, to }: { from: number; to: number }): Token[] {
  const inside = hunks.map(h => ({ ...h, from: h.from - from, to: h.to - from }))
  return withHunks(base.slice(from, to), inside)
}

const same = (a: readonly Token[], b: readonly Token[]): boolean =>
  a.length === b.length && a.every((t, i) => t.key === b[i]!.key)

/** Where a place of what went out stands by now. */
function shifted(own: readonly Hunk[], at: number, cluster: Cluster): number {
  let by = 0
  for (const h of own) if (h.to <= at && !cluster.yours.includes(h)) by += h.with.length - (h.to - h.from)
  return at + by
}

/** Hunks that each make a text by itself: those that begin and end things which hold others are one where they do not. */
function soundHunks(base: readonly Token[], hunks: readonly Hunk[], back: readonly Token[]): readonly Hunk[] {
  const isAlone = (h: Hunk): boolean => !!blocksOf(withHunks(base, [h]))
  if (hunks.every(isAlone)) return hunks
  const structural = hunks.filter(h => isStructural(h.with) || isStructural(base.slice(h.from, h.to)) || !isAlone(h))
  const [from, to] = [structural[0]!.from, structural.at(-1)!.to]
  const inside = hunks.filter(h => h.from >= from && h.to <= to)
  const one: Hunk = { from, to, with: stretch(base, inside, { from, to }) }
  // Where not even that makes a text, what came back does.
  if (!blocksOf(withHunks(base, [one]))) return [{ from: 0, to: base.length, with: back }]
  return [...hunks.filter(h => h.to < from), one, ...hunks.filter(h => h.from > to)]
}

/** Changes that each make a text where they are taken; where one does not, all of them are one that does, and is asked. */
function soundChanges(now: readonly Token[], changes: readonly Change[], back: readonly Token[]): readonly Change[] {
  if (changes.every(c => withChanges(now, [c]))) return changes
  const [from, to] = [Math.min(...changes.map(c => c.from)), Math.max(...changes.map(c => c.to))]
  const one: Change = {
    key: changes.map(c => c.key).join('+'),
    sent: changes.flatMap(c => c.sent),
    theirs: stretch(
      now,
      changes.map(c => ({ from: c.from, to: c.to, with: c.theirs })),
      { from, to },
    ),
    yours: now.slice(from, to),
    ...{ from, to, clash: true },
  }
  if (withChanges(now, [one])) return [one]
  // Then the whole of it is theirs or yours.
  return [{ ...one, theirs: back.map(unsaid), yours: now, from: 0, to: now.length }]
}
