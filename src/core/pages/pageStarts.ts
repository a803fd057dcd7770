import type { GlyphFace } from '../marks'
import type { Interior } from './interior'
import { counts } from './places'
import { pagesOfSection } from './proof'

/** Where a printed page begins in the text: before the non-space character `chars` of a block. */
export interface PageStart {
  label: string
  section: string
  block: string
  chars: number
}

/**
 * The places where printed pages begin, for an ebook's page list. Positions are counted in characters that are not
 * spaces, since a line's end has none; inserted hyphens do not count.
 */
export function pageStarts(interior: Interior): PageStart[] {
  const set = new Map<string, number>()
  const out: PageStart[] = []
  const counter = countersOf()
  for (const page of interior.pages) {
    let found = false
    for (const { layer } of page.layers) {
      const t = layer.text
      if (!t) continue
      for (let i = 0; i < t.count; i++) {
        const place = t.places[t.place[i]!]!
        if (place.label) continue
        if (!place.block) {
          if (place.section && !found && page.layers[0]!.layer === layer) {
            out.push({ label: page.label, section: place.section, block: '', chars: 0 })
            found = true
          }
          continue
        }
        const key = `${place.section} ${place.block}`
        const before = set.get(key) ?? 0
        if (!found) {
          out.push({ label: page.label, section: place.section, block: place.block, chars: before })
          found = true
        }
        const countOf = counter(t.faces[t.face[i]!]!)
        let n = 0
        for (let g = t.start[i]!; g < t.start[i + 1]!; g++) n += countOf(t.glyphs[g]!)
        set.set(key, before + n)
      }
    }
  }
  return out
}

/** A page that begins in the text of one section: which it is of all pages, from 0. */
export interface PageTurn extends Omit<PageStart, 'section'> {
  page: number
}

/** The printed pages of one section, in order, each with the place at which it begins; those without text of it are passed over. */
export function pageTurns(interior: Interior, section: string): PageTurn[] {
  const range = pagesOfSection(interior, section)
  if (!range) return []
  const [first, last] = range
  // A section begins on a page of its own: what is counted begins with it.
  const pages = interior.pages.slice(first, last + 1)
  const byLabel = new Map(pages.map((p, i) => [p.label, first + i]))
  return pageStarts({ ...interior, pages }).flatMap(({ label, section: of, block, chars }) =>
    of === section ? [{ page: byLabel.get(label)!, label, block, chars }] : [],
  )
}

/** How many characters each glyph of a face stands for that count; asked once for each. */
function countersOf(): (face: GlyphFace) => (pair: number) => number {
  const known = new Map<GlyphFace, (pair: number) => number>()
  return face => {
    let countOf = known.get(face)
    if (!countOf) {
      const counted: number[] = []
      countOf = pair => (counted[pair] ??= [...face.pairText(pair)].filter(counts).length)
      known.set(face, countOf)
    }
    return countOf
  }
}
