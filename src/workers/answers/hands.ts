import { type PageOfRun, piecesOn, type PieceOn } from '@/core/activity'
import type { HandPage } from '@/core/book'
import type { PlannedAt } from '@/core/pages'
import { chainOf, tools } from '../chains'
import { bookOf } from '../openBooks'

/** A page of a run as an author takes hold of it: what tells it, its room, and its pieces from the back to the front; points from the trim's left top. */
export interface PlannedPage extends PageOfRun, Pick<PlannedAt, 'run' | 'room'> {
  /** Its place in the book, from 0. */
  index: number
  label: string
  pieces: PieceOn[]
}

/** Where the author's hand lies on a run, and what of it finds no page. */
export interface HandsOnRun {
  on: { page: number; label: string }[]
  waiting: HandPage[]
}

/** What authors did to single pages of runs. */
export const hands = {
  /** The pages of runs among some; backs of leaves and what is written are left out. */
  async plannedPages(bookId: string, editionId: string, of: number[]): Promise<PlannedPage[]> {
    const interior = await chainOf(bookId, editionId).get('interior')
    const { plan, data } = bookOf(bookId).book
    const runs = plan?.runs ?? []
    const found: PlannedPage[] = []
    for (const index of of) {
      const at = interior.planned.get(index)
      const run = at && runs.find(r => r.id === at.run)
      const page = interior.pages[index]
      if (!at || at.back || !run || !page || interior.unmade.some(u => u.run === run.id)) continue
      const kept = interior.byHand.find(h => h.run === run.id)?.on.get(at.index)
      found.push({
        index,
        label: page.label,
        run: run.id,
        room: at.room,
        page: at.index,
        of: await tools.runs.sourceAt(run, at.index, { runs, language: data.language }),
        kept: kept && { page: kept.page, of: kept.of },
        // What is drawn by hand has no body beside its pieces.
        pieces: piecesOn(page).filter(p => p.piece !== 'body' || run.kind !== 'own'),
      })
    }
    return found
  },

  async handsOn(bookId: string, editionId: string, runId: string): Promise<HandsOnRun> {
    const interior = await chainOf(bookId, editionId).get('interior')
    const hand = interior.byHand.find(h => h.run === runId)
    const at = new Map([...interior.planned].flatMap(([i, p]) => (p.run === runId && !p.back ? [[p.index, i]] : [])))
    const on = [...(hand?.on.keys() ?? [])].sort((a, b) => a - b).flatMap(n => at.get(n) ?? [])
    return {
      on: on.map(page => ({ page, label: interior.pages[page]!.label })),
      waiting: [...(hand?.waiting ?? [])],
    }
  },
}
