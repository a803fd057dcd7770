import type { CoverDesign } from '@/core/book'
import { dressed, designKind, type PaletteName } from '@/core/cover'

/** A shipped design in one of its palettes. */
export function wearing(id: string, palette: PaletteName): CoverDesign {
  const kind = designKind(id)
  if (!kind) throw new Error(`No design is called ${id}.`)
  return dressed(kind, palette)
}

/** The same, its ground drawn as cells of a comb. */
export const ofCells = (design: CoverDesign): CoverDesign => ({
  ...design,
  motif: { ...design.motif, kind: 'hexagons', values: { size: 0.11 } },
})
