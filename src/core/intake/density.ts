/** Densities under this are what programs write without being asked, for screens. */
const LEAST = 150
/** Pixels an inch of those that count by metres. */
const METRE = 0.0254

/**
 * Pixels an inch at which a picture says that it is printed: of a PNG its chunk pHYs (ISO/IEC 15948, 11.3.5.3), of a JPEG its JFIF head
 * (ISO/IEC 10918-5). Undefined where it says nothing, or what screens have.
 */
export function pixelsAnInch(bytes: Uint8Array): number | undefined {
  const said = bytes[0] === 0x89 ? ofPng(bytes) : bytes[0] === 0xff ? ofJpeg(bytes) : undefined
  return said !== undefined && said >= LEAST ? said : undefined
}

function ofPng(bytes: Uint8Array): number | undefined {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const name = (at: number): string => String.fromCharCode(...bytes.subarray(at, at + 4))
  for (let at = 8; at + 21 <= bytes.length && name(at + 4) !== 'IDAT'; at += 12 + view.getUint32(at))
    if (name(at + 4) === 'pHYs' && bytes[at + 16] === 1)
      // Whole pixels a metre: 11,811 are 300 an inch.
      return Math.round(Math.min(view.getUint32(at + 8), view.getUint32(at + 12)) * METRE * 100) / 100
  return undefined
}

function ofJpeg(bytes: Uint8Array): number | undefined {
  const jfif = bytes[2] === 0xff && bytes[3] === 0xe0 && String.fromCharCode(...bytes.subarray(6, 10)) === 'JFIF'
  if (!jfif || bytes.length < 18) return undefined
  const across = (bytes[14]! << 8) | bytes[15]!
  return bytes[13] === 1 ? across : bytes[13] === 2 ? across * 2.54 : undefined
}
