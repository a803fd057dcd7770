interface PixelSize {
  width: number
  height: number
}

/** Makes a picture smaller by averaging the pixels under each new one. `channels` bytes a pixel. */
export function shrunk(
  from: Uint8Array,
  { width, height }: PixelSize,
  channels: number,
  { width: toWidth, height: toHeight }: PixelSize,
): Uint8Array {
  const out = new Uint8Array(toWidth * toHeight * channels)
  for (let y = 0; y < toHeight; y++) {
    const y0 = Math.floor((y * height) / toHeight)
    const y1 = Math.max(y0 + 1, Math.floor(((y + 1) * height) / toHeight))
    for (let x = 0; x < toWidth; x++) {
      const x0 = Math.floor((x * width) / toWidth)
      const x1 = Math.max(x0 + 1, Math.floor(((x + 1) * width) / toWidth))
      const n = (x1 - x0) * (y1 - y0)
      for (let c = 0; c < channels; c++) {
        let sum = 0
        for (let v = y0; v < y1; v++) for (let u = x0; u < x1; u++) sum += from[(v * width + u) * channels + c]!
        out[(y * toWidth + x) * channels + c] = Math.round(sum / n)
      }
    }
  }
  return out
}
