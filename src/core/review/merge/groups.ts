import type { BlockJson } from '@/core/book'
import { bare, type Layout, said } from './layout'

/** Blocks that became others together: one that was divided, or some that were joined. Mostly one that became one. */
export interface Group {
  before: readonly string[]
  after: readonly string[]
}

/** How much of a block’s words must have stood in another for it to be a part of that. */
const ENOUGH = 0.6

const wordsOf = (text: string): string[] => text.match(/[\p{L}\p{N}]+/gu) ?? []

/** Words that a text has more often than another. */
function wordsLost(before: string, after: string): Map<string, number> {
  const lost = new Map<string, number>()
  for (const w of wordsOf(before)) lost.set(w, (lost.get(w) ?? 0) + 1)
  for (const w of wordsOf(after)) {
    const n = lost.get(w)
    if (n) lost.set(w, n - 1)
  }
  return lost
}

/** Whether what a block says stood, for the most part, in words that another lost. Takes them out of those. */
function isPart(text: string, lost: Map<string, number>): boolean {
  const words = wordsOf(text)
  const left = new Map(lost)
  let found = 0
  for (const w of words) {
    const n = left.get(w) ?? 0
    if (n > 0) {
      left.set(w, n - 1)
      found++
    }
  }
  if (!words.length || found < ENOUGH * words.length) return false
  for (const [w, n] of left) lost.set(w, n)
  return true
}

/** Blocks that follow one in its section, as long as they are of a kind. */
function following(layout: Layout, id: string, belongs: (b: BlockJson) => boolean): BlockJson[] {
  const placed = layout.blocks.get(id)!
  const behind = layout.sections.get(placed.section)!.doc.content.slice(placed.index + 1)
  const end = behind.findIndex(b => !belongs(b))
  return end < 0 ? behind : behind.slice(0, end)
}

/** What a block of one state became in another: itself, with those that it was divided into, or that were joined to it. */
export function groupOf(id: string, before: Layout, after: Layout): Group {
  const [was, is] = [before.blocks.get(id)!.block, after.blocks.get(id)!.block]
  if (was === is || bare(was) === bare(is)) return { before: [id], after: [id] }
  const [a, b] = [said(was), said(is)]
  const lost = wordsLost(a, b)
  const parts = asLongAs(
    following(after, id, x => !before.blocks.has(x.attrs.id)),
    x => isPart(said(x), lost),
  )
  const won = wordsLost(b, a)
  const joined = asLongAs(
    following(before, id, x => !after.blocks.has(x.attrs.id)),
    x => isPart(said(x), won),
  )
  return { before: [id, ...joined], after: [id, ...parts] }
}

/** Ids of blocks from the first on, as long as they pass. */
function asLongAs(blocks: readonly BlockJson[], passes: (b: BlockJson) => boolean): string[] {
  const out: string[] = []
  for (const b of blocks) {
    if (!passes(b)) break
    out.push(b.attrs.id)
  }
  return out
}
