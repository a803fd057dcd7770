import type { Recording } from '@/core/book'
import { Fault } from '@/core/trade'
import { press } from '@/workers/client'
import { putBlobs } from './blobs'
import { commit } from './changes'
import { fitting } from './room'
import { guarded } from './trouble'

/** What a file picker offers as a sound or a film. */
export const recordingFiles = '.mp3,.m4a,.opus,.ogg,.mp4,.webm,audio/mpeg,audio/mp4,video/mp4,video/webm'

/** Adds a recording to a book's own: its bytes are kept once, by their hash. Throws a Fault where it is none that ebooks play. */
export async function bringInRecording(bookId: string, file: File): Promise<Recording> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  const recording = await press().readRecording(bytes, file.name)
  if (!recording)
    throw new Fault(
      'recording',
      `“${file.name}” is no sound or film that ebooks play: they play MP3, M4A, Opus, MP4 and WebM.`,
    )
  if (recording.damaged)
    throw new Fault(
      'recording',
      `“${file.name}” is damaged: it cannot be played. Save it again with the program that made it.`,
    )
  await fitting(`“${file.name}”`, bytes.length, async () => {
    await guarded(() => putBlobs([[recording.id, bytes]]))
    await commit(bookId, `Bring in ${file.name}`, r => ({
      recordings: [...(r.recordings ?? []).filter(x => x.id !== recording.id), recording],
    }))
  })
  return recording
}
