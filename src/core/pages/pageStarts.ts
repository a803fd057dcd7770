import type { GlyphFace } from '../marks'
import type { Interior } from './interior'
import { counts } from './places'

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
