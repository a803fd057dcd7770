import type { PageMarks } from '@/core/marks'
import { type Interior, type InteriorStyle, pageOf, placeAt } from '@/core/pages'
import { insideMargin } from '@/core/trade'
import { chainOf, outletOf, tools } from './chains'
import { printInputsOf } from './editionInputs'
import { bookOf, follow } from './openBooks'

/** Interiors as they were last looked at, by book and edition. */
const last = new Map<string, Map<string, Interior>>()

/** Remembers what is looked at, and gives it back. */
export function shown(bookId: string, editionId: string, interior: Interior): Interior {
  const own = last.get(bookId) ?? new Map<string, Interior>()
  last.set(bookId, own.set(editionId, interior))
  return interior
}

// A book that is gone is not looked at again.
follow({ closed: bookId => void last.delete(bookId) })

/**
 * Pages of the open spread as a changed style sets them: only their sections are set, where they began before, and the page is
 * the one on which stands what stood at the old one's top. The rest of the book follows; what is set here is not set again.
 * Nothing where the style is what it was.
 */
export async function firstLook(
  bookId: string,
  editionId: string,
  pages: number[],
): Promise<{ page: number; marks: PageMarks }[]> {
  const before = last.get(bookId)?.get(editionId)
  const b = bookOf(bookId)
  const edition = b.book.editions.find(e => e.id === editionId)
  if (!before || !edition || edition.kind === 'ebook' || b.book.plan) return []
  const inputs = printInputsOf(b, edition, outletOf(edition))
  if (JSON.stringify(inputs.style) === JSON.stringify(before.style)) return []
  const style = (await chainOf(bookId, editionId).get('style')) as InteriorStyle
  const spec = {
    ...before.spec,
    inside: insideMargin(inputs.profile, inputs.spec.binding, before.pages.length),
    ...(inputs.exceptions ? { exceptions: inputs.exceptions } : {}),
  }
  const out: { page: number; marks: PageMarks }[] = []
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
