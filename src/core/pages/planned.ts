import { rulingLayer } from '../activity'
import type { Book, PagePlan } from '../book'
import type { PageMarks } from '../marks'
import type { FontShelf } from '../type'
import type { Interior } from './interior'

/** The least margins of planned pages, points: a ruled page fills its leaf. */
const MARGIN = 36

/**
 * Sets the pages of a plan behind a book's front pages: from a right-hand page, numbered from 1, margins mirrored, each run's
 * pages sharing one layer. `inside`: the inside margin asked at the count that results; `safe`: the outlet's safe zone.
 */
export async function withPlan(
  interior: Interior,
  book: Book,
  plan: PagePlan,
  inside: number,
  safe: number,
  shelf: FontShelf,
): Promise<Interior> {
  const { width, height } = interior.spec
  const edge = Math.max(MARGIN, safe + 4)
  const inner = Math.max(inside, edge)
  const room = { width: width - inner - edge, height: height - 2 * edge }
  const pages: PageMarks[] = [...interior.pages]
  const starts = new Map(interior.starts)
  const blank = (label: string): PageMarks => ({
    width,
    height,
    bleed: { top: 0, right: 0, bottom: 0, left: 0 },
    layers: [],
    label,
    side: pages.length % 2 === 0 ? 'recto' : 'verso',
  })
  const front = pages.length
  let number = 0
  for (const run of plan.runs) {
    const layer = await rulingLayer(run, room, book.data.language, shelf)
    if (run.pages) starts.set(`run:${run.id}`, pages.length)
    for (let i = 0; i < run.pages; i++)
      pages.push({ ...blank(String(++number)), layers: [{ layer, x: pages.length % 2 === 0 ? inner : edge, y: edge }] })
  }
  if (pages.length % 2) pages.push(blank(String(++number)))
  return { ...interior, pages, starts, block: front ? interior.block : { x: inner, y: edge, ...room } }
}
