import { joinBytes } from '../trade'

const be16 = (b: Uint8Array, i: number): number => (b[i]! << 8) | b[i + 1]!
const be32 = (b: Uint8Array, i: number): number => be16(b, i) * 65536 + be16(b, i + 2)

/** What of a JPEG says how it is to be shown: its own form, its colours, how its colours are coded. */
const SHOWN = new Set([0xe0, 0xee])
const PROFILE = 0xe2
const COMMENT = 0xfe
const SCAN = 0xda
const END = 0xd9

/** Which way up a JPEG stands, and nothing else: Exif 2.3, a little-endian TIFF of one entry, tag 0x0112. */
const upright = (orientation: number): Uint8Array =>
  Uint8Array.of(
    ...[0xff, 0xe1, 0, 34, ...new TextEncoder().encode('Exif'), 0, 0],
    ...[0x49, 0x49, 42, 0, 8, 0, 0, 0, 1, 0, 0x12, 1, 3, 0, 1, 0, 0, 0, orientation, 0, 0, 0, 0, 0, 0, 0],
  )

/** Chunks of a PNG that say what it was made by, when and where. */
const TOLD = new Set(['tEXt', 'zTXt', 'iTXt', 'eXIf', 'tIME'])

/**
 * A picture file without what it says beside itself (where and when it was taken, by whom, small copies of it), its pixels as they
 * were. `orientation`: how it was turned by what is left out, 1 to 8. What cannot be read through is left as it is.
 */
export function withoutMetadata(bytes: Uint8Array, orientation = 1): Uint8Array {
  if (be16(bytes, 0) === 0xffd8) return plainJpeg(bytes, orientation) ?? bytes
  if (be32(bytes, 0) === 0x89504e47) return plainPng(bytes) ?? bytes
  return bytes
}

/** Whether a segment only tells of the picture. Profiles of colour stand where cameras also put lists of further pictures. */
function isTold(marker: number, segment: Uint8Array): boolean {
  if (marker === PROFILE) return new TextDecoder('latin1').decode(segment.subarray(4, 15)) !== 'ICC_PROFILE'
  return (marker >= 0xe0 && marker <= 0xef && !SHOWN.has(marker)) || marker === COMMENT
}

function plainJpeg(b: Uint8Array, orientation: number): Uint8Array | undefined {
  const parts = [b.subarray(0, 2)]
  if (orientation !== 1) parts.push(upright(orientation))
  let i = 2
  while (i + 2 <= b.length) {
    if (b[i] !== 0xff) return undefined
    const marker = b[i + 1]!
    if (marker === 0xff) {
      i++
      continue
    }
    if (marker === END) {
      // What stands behind is another picture, with words of its own.
      parts.push(b.subarray(i, i + 2))
      return joinBytes(parts)
    }
    let end = i + 2 + be16(b, i + 2)
    if (marker === SCAN) end = behindScan(b, end)
    const segment = b.subarray(i, end)
    if (!isTold(marker, segment)) parts.push(segment)
    i = end
  }
  return undefined
}

/** Where the coded pixels from a place on end: at the next marker that is none of theirs (ITU-T T.81, B.1.1). */
function behindScan(b: Uint8Array, from: number): number {
  let i = from
  while (i + 1 < b.length && !(b[i] === 0xff && b[i + 1] !== 0 && b[i + 1] !== 0xff && (b[i + 1]! & 0xf8) !== 0xd0)) i++
  return i
}

function plainPng(b: Uint8Array): Uint8Array | undefined {
  const parts = [b.subarray(0, 8)]
  let i = 8
  while (i + 12 <= b.length) {
    const end = i + 12 + be32(b, i)
    const name = String.fromCharCode(...b.subarray(i + 4, i + 8))
    if (end > b.length) return undefined
    if (!TOLD.has(name)) parts.push(b.subarray(i, end))
    if (name === 'IEND') return joinBytes(parts)
    i = end
  }
  return undefined
}
