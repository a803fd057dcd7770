import type { CoverDesign, CoverPiece, Tie } from '../book'
import type { Flat } from './geometry'
import { areaOf, sizeIn } from './place'

/**
 * The design as it stands on a flat: pieces that are tied to an edge or the middle of their area keep their true size and their
 * distance from there; what is said of them afterwards is said of this flat. Others are in proportion and stay as they are.
 */
export function settledOn(design: CoverDesign, flat: Flat): CoverDesign {
  return design.pieces.some(p => p.tied) ? { ...design, pieces: design.pieces.map(p => settled(p, flat)) } : design
}

function settled(piece: CoverPiece, flat: Flat): CoverPiece {
  const { tied, box } = piece
  const area = tied && areaOf(flat, piece)
  if (!area) return piece
  const now = sizeIn(area, piece.panel)
  const { of } = tied
  const across = along(tied.across, { from: box.x, size: box.width }, { was: of.width, is: now.width })
  const down = along(tied.down, { from: box.y, size: box.height }, { was: of.height, is: now.height })
  const next = { x: across.from, width: across.size, y: down.from, height: down.size }
  return { ...piece, box: next, tied: { ...tied, of: now } }
}

/** Where a length lies, in parts of what it lies on, when that is another: as long as before, and as far from where it is tied. */
function along(
  to: Tie['across'] | Tie['down'],
  { from, size }: { from: number; size: number },
  { was, is }: { was: number; is: number },
): { from: number; size: number } {
  if (was === is) return { from, size }
  const [start, long] = [from * was, size * was]
  const at =
    to === 'left' || to === 'head' ? start : to === 'middle' ? start + (is - was) / 2 : is - (was - start - long) - long
  return { from: at / is, size: long / is }
}

/** A piece tied so from now on, as it stands on a flat; untied where nothing is said. */
export function tiedOn(piece: CoverPiece, flat: Flat, to: Pick<Tie, 'across' | 'down'> | undefined): Tie | undefined {
  const area = areaOf(flat, piece)
  return to && area ? { across: to.across, down: to.down, of: sizeIn(area, piece.panel) } : undefined
}
