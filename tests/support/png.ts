import { createCanvas } from '@napi-rs/canvas'

/** A PNG of one colour; `perMetre`: the pixels a metre that its head says (pHYs), where it says any. */
export function pngOf(width: number, height: number, perMetre?: number): Uint8Array<ArrayBuffer> {
  const canvas = createCanvas(width, height)
  const ctx = canvas.getContext('2d')
  ctx.fillStyle = '#345'
  ctx.fillRect(0, 0, width, height)
  const bytes = canvas.toBuffer('image/png')
  if (!perMetre) return Uint8Array.from(bytes)
  const chunk = Buffer.alloc(21)
  chunk.writeUInt32BE(9, 0)
  chunk.write('pHYs', 4)
  chunk.writeUInt32BE(perMetre, 8)
  chunk.writeUInt32BE(perMetre, 12)
  chunk[16] = 1
  // Behind the head, which is 33 bytes long.
  return Uint8Array.from(Buffer.concat([bytes.subarray(0, 33), chunk, bytes.subarray(33)]))
}
