import { hashOf, type Recording } from '../book'
import { recordingTypeOf } from '../files'

/** A recording by what its first bytes say; undefined where it is none that ebooks play. */
export function asRecording(bytes: Uint8Array, name?: string): Recording | undefined {
  const type = recordingTypeOf(bytes)
  return type && { id: hashOf(bytes), type, ...(name ? { name } : {}) }
}

/** A recording with what its file says: how long it plays, what is heard and seen. One that cannot be read is damaged. */
export async function lookedInto(recording: Recording, bytes: Uint8Array): Promise<Recording> {
  const { parseBuffer } = await import('music-metadata')
  const { damaged: _d, silent: _s, seconds: _l, ...plain } = recording
  try {
    const { format } = await parseBuffer(bytes, { mimeType: recording.type, size: bytes.length }, { duration: true })
    const tracks = format.trackInfo.length > 0
    const seen = tracks ? format.trackInfo.some(t => !!t.video) : format.hasVideo === true
    const heard = tracks ? format.trackInfo.some(t => !!t.audio) : format.hasAudio !== false
    if (!seen && !heard) return { ...plain, damaged: true }
    return {
      ...plain,
      type: seen || recording.type !== 'video/mp4' ? recording.type : 'audio/mp4',
      ...(format.duration ? { seconds: Math.round(format.duration * 10) / 10 } : {}),
      ...(seen && !heard ? { silent: true as const } : {}),
    }
  } catch {
    // What it throws says nothing to an author: the file is not what its first bytes promise.
    return { ...plain, damaged: true }
  }
}
