import { type Colour, LayerBuilder, type PageMarks, PathBuilder, rgb } from '../marks'
import { setWords, type TextStyle } from '../type'

/** The leaf that a blank template is for, points. */
export interface TemplateSpec {
  width: number
  height: number
  /** Printed past the trim, and whether on the edge at the spine, too. */
  bleed: number
  bleedsInside: boolean
  /** Nothing that means something stands nearer to the trim. */
  safe: number
  /** The inside margin asked at this count. */
  inside: number
}

/** Words on a template: what each line is, measured. */
export interface TemplateWords {
  bleed: string
  trim: string
  safe: string
  inside: string
}

/** A template: one leaf, and the side of the spine that it is for. */
export interface Template {
  name: 'either side' | 'left page' | 'right page'
  page: PageMarks
}

const BLEED = rgb('#b4432f')
const TRIM: Colour = { k: 1 }
const SAFE = rgb('#2f6b7a')
const GUTTER = rgb('#efe2c8')

/**
 * Blank templates for those who set their pages elsewhere: a cautious one that serves for both sides of a leaf (bleed on all edges,
 * the inside margin at both), and an exact pair. `style` sets the words.
 */
export function templates(spec: TemplateSpec, words: TemplateWords, style: TextStyle): Template[] {
  return [
    { name: 'either side', page: leaf(spec, words, style, 'either') },
    { name: 'left page', page: leaf(spec, words, style, 'verso') },
    { name: 'right page', page: leaf(spec, words, style, 'recto') },
  ]
}

function leaf(
  { width, height, bleed, bleedsInside, safe, inside }: TemplateSpec,
  words: TemplateWords,
  style: TextStyle,
  side: 'either' | 'verso' | 'recto',
): PageMarks {
  const [atLeft, atRight] = [side !== 'verso', side !== 'recto']
  const edge = (spine: boolean): number => (spine && side !== 'either' && !bleedsInside ? 0 : bleed)
  const b = { top: bleed, bottom: bleed, left: edge(atLeft), right: edge(atRight) }
  const out = new LayerBuilder(16, 256)
  const gutter = (x: number): void =>
    out.add({
      kind: 'path',
      path: new PathBuilder().rect(x, -b.top, inside, height + b.top + b.bottom).build(),
      fill: GUTTER,
    })
  if (atLeft) gutter(0)
  if (atRight) gutter(width - inside)
  const box = (x: number, y: number, w: number, h: number, colour: Colour): void =>
    out.add({ kind: 'path', path: new PathBuilder().rect(x, y, w, h).build(), stroke: { colour, width: 0.5 } })
  if (bleed) box(0.25 - b.left, 0.25 - b.top, width + b.left + b.right - 0.5, height + b.top + b.bottom - 0.5, BLEED)
  box(0, 0, width, height, TRIM)
  const left = atLeft ? Math.max(safe, inside) : safe
  const right = atRight ? Math.max(safe, inside) : safe
  box(left, safe, width - left - right, height - 2 * safe, SAFE)
  const lines = [words.trim, ...(bleed ? [words.bleed] : []), words.safe, words.inside]
  const place = { section: '', block: '' }
  for (const [i, line] of lines.entries())
    setWords(out, line.split(' '), style, { x: left + 8, y: safe + 16 + i * style.size * 1.5, place })
  return {
    width,
    height,
    bleed: b,
    layers: [{ layer: out.build(), x: 0, y: 0 }],
    label: '1',
    side: side === 'verso' ? 'verso' : 'recto',
  }
}
