/** Kinds of sound and film that ebooks play (EPUB 3.3, 3.2: core media types of sound; film has none, and these are played most). */
export const recordingTypes = ['audio/mpeg', 'audio/mp4', 'audio/ogg; codecs=opus', 'video/mp4', 'video/webm'] as const
export type RecordingType = (typeof recordingTypes)[number]

const is = (bytes: Uint8Array, at: number, signs: string): boolean =>
  [...signs].every((c, i) => bytes[at + i] === c.charCodeAt(0))

/** Of what kind a recording is by its first bytes; undefined where it is none that ebooks play. */
export function recordingTypeOf(bytes: Uint8Array): RecordingType | undefined {
  // ISO/IEC 14496-12: the brand says whether there is a picture; what reads the whole of it knows better.
  if (is(bytes, 4, 'ftyp')) return is(bytes, 8, 'M4A') || is(bytes, 8, 'M4B') ? 'audio/mp4' : 'video/mp4'
  if (is(bytes, 0, 'OggS')) return holds(bytes.subarray(0, 200), 'OpusHead') ? 'audio/ogg; codecs=opus' : undefined
  // EBML, with the name of its kind in its head.
  if (bytes[0] === 0x1a && bytes[1] === 0x45 && bytes[2] === 0xdf && bytes[3] === 0xa3)
    return holds(bytes.subarray(0, 100), 'webm') ? 'video/webm' : undefined
  // ISO/IEC 11172-3: a frame of layer III begins with eleven ones, behind what is said of the piece.
  const frame = bytes[0] === 0xff && (bytes[1]! & 0xe0) === 0xe0 && (bytes[1]! & 0x06) === 0x02
  return frame || is(bytes, 0, 'ID3') ? 'audio/mpeg' : undefined
}

function holds(bytes: Uint8Array, signs: string): boolean {
  for (let i = 0; i + signs.length <= bytes.length; i++) if (is(bytes, i, signs)) return true
  return false
}
