import type { InlineJson } from '../book'
import { type LayerBuilder, type MarkPlace, pathBox, spanWithin } from '../marks'
import { setFrag } from '../type'
import { initialIn } from './beginnings'
import { baselineIn, type BlockContext } from './context'
import type { TextBase } from './typefaces'

/** A large first letter, ready to be drawn beside its paragraph. */
export interface Initial {
  lines: number
  /** Space it takes from the left of each line beside it, points. */
  indents: number[]
  /** What the paragraph goes on with. */
  rest: InlineJson[]
  draw(out: LayerBuilder, row: number, place: MarkPlace): void
}

/**
 * The initial of a paragraph over `lines` lines: its foot on the last of their baselines, its top level with the first line's
 * capitals. Its left edge stands on the margin (optically: ink on the edge), quotes before it hang outside at the size of the
 * text; the first line is kerned to the letter's own shape at that height, the lines below stand clear of its widest part.
 * Undefined where the paragraph does not begin with a letter.
 */
export function initialOf(
  content: InlineJson[] | undefined,
  lines: number,
  ctx: BlockContext,
  base: TextBase,
): Initial | undefined {
  const begins = lines < 2 ? undefined : initialIn(content)
  if (!begins) return undefined
  const { quotes, letter, after, rest } = begins
  const { leading } = ctx.style.text
  const body = ctx.faces.of(base)
  const caps = body.face.metrics.capHeight
  const height = (lines - 1) * leading + caps * base.size
  const size = height / caps
  const style = ctx.faces.of({ ...base, size, lining: true })
  const set = style.frag(letter)
  const shaped = set.shaped[0]
  if (!shaped?.pairs.length || shaped.missing) return undefined
  const { face } = shaped
  const em = size / face.unitsPerEm
  const outline = face.outline(face.pairGlyph(shaped.pairs[0]!))
  const ink = pathBox(outline)
  const left = ink[0] * em
  // Heights are up from the initial's baseline, in font units; a band reaches from a line's capitals to a little below its baseline.
  const reach = (line: number): number => {
    const up = (lines - 1 - line) * leading
    return (spanWithin(outline, (up - 0.12 * base.size) / em, (up + caps * base.size) / em)?.[1] ?? ink[0]) * em - left
  }
  const alone = /^[\s\u00a0]/.test(after) || !after
  // A word that goes on stands close to its letter; a one-letter word keeps its space.
  const gap = alone ? body.space : base.size * 0.07
  const below = Math.max(...Array.from({ length: lines - 1 }, (_, i) => reach(i + 1))) + base.size * 0.22
  const indents = [Math.min(reach(0) + gap, below + base.size), ...Array.from({ length: lines - 1 }, () => below)]
  return {
    lines,
    indents,
    rest,
    draw: (out, row, place) => {
      const baseline = (row + lines - 1) * leading + baselineIn(leading)
      const hung = quotes ? body.frag(quotes) : undefined
      if (hung) setFrag(out, hung, { x: -hung.width - base.size * 0.06, y: row * leading + baselineIn(leading), place })
      setFrag(out, set, { x: -left, y: baseline, place })
    },
  }
}
