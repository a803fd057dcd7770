import { type MarkPlace, type PageMarks, type Path, pathBox, shownBox, visitPage } from '../marks'
import { type Face, hangOf } from '../type'

/** A part of a page that ink covers: its box in points from the trim's top left, y down. */
export interface Ink {
  x0: number
  y0: number
  x1: number
  y1: number
  place: MarkPlace | undefined
  /** How much of it may hang in the margin at its left and right: punctuation that ends a line optically, points. */
  hangs: { left: number; right: number }
}

const NONE = { left: 0, right: 0 }

/** Layers are shared by pages that look alike: a page of a thousand dots is measured once. */
const boxes = new WeakMap<Path, ReturnType<typeof pathBox>>()
function boxOf(path: Path): ReturnType<typeof pathBox> {
  let box = boxes.get(path)
  if (!box) boxes.set(path, (box = pathBox(path)))
  return box
}

/** Visits everything that is printed on a page: runs of text, pictures, rulings and shapes. Plates are left out: they are cut by the trim on purpose. */
export function eachInk(page: PageMarks, visit: (ink: Ink) => void): void {
  visitPage(page, v => {
    if ('text' in v) {
      const t = v.text
      for (let i = 0; i < t.count; i++) {
        const [from, to] = [t.start[i]!, t.start[i + 1]!]
        if (to === from) continue
        const face = t.faces[t.face[i]!]! as Face
        const size = t.size[i]!
        const y = v.y + t.baseline[i]!
        const widthAt = (g: number): number =>
          (face.advance(face.pairGlyph(t.glyphs[g]!)) / face.unitsPerEm) * size * t.stretch[i]!
        const [first, last] = [from, to - 1]
        visit({
          x0: v.x + t.x[first]!,
          y0: y - face.metrics.capHeight * size,
          x1: v.x + t.x[last]! + widthAt(last),
          y1: y + 0.2 * size,
          place: t.places[t.place[i]!],
          hangs: {
            left: hangOf(face.pairText(t.glyphs[first]!), 'left') * widthAt(first),
            right: hangOf(face.pairText(t.glyphs[last]!), 'right') * widthAt(last),
          },
        })
      }
      return
    }
    const { item } = v
    if (item.kind === 'image') {
      if (v.role === 'plate') return
      const [x0, y0, x1, y1] = shownBox({ ...v, item })
      visit({ x0, y0, x1, y1, place: item.place, hangs: NONE })
      return
    }
    const [x0, y0, x1, y1] = boxOf(item.path)
    const half = (item.stroke?.width ?? 0) / 2
    const box = { x0: v.x + x0 - half, y0: v.y + y0 - half, x1: v.x + x1 + half, y1: v.y + y1 + half }
    visit({ ...box, place: undefined, hangs: NONE })
  })
}

/** What lies nearer to the end of the bleed than this is cut there on purpose, points. */
const AT_THE_END = 0.5

/** Whether something runs over the page's edges as far as its bleed goes: where it meets an edge, it is cut there on purpose. */
export const runsOff = ({ x0, y0, x1, y1 }: Ink, { width, height, bleed: b }: PageMarks): boolean =>
  (b.left > 0 && x0 <= AT_THE_END - b.left) ||
  (b.right > 0 && x1 >= width + b.right - AT_THE_END) ||
  (b.top > 0 && y0 <= AT_THE_END - b.top) ||
  (b.bottom > 0 && y1 >= height + b.bottom - AT_THE_END)
