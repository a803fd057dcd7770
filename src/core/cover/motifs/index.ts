import { type Item, PathBuilder, rgb } from '../../marks'
import { Fault, seeded } from '../../trade'
import type { CoverDesign } from '../designs'
import type { Flat } from '../geometry'
import { sheetOf } from '../place'
import { filled } from './kind'
import { motifs } from './registry'

export type { MotifColour, MotifKind, MotifValue } from './kind'
export { motifNames, motifs } from './registry'

/** The drawing under the pieces, over the whole sheet to the bleed and cut there. */
export function motifItems({ ground, motif }: Pick<CoverDesign, 'ground' | 'motif'>, flat: Flat): Item[] {
  const kind = motifs[motif.kind]
  if (!kind) throw new Fault('no-motif', `There is no ground called “${motif.kind}”.`)
  const sheet = sheetOf(flat)
  const { front } = flat.panels
  const value = (name: string): number => motif.values?.[name] ?? kind.values[name]!.usual
  const edge = new PathBuilder().rect(sheet.x, sheet.y, sheet.width, sheet.height).build()
  const drawn = kind.draw({
    flat,
    sheet,
    front,
    ground: rgb(ground.colour),
    light: rgb(motif.light),
    dark: rgb(motif.dark),
    accent: rgb(motif.accent),
    value,
    length: name => value(name) * front.width,
    chance: seeded(motif.seed ?? 1),
  })
  return [
    filled(edge, rgb(ground.colour)),
    ...(drawn.length ? [{ kind: 'group' as const, clip: edge, layers: [{ items: drawn }] }] : []),
  ]
}
