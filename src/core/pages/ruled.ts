import type { BlockJson, Section } from '../book'
import { type PageMarks, visitPage } from '../marks'
import type { Interior } from './interior'

/** What the notes of a style rule, each a thing that may stand on a page. */
export type Ruled = 'page' | 'heads' | 'text' | 'chapters' | 'first' | 'breaks'

/** A point of a page, points from the trim's top left. */
export interface RuledPoint {
  x: number
  y: number
}

/** A line of a block as it stands on a page. */
interface Line {
  section: string
  block: string
  x0: number
  x1: number
  baseline: number
  size: number
}

/** How far above a line's baseline its middle is, in its size. */
const MIDDLE = 0.3

/**
 * Where the things that a style rules stand on a page, as its `side` away from the spine meets them: the corner of the text block,
 * the head, a paragraph, a title, a first paragraph, a break. What the page has none of is not there.
 */
export function ruledOn(
  { pages, starts, block: area, spec }: Pick<Interior, 'pages' | 'starts' | 'block' | 'spec'>,
  sections: readonly Section[],
  index: number,
): Partial<Record<Ruled, RuledPoint>> {
  const page = pages[index]
  const lines = page ? linesOn(page) : []
  if (!page || !lines.length) return {}
  const left = page.side === 'verso'
  const edge = ({ x0, x1, baseline, size }: Line): RuledPoint => ({ x: left ? x0 : x1, y: baseline - MIDDLE * size })
  const blockLeft = left ? spec.width - area.x - area.width : area.x
  const out: Partial<Record<Ruled, RuledPoint>> = {
    page: { x: left ? blockLeft : blockLeft + area.width, y: area.y },
  }
  const head = lines.find(l => !l.section)
  if (head) out.heads = edge(head)
  const opening = sections.find(s => starts.get(s.id) === index)
  const title = opening && lines.findLast(l => l.section === opening.id && !l.block)
  if (title && !opening.made) out.chapters = edge(title)
  const first = opening?.doc.content[0]
  const begins = first && lines.find(l => l.section === opening.id && l.block === first.attrs.id)
  if (begins && !opening.made) out.first = edge(begins)
  const kinds = new Map(
    sections.filter(s => !s.made).flatMap(s => s.doc.content.map(b => [`${s.id} ${b.attrs.id}`, b])),
  )
  const body = lines.filter(
    l => kinds.get(`${l.section} ${l.block}`)?.type === 'paragraph' && l.baseline !== begins?.baseline,
  )
  const middle = body[Math.floor(body.length / 2)]
  if (middle) out.text = edge(middle)
  const gap = breakOn(lines, sections)
  if (gap !== undefined) out.breaks = { x: blockLeft + area.width / 2, y: gap }
  return out
}

/** The runs of a page that stand on one baseline and are of one block, as lines from left to right. */
function linesOn(page: PageMarks): Line[] {
  const lines: Line[] = []
  visitPage(page, v => {
    if (!('text' in v)) return
    const t = v.text
    for (let r = 0; r < t.count; r++) {
      const [from, to] = [t.start[r]!, t.start[r + 1]!]
      if (from === to) continue
      const { section, block } = t.places[t.place[r]!]!
      const face = t.faces[t.face[r]!]!
      const last = t.glyphs[to - 1]!
      const end =
        v.x + t.x[to - 1]! + (face.advance(face.pairGlyph(last)) / face.unitsPerEm) * t.size[r]! * t.stretch[r]!
      const baseline = v.y + t.baseline[r]!
      const line = lines.at(-1)
      if (line?.section === section && line.block === block && Math.abs(line.baseline - baseline) < 0.5) {
        line.x0 = Math.min(line.x0, v.x + t.x[from]!)
        line.x1 = Math.max(line.x1, end)
      } else lines.push({ section, block, x0: v.x + t.x[from]!, x1: end, baseline, size: t.size[r]! })
    }
  })
  return lines
}

/** The height of the first break between two scenes that both show on a page: half way between their lines. */
function breakOn(lines: Line[], sections: readonly Section[]): number | undefined {
  for (const s of sections) {
    if (s.made || !lines.some(l => l.section === s.id)) continue
    const blocks: BlockJson[] = s.doc.content
    for (let i = 1; i + 1 < blocks.length; i++) {
      if (blocks[i]!.type !== 'scene_break') continue
      const [above, below] = [blocks[i - 1]!.attrs.id, blocks[i + 1]!.attrs.id]
      const end = lines.findLast(l => l.section === s.id && l.block === above)
      const begin = lines.find(l => l.section === s.id && l.block === below)
      if (end && begin && begin.baseline > end.baseline)
        return (end.baseline + begin.baseline - begin.size * 2 * MIDDLE) / 2
    }
  }
  return undefined
}
