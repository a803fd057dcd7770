import { type MarkPlace, type PageMarks, shownBox, visitPage } from '../marks'
import { linkedPlaces, type Section } from '../book'
import type { PageBox } from './inspect'
import type { Interior } from './interior'

/** A place in the text as pages know it: before the non-space character `chars` of a block. */
export interface TextPlace {
  section: string
  block: string
  chars: number
}

/** Of an interior, what places are looked up in. */
type PagesAndStarts = Pick<Interior, 'pages' | 'starts'>

/** Whether a character counts: a line's end has no space, and an inserted hyphen is not the author's. */
export const counts = (c: string): boolean => c !== ' ' && c !== '\u00ad' && c !== '\u00a0'

const countsIn = (text: string): number => {
  let n = 0
  for (const c of text) if (counts(c)) n++
  return n
}

/** The glyphs of a page that come from blocks of the book, in the order in which they are set. What is said again is no place. */
function eachGlyph(
  page: PageMarks,
  visit: (g: { place: MarkPlace; text: string; x: number; end: number; baseline: number; size: number }) => void,
): void {
  visitPage(page, v => {
    if (!('text' in v)) return
    const t = v.text
    for (let r = 0; r < t.count; r++) {
      const place = t.places[t.place[r]!]!
      if (!place.section || place.again || place.label) continue
      const face = t.faces[t.face[r]!]!
      const unit = (t.size[r]! * t.stretch[r]!) / face.unitsPerEm
      for (let g = t.start[r]!; g < t.start[r + 1]!; g++) {
        const x = v.x + t.x[g]!
        visit({
          place,
          text: face.pairText(t.glyphs[g]!),
          x,
          end: x + face.advance(face.pairGlyph(t.glyphs[g]!)) * unit,
          baseline: v.y + t.baseline[r]!,
          size: t.size[r]!,
        })
      }
    }
  })
}

/** Characters of a block that stand on pages before `page`. */
function charsBefore({ pages, starts }: PagesAndStarts, page: number, section: string, block: string): number {
  let n = 0
  for (let i = starts.get(section) ?? page; i < page; i++)
    eachGlyph(pages[i]!, g => {
      if (g.place.section === section && g.place.block === block) n += countsIn(g.text)
    })
  return n
}

/** What stands at a point of a page (points from the trim's top left): the character there, the picture there, or the nearest character. */
export function placeAt(interior: PagesAndStarts, index: number, x: number, y: number): TextPlace | undefined {
  const page = interior.pages[index]
  if (!page) return undefined
  let picture: MarkPlace | undefined
  visitPage(page, v => {
    if (!('item' in v) || v.item.kind !== 'image' || !v.item.place) return
    const [x0, y0, x1, y1] = shownBox({ ...v, item: v.item })
    if (x >= x0 && x <= x1 && y >= y0 && y <= y1) picture = v.item.place
  })
  const set = new Map<string, number>()
  let best: TextPlace | undefined
  let nearest = Infinity
  // Whether the point is on a letter; a picture may lie under words, as a plate's does.
  let on = false
  eachGlyph(page, g => {
    if (!g.place.block) return
    const key = `${g.place.section} ${g.place.block}`
    const before = set.get(key) ?? 0
    const n = countsIn(g.text)
    // A line's height apart counts more than any distance in the line.
    const d = Math.abs(y - (g.baseline - g.size * 0.3)) * 40 + (x < g.x ? g.x - x : x > g.end ? x - g.end : 0)
    if (d < nearest) {
      nearest = d
      on = x >= g.x - 1 && x <= g.end + 1 && y > g.baseline - g.size && y < g.baseline + g.size * 0.35
      // The right half of a letter means the place behind it.
      best = { section: g.place.section, block: g.place.block, chars: before + (x > (g.x + g.end) / 2 ? n : 0) }
    }
    set.set(key, before + n)
  })
  if (picture && !on) return { section: picture.section, block: picture.block, chars: 0 }
  return best && { ...best, chars: best.chars + charsBefore(interior, index, best.section, best.block) }
}

