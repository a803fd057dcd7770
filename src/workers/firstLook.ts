import type { Edition, PagePlan } from '@/core/book'
import { plannedLook } from '@/core/chain'
import type { PageMarks } from '@/core/marks'
import { type Interior, pageOf, placeAt } from '@/core/pages'
import { insideMargin } from '@/core/trade'
import { chainOf, outletOf, tools } from './chains'
import { printInputsOf } from './editionInputs'
import { bookOf, follow, type OpenedBook, takenOf } from './openBooks'

/** A page by its index, as it was last set or is to be. */
interface SeenPage {
  page: number
  marks: PageMarks
}

/** What was last looked at: an interior, and the plan whose pages are in it. */
interface Seen {
  interior: Interior
  plan: PagePlan | undefined
}

/** By book and edition. */
const last = new Map<string, Map<string, Seen>>()

/** Remembers what is looked at. */
export function shown(bookId: string, editionId: string, seen: Seen): void {
  const own = last.get(bookId) ?? new Map<string, Seen>()
  last.set(bookId, own.set(editionId, seen))
}

// A book that is gone is not looked at again.
follow({ closed: bookId => void last.delete(bookId) })

/** Pages of the open spread as they are to be, before the whole book is set; nothing where a change does not concern them. */
export async function firstLook(bookId: string, editionId: string, pages: number[]): Promise<SeenPage[]> {
  await takenOf(bookId)
  const before = last.get(bookId)?.get(editionId)
  const b = bookOf(bookId)
  const edition = b.book.editions.find(e => e.id === editionId)
  if (!before || !edition || edition.kind === 'ebook') return []
  const { plan } = b.book
  if (!plan) return changedStyle(b, edition, { before: before.interior, pages })
  const concerned = pages.filter(page => isChanged(before, plan, page))
  return concerned.length ? plannedLook(chainOf(bookId, editionId), tools, concerned) : []
}

/** Whether a page is of a run that says something else now, or all planned pages look otherwise. */
function isChanged({ interior, plan: was }: Seen, plan: PagePlan, page: number): boolean {
  const same = (x: unknown, y: unknown): boolean => JSON.stringify(x) === JSON.stringify(y)
  const of = (p: PagePlan | undefined): unknown => p && { ...p, runs: undefined }
  const at = interior.planned.get(page)
  const run = (p: PagePlan | undefined): unknown => p?.runs.find(r => r.id === at?.run)
  return !!at && (!same(of(was), of(plan)) || !same(run(was), run(plan)))
}

/**
 * Pages of the open spread as a changed style sets them: only their sections are set, where they began before, and the page is
 * the one on which stands what stood at the old one's top. The rest of the book follows; what is set here is not set again.
 * Nothing where the style is what it was.
 */
async function changedStyle(
  b: OpenedBook,
  edition: Edition,
  { before, pages }: { before: Interior; pages: number[] },
): Promise<SeenPage[]> {
  const inputs = printInputsOf(b, edition, outletOf(edition))
  if (JSON.stringify(inputs.style) === JSON.stringify(before.style)) return []
  const style = await chainOf(b.book.id, edition.id).get('style')
  const spec = {
    ...before.spec,
    inside: insideMargin(inputs.profile, inputs.spec.binding, before.pages.length),
    ...(inputs.exceptions ? { exceptions: inputs.exceptions } : {}),
  }
  const out: SeenPage[] = []
  for (const page of pages) {
    const old = before.pages[page]
    if (!old?.layers.length) continue
    const [section, start] = [...before.starts].reduce((best, s) => (s[1] <= page && s[1] > best[1] ? s : best), [
      '',
      -1,
    ] as [string, number])
    const set = await tools.setter.setOne(
      { book: b.text, style, spec },
      { section, start, label: i => before.pages[i]?.label ?? '' },
    )
    if (!set) continue
    const first = set.starts.get(section)!
    const x = (page % 2 === 0 ? before.block.x : before.outside) + 2
    const place = page === start ? undefined : placeAt(before, page, x, before.block.y + before.style.text.leading / 2)
    const at = place?.section === section ? pageOf(set, section, place.block, place.chars)! : first + page - start
    // On the side on which it is looked at.
    const index = (at - page) % 2 === 0 ? at : at > first ? at - 1 : at + 1
    const marks = set.pages[Math.min(index, set.pages.length - 1)]
    if (marks?.layers.length) out.push({ page, marks })
  }
  return out
}
