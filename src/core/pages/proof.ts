import { BLACK, LayerBuilder, type PageMarks, PathBuilder } from '../marks'
import { setWords, type TextStyle } from '../type'

/** Room round the trim for crop marks and words, points. */
const SLUG = 30
/** Crop marks stand clear of the trim, so that a proof that is cut shows none. */
const CLEAR = 6
const LENGTH = 15

/** Pages for reading and marking: with crop marks at the trim and a line below it that says what this is. Marks of the pages themselves are not touched. */
export function proofPages(
  pages: PageMarks[],
  words: (page: PageMarks, index: number) => string,
  style: TextStyle,
): PageMarks[] {
  const nowhere = { section: '', block: '' }
  return pages.map((p, index) => {
    const out = new LayerBuilder(8, 96)
    const { bleed: b } = p
    const edge = {
      top: Math.max(SLUG, b.top + LENGTH + CLEAR),
      right: Math.max(SLUG, b.right + LENGTH + CLEAR),
      bottom: Math.max(SLUG, b.bottom + LENGTH + CLEAR),
      left: Math.max(SLUG, b.left + LENGTH + CLEAR),
    }
    const clear = Math.max(CLEAR, b.top, b.left)
    for (const [x, y] of [
      [0, 0],
      [p.width, 0],
      [0, p.height],
      [p.width, p.height],
    ] as const) {
      const [dx, dy] = [x ? 1 : -1, y ? 1 : -1]
      out.add({
        kind: 'path',
        stroke: { colour: BLACK, width: 0.3 },
        path: new PathBuilder()
          .move(x + dx * clear, y)
          .line(x + dx * (clear + LENGTH), y)
          .move(x, y + dy * clear)
          .line(x, y + dy * (clear + LENGTH))
          .build(),
      })
    }
    const at = { x: clear + LENGTH * 0.4, y: p.height + edge.bottom - 9, place: nowhere }
    setWords(out, words(p, index).split(' '), style, at)
    return { ...p, bleed: edge, layers: [...p.layers, { layer: out.build(), x: 0, y: 0 }] }
  })
}

/** First and last page of a section's own pages, its trailing blank left out; undefined where it has none. */
export function pagesOfSection(
  interior: { pages: PageMarks[]; starts: Map<string, number> },
  section: string,
): [number, number] | undefined {
  const from = interior.starts.get(section)
  if (from === undefined) return undefined
  let to = Math.min(interior.pages.length, ...[...interior.starts.values()].filter(s => s > from)) - 1
  while (to > from && !interior.pages[to]!.layers.length) to--
  return [from, to]
}