/** The first page on which a block stands, or the page of its character `chars`; the section's first page where it is nowhere. */
export function pageOf(interior: PagesAndStarts, section: string, block?: string, chars = 0): number | undefined {
  const from = interior.starts.get(section)
  if (from === undefined || !block) return from
  let before = 0
  let last: number | undefined
  const end = Math.min(interior.pages.length, ...[...interior.starts.values()].filter(s => s > from))
  for (let i = from; i < end; i++) {
    let here = false
    visitPage(interior.pages[i]!, v => {
      if ('item' in v && v.item.kind === 'image' && v.item.place?.section === section && v.item.place.block === block)
        here = true
    })
    eachGlyph(interior.pages[i]!, g => {
      if (g.place.section !== section || g.place.block !== block) return
      here = true
      before += countsIn(g.text)
    })
    if (here) {
      if (before > chars || chars === 0) return i
      last = i
    }
  }
  return last ?? from
}

/** The page of everything that a link inside the book leads to, by id: where sections begin, and linked blocks. */
export function linkPages(interior: PagesAndStarts, sections: readonly Section[]): Map<string, number> {
  const out = new Map(interior.starts)
  for (const [id, { section, block }] of linkedPlaces(sections)) {
    const page = pageOf(interior, section, block)
    if (page !== undefined) out.set(id, page)
  }
  return out
}

/** The box that a block's marks take on a page, points from the trim's top left; undefined where it does not stand there. */
export function boxOn(interior: Interior, index: number, section: string, block: string): PageBox | undefined {
  const page = interior.pages[index]
  if (!page) return undefined
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity]
  const take = (a: number, b: number, c: number, d: number): void =>
    void ([x0, y0, x1, y1] = [Math.min(x0, a), Math.min(y0, b), Math.max(x1, c), Math.max(y1, d)])
  const own = (p: MarkPlace | undefined): boolean => p?.section === section && p.block === block
  visitPage(page, v => {
    if ('item' in v && v.item.kind === 'image' && own(v.item.place)) take(...shownBox({ ...v, item: v.item }))
  })
  eachGlyph(page, g => own(g.place) && take(g.x, g.baseline - g.size, g.end, g.baseline + g.size * 0.25))
  return x1 > x0 ? { x: x0, y: y0, width: x1 - x0, height: y1 - y0 } : undefined
}

/** The word around a character of a block, where it stands on a page: a box for each line that it touches. */
export function wordAt(interior: Interior, index: number, { section, block, chars }: TextPlace): PageBox[] {
  const page = interior.pages[index]
  if (!page) return []
  let n = charsBefore(interior, index, section, block)
  let word: { x: number; end: number; baseline: number; size: number }[] = []
  let found = false
  const boxes: PageBox[] = []
  const close = (): void => {
    if (found && !boxes.length)
      for (const g of word) {
        const box = boxes[boxes.length - 1]
        if (box && Math.abs(box.y + box.height * 0.78 - g.baseline) < g.size * 0.45 && g.x >= box.x)
          box.width = Math.max(box.width, g.end - box.x)
        else boxes.push({ x: g.x, y: g.baseline - g.size * 0.78, width: g.end - g.x, height: g.size })
      }
    word = []
  }
  let last: { x: number; baseline: number; text: string; size: number } | undefined
  eachGlyph(page, g => {
    if (g.place.section !== section || g.place.block !== block) return
    // A line's end parts words unless a hyphen was put in.
    if (
      !g.text.trim() ||
      (last && last.text !== '\u00ad' && Math.abs(last.baseline - g.baseline) > g.size * 0.45 && g.x < last.x)
    )
      close()
    if (g.text.trim()) word.push(g)
    const counted = countsIn(g.text)
    if (chars >= n && chars < n + counted) found = true
    n += counted
    last = g
  })
  if (chars >= n) found = found || word.length > 0
  close()
  return boxes
}
