import { type Recording, recordingsIn, type RecordingUse, sortOf } from '../book'
import type { Finding } from './finding'
import type { Rule } from './pageRules'
import type { Subject } from './subject'

/** Every place at which a recording stands, with what it is. */
function* standing(s: Subject): Generator<{ section: string; use: RecordingUse; recording?: Recording }> {
  const known = new Map((s.book.recordings ?? []).map(r => [r.id, r]))
  for (const section of s.book.sections)
    for (const use of recordingsIn(section)) {
      const recording = known.get(use.recording)
      yield { section: section.id, use, ...(recording ? { recording } : {}) }
    }
}

const called = (r: Recording | undefined): string => (r?.name ? `“${r.name}”` : 'A recording')

/** Every recording of the text can be played. */
export const soundRecordings: Rule = s =>
  [...standing(s)].flatMap(({ section, use, recording }): Finding[] =>
    recording && !recording.damaged
      ? []
      : [
          {
            rule: 'damaged recording',
            severity: 'mend',
            place: { kind: 'text', section, block: use.block },
            message: `${called(recording)} ${recording ? 'is damaged' : 'is not in this library'} and cannot be played: its picture, caption and words stand for it.`,
            remedy: 'replace the recording',
          },
        ],
  )

/** Of what plays in ebooks something is on paper, too. */
export const recordingsOnPaper: Rule = s => {
  if (!s.print) return []
  const unseen = s.book.sections.flatMap(section =>
    section.made
      ? []
      : section.doc.content.flatMap(b =>
          b.type === 'image' && b.attrs.plays && !b.attrs.asset && !b.content?.length
            ? [{ section: section.id, block: b.attrs.id }]
            : [],
        ),
  )
  return unseen.map((at): Finding => ({
    rule: 'recording on paper',
    severity: 'remark',
    place: { kind: 'text', ...at },
    message: 'A recording has neither a picture nor a caption: nothing of it is on paper.',
    remedy: 'give it a caption',
  }))
}

/** Recordings that do not go into the ebook, since its outlet takes none of their sort. */
export const recordingsTaken: Rule = s => {
  const left = s.ebook?.recordingsLeftOut ?? []
  if (!left.length) return []
  const ids = new Set(left.filter(r => !r.damaged).map(r => r.id))
  return [...standing(s)].flatMap(({ section, use, recording }): Finding[] =>
    recording && ids.has(recording.id)
      ? [
          {
            rule: 'recording left out',
            severity: 'remark',
            place: { kind: 'text', section, block: use.block },
            message: `${called(recording)} does not go into this ebook: ${s.ebook?.fixed ? 'its pages are fixed' : `${s.profile.name} takes no ${sortOf(recording)}`}. Its picture, caption and words stand for it.`,
            remedy: 'nothing need be done',
          },
        ]
      : [],
  )
}
