import type { DrawnPiece, PieceDrawing, PiecePlace } from './kind'

/** The imprint's logo, whole, in the middle of its box. Undefined where the imprint has none. */
export function drawLogo({ box }: PiecePlace, { data, assets }: PieceDrawing): DrawnPiece | undefined {
  const asset = assets.find(a => a.id === data.imprint.logo)
  if (!asset) return undefined
  const scale = Math.min(box.width / asset.width, box.height / asset.height)
  const [width, height] = [asset.width * scale, asset.height * scale]
  const at = { x: box.x + (box.width - width) / 2, y: box.y + (box.height - height) / 2, width, height }
  return { layer: { items: [{ kind: 'image', asset: asset.id, ...at }] } }
}
