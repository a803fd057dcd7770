import { type LayerBuilder, PathBuilder } from '../marks'
import { fields } from '../trade'
import { HAIRLINE } from './evenly'

const { amount } = fields

/** What rulings have in common: a tone, lengths, lines of one thickness. Lengths in points. */

export const toneField = () => amount(0, 1).required()
export const toneControl = { as: 'share', says: 'Tone', least: 0.1, most: 1, step: 0.05 } as const
export const lengthField = () => amount(1, 400).required()
export const lengthControl = (says: string, least: number, most: number) =>
  ({ as: 'length', says, least, most, step: 0.5 }) as const

/** Lines of a page, all of one tone, put into its layer at the end. */
export class Lines {
  private readonly level = new PathBuilder()
  private readonly slanted = new PathBuilder()
  private slants = false

  constructor(private readonly thickness = HAIRLINE) {}

  across(x0: number, x1: number, y: number): this {
    this.level.rect(x0, y - this.thickness / 2, x1 - x0, this.thickness)
    return this
  }

  down(x: number, y0: number, y1: number): this {
    this.level.rect(x - this.thickness / 2, y0, this.thickness, y1 - y0)
    return this
  }

  box(x: number, y: number, width: number, height: number): this {
    return this.across(x, x + width, y)
      .across(x, x + width, y + height)
      .down(x, y, y + height)
      .down(x + width, y, y + height)
  }

  /** Corners joined one after the other. */
  along(points: readonly (readonly [x: number, y: number])[]): this {
    points.forEach(([x, y], i) => (i ? this.slanted.line(x, y) : this.slanted.move(x, y)))
    this.slants = true
    return this
  }

  into(out: LayerBuilder, tone: number): void {
    const colour = { k: tone }
    out.add({ kind: 'path', path: this.level.build(), fill: colour })
    if (this.slants) out.add({ kind: 'path', path: this.slanted.build(), stroke: { colour, width: this.thickness } })
  }
}

/**
 * Where groups of a height stand under each other, as many as go in with at least `gap` between two; the rest is shared by the gaps, so
 * that they fill the height. One by itself stands at the head.
 */
export function stacked(height: number, group: number, gap: number): number[] {
  const count = Math.max(0, Math.floor((height + gap) / (group + gap) + 1e-6))
  const step = count > 1 ? (height - group) / (count - 1) : 0
  return Array.from({ length: count }, (_, i) => i * step)
}

/** A line through a point, `slope` down for each step to the right, as far as it goes within a room from its left top; nothing where it does not. */
export function within(
  [x, y]: readonly [number, number],
  slope: number,
  { width, height }: { width: number; height: number },
): [[number, number], [number, number]] | undefined {
  const at = (px: number): number => y + (px - x) * slope
  const ends = [0, width].map(px => {
    const py = Math.min(height, Math.max(0, at(px)))
    return [slope ? Math.min(width, Math.max(0, x + (py - y) / slope)) : px, py] as [number, number]
  })
  const [a, b] = ends as [[number, number], [number, number]]
  const on = ([px, py]: [number, number]): boolean => Math.abs(at(px) - py) < 1e-6
  return on(a) && on(b) && Math.abs(b[0] - a[0]) > 1e-6 ? [a, b] : undefined
}
