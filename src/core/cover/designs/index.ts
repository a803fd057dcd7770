import type { CoverDesign, CoverPiece } from '../../book'
import type { DesignKind } from './kind'
import { type Palette, type PaletteName, paletteRoles, palettes } from './palettes'
import { designKinds } from './registry'

export type { CoverDesign, CoverPiece, Field } from '../../book'
export { type DesignKind, type Genre, genres } from './kind'
export { type Palette, type PaletteName, paletteNames, paletteRoles, palettes } from './palettes'
export { designKinds } from './registry'

/** A design in one of its palettes; in its own where none is named. */
export const dressed = (kind: DesignKind, palette: PaletteName = kind.palettes[0]): CoverDesign => ({
  id: kind.id,
  name: kind.name,
  palette,
  ...kind.draw(palettes[palette]),
})

/** The design of an id; undefined where none ships under it. */
export const designKind = (id: string): DesignKind | undefined => designKinds.find(d => d.id === id)

/** All designs that ship, each in its own palette. */
export const shippedDesigns: CoverDesign[] = designKinds.map(d => dressed(d))

const shipped = (id: string): CoverDesign => shippedDesigns.find(d => d.id === id)!
/** What a book begins with: one that is read, one of planned pages. */
export const lampOverTide = shipped('lamp-over-tide')
export const rows = shipped('rows')

/** A design in another palette: each colour that is one of the old palette's becomes the new one's; colours of the author's own stay. */
export function recoloured(design: CoverDesign, to: PaletteName): CoverDesign {
  const from = palettes[design.palette as PaletteName] as Palette | undefined
  if (!from) return design
  const by = new Map(paletteRoles.map(role => [from[role].toLowerCase(), palettes[to][role]]))
  const exchanged = <T>(value: T): T => {
    if (typeof value === 'string') return (by.get(value.toLowerCase()) ?? value) as T
    if (Array.isArray(value)) return value.map(exchanged) as T
    if (value && typeof value === 'object')
      return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, exchanged(v)])) as T
    return value
  }
  const { ground, motif } = design
  const pieces = design.pieces.map((p): CoverPiece => exchanged(p))
  return { ...design, palette: to, ground: exchanged(ground), motif: exchanged(motif), pieces }
}
