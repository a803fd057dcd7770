import type { HandPage, Run } from '../../book'
import type { RunKind } from '../kind'

/** The author's hand on a run: by the index of its page, and what finds no page. */
export interface Hands {
  on: ReadonlyMap<number, HandPage>
  /** What was changed on pages that are not there: the run is shorter, or nothing is made any more from what they were. */
  waiting: readonly HandPage[]
}

/** Long rows are told apart by so many of their letters. */
const MOST_NAME = 400
const NONE: Hands = { on: new Map(), waiting: [] }

/** What a page of a run is made from, by a name that stays with it; empty where its place in the run is all that tells it. */
export async function sourceOfPage(run: Run, kind: RunKind, made: unknown, index: number): Promise<string> {
  const first = index * (run.each ?? 1)
  const source = (await kind.madeFrom?.(run.params, made, first)) ?? (await kind.listName?.(run.params, first)) ?? ''
  return source.slice(0, MOST_NAME)
}

/**
 * Which pages of a run the author's hand lies on now. What was changed stays with what its page was made from: it follows a row that
 * has moved, and waits where that is gone. Where several pages are made from the same, the nearest is taken.
 */
export async function handsOn(run: Run, kind: RunKind, made: unknown): Promise<Hands> {
  if (!run.hand?.length) return NONE
  const pages = new Map<string, number[]>()
  for (let i = 0; i < run.pages; i++) {
    const source = await sourceOfPage(run, kind, made, i)
    const same = pages.get(source)
    if (same) same.push(i)
    else pages.set(source, [i])
  }
  const on = new Map<number, HandPage>()
  const waiting: HandPage[] = []
  // Those that stand where they stood choose first.
  const stays = (h: HandPage): boolean => !!pages.get(h.of)?.includes(h.page)
  for (const hand of [...run.hand].sort((a, b) => Number(stays(b)) - Number(stays(a)))) {
    // A page that only its place tells does not move.
    const places = hand.of ? (pages.get(hand.of) ?? []) : stays(hand) ? [hand.page] : []
    const free = places.filter(p => !on.has(p))
    if (!free.length) waiting.push(hand)
    else
      on.set(
        free.reduce((a, b) => (Math.abs(b - hand.page) < Math.abs(a - hand.page) ? b : a)),
        hand,
      )
  }
  return { on, waiting }
}
