import type { RecordingType } from '../files'
import type { BlockJson, DocJson } from './doc'

/** A sound or a film of the book; `id` is the SHA-256 of its bytes in hex. */
export interface Recording {
  id: string
  type: RecordingType
  name?: string
  /** How long it plays; whether it is a film in which nothing is heard: as far as somebody has looked. */
  seconds?: number
  silent?: true
  /** It cannot be read: its still and its words stand for it. */
  damaged?: true
}

export type RecordingSort = 'sound' | 'film'

/** Of what sort a recording is. */
export const sortOf = ({ type }: Pick<Recording, 'type'>): RecordingSort =>
  type.startsWith('video/') ? 'film' : 'sound'

/** Letters that the words of a recording have at most: more than a day of speech. */
export const MOST_SPOKEN = 200_000

/** A recording where it stands: a picture, or nothing seen, that plays in ebooks. */
export interface RecordingUse {
  recording: string
  block: string
  /** What it is, for those who cannot see or hear it. */
  alt: string
  /** What is said and heard in it; empty where that was not written. May be timed (WebVTT). */
  spoken: string
  /** What is seen in it is said in it, too. */
  told: boolean
}

const known = new WeakMap<DocJson, RecordingUse[]>()

/** The recordings of a document, in order. Remembered by the document's identity: documents never change in place. */
export function docRecordings(doc: DocJson): RecordingUse[] {
  let found = known.get(doc)
  if (!found) known.set(doc, (found = doc.content.flatMap(useOf)))
  return found
}

// Pictures stand on the top level alone (schema.ts), and so do recordings.
function useOf(b: BlockJson): RecordingUse[] {
  if (b.type !== 'image' || !b.attrs.plays) return []
  const { id, plays, alt, spoken = '', told = false } = b.attrs
  return [{ recording: plays, block: id, alt, spoken, told }]
}

/** Of a section, what says which recordings it uses: one that is made from the book's data has none. */
interface Using {
  doc: DocJson
  made: boolean
}

/** Recordings that a section uses, in order. */
export const recordingsIn = (s: Using): RecordingUse[] => (s.made ? [] : docRecordings(s.doc))

/** Those of a book's recordings that some of its sections use. */
export function usedRecordings(recordings: readonly Recording[] | undefined, sections: readonly Using[]): Recording[] {
  if (!recordings?.length) return []
  const used = new Set(sections.flatMap(s => recordingsIn(s).map(u => u.recording)))
  return recordings.filter(r => used.has(r.id))
}

/** A part of a recording's words and the time that it is said at, as WebVTT has it: "00:01.500 --> 00:04.000". */
const CUE = /^(?:\d+:)?\d{2}:\d{2}\.\d{3}\s+-->\s+(?:\d+:)?\d{2}:\d{2}\.\d{3}/

/** Whether the words of a recording say when each is said (WebVTT). */
export const isTimed = (spoken: string): boolean => /^WEBVTT(?:[ \t]|\r?\n|$)/.test(spoken)

/** The words of a recording as paragraphs; times and notes to those who write them are no words. */
export function spokenLines(spoken: string): string[] {
  const parts = spoken.split(/\r?\n[ \t]*(?:\r?\n)+/).map(p => p.trim())
  if (!isTimed(spoken)) return parts.filter(Boolean)
  return parts.flatMap(p => {
    const lines = p.split(/\r?\n/)
    const at = lines.findIndex(l => CUE.test(l))
    const words = at < 0 ? '' : lines.slice(at + 1).join(' ')
    return words.trim() ? [words.replace(/<[^>]*>/g, '').trim()] : []
  })
}
