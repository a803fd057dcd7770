import type { OrnamentPiece } from '../../book'
import { LayerBuilder, layerBox, rgb } from '../../marks'
import { drawOrnament, ornamentNames, type OrnamentName } from '../../ornaments'
import type { DrawnPiece, PiecePlace } from './kind'

const isOrnament = (name: string): name is OrnamentName => (ornamentNames as readonly string[]).includes(name)

/** As large as its box lets it be, in the middle. Undefined where there is no such ornament. */
export function drawOrnamentPiece(
  piece: Pick<OrnamentPiece, 'ornament' | 'colour'>,
  { box }: PiecePlace,
): DrawnPiece | undefined {
  if (!isOrnament(piece.ornament) || piece.ornament === 'none') return undefined
  const one = new LayerBuilder()
  drawOrnament(one, piece.ornament, 0, 0, 1)
  const [x0, y0, x1, y1] = layerBox(one.build())
  const size = Math.min(box.width / (x1 - x0), box.height / (y1 - y0))
  const out = new LayerBuilder()
  const [cx, cy] = [box.x + box.width / 2, box.y + box.height / 2]
  drawOrnament(out, piece.ornament, cx - ((x0 + x1) / 2) * size, cy - ((y0 + y1) / 2) * size, size, rgb(piece.colour))
  return { layer: out.build() }
}
