import { pathIn, decoded, folderOf, recordingTypeOf } from '../../files'
import { withFallbacks } from '../../publication'
import type { EpubFinding, EpubRule } from './finding'
import { type EbookView, type TextElement, XHTML } from './view'

/** Media types of sound that every reading program plays (EPUB 3.3, 3.2). */
const PLAYED = /^audio\/(mpeg|mp4|ogg\s*;\s*codecs="?opus"?)$/i
/** … and of film that most do; the standard names none. */
const SEEN = /^video\/(mp4|webm|h264|vp8)$/i

interface Played {
  path: string
  e: TextElement
  /** What it may play, as the package knows it. */
  sources: string[]
}

/** Every sound and film that a text plays. What stands in one follows it. */
const played = ({ epub, texts }: EbookView): Played[] =>
  epub.items.flatMap(i =>
    i.type !== XHTML
      ? []
      : (texts.get(i.path)?.elements ?? []).flatMap((e, n, all): Played[] => {
          if (e.name !== 'audio' && e.name !== 'video') return []
          const inside: TextElement[] = []
          for (let k = n + 1; all[k]?.name === 'source' || all[k]?.name === 'track'; k++) inside.push(all[k]!)
          const addresses = [e, ...inside.filter(c => c.name === 'source')].flatMap(c => c.attrs.src ?? [])
          return [{ path: i.path, e, sources: addresses.map(a => pathIn(folderOf(i.path), decoded(a))) }]
        }),
  )

/** A recording is of a kind that reading programs play, and is what the package calls it. */
const kinds: EpubRule = view => {
  const { epub, items } = view
  const out: EpubFinding[] = []
  for (const { path, type, data } of epub.items) {
    if (!/^(audio|video)\//.test(type)) continue
    const is = recordingTypeOf(data)
    // A film's container may hold a sound alone.
    const same = !is || is.split(/[/;]/)[1] === type.split(/[/;]/)[1]
    if (!same)
      out.push({
        rule: 'recording kind',
        severity: 'stop',
        place: { file: path },
        message: `The package calls this recording ${type}, and it is ${is}.`,
        remedy: 'Name it as what it is.',
      })
  }
  for (const { path, e, sources } of played(view)) {
    const known = sources.flatMap(s => items.get(s) ?? []).flatMap(i => withFallbacks(epub, i))
    const plays = e.name === 'audio' ? PLAYED : SEEN
    if (known.length && !known.some(i => plays.test(i.type)))
      out.push({
        rule: 'recording kind',
        severity: e.name === 'audio' ? 'stop' : 'mend',
        place: { file: path, line: e.line },
        message: `Reading programs need not play a ${e.name === 'audio' ? 'sound' : 'film'} of this kind (${known[0]!.type}).`,
        remedy: e.name === 'audio' ? 'Save it as MP3 or M4A.' : 'Save it as MP4.',
      })
  }
  return out
}

/** WCAG 1.4.2 and 2.1.1: nothing plays by itself, and what plays can be stopped. */
const held: EpubRule = view =>
  played(view).flatMap(({ path, e }): EpubFinding[] => {
    const place = { file: path, line: e.line }
    const what = e.name === 'audio' ? 'A sound' : 'A film'
    return [
      ...(e.attrs.autoplay === undefined
        ? []
        : [
            {
              rule: 'plays by itself',
              severity: 'mend' as const,
              place,
              message: `${what} plays by itself, over the voice of whoever has the book read aloud.`,
              remedy: 'Take “autoplay” out.',
            },
          ]),
      ...(e.attrs.controls === undefined
        ? [
            {
              rule: 'cannot be played',
              severity: 'mend' as const,
              place,
              message: `${what} has nothing to play or stop it with.`,
              remedy: 'Give it “controls”.',
            },
          ]
        : []),
    ]
  })

/** Words that are read aloud with the text name a file that says when (EPUB 3.3, 9). */
const overlays: EpubRule = ({ epub }) => {
  const byId = new Map([...epub.items, ...epub.absent].map(i => [i.id, i]))
  return epub.items.flatMap(({ path, overlay }): EpubFinding[] =>
    overlay === undefined || byId.get(overlay)?.type === 'application/smil+xml'
      ? []
      : [
          {
            rule: 'reading aloud',
            severity: 'stop',
            place: { file: path },
            message: `The package says that “${overlay.slice(0, 60)}” reads this aloud, and there is no such part.`,
            remedy: 'Add the part, or take the name out.',
          },
        ],
  )
}

/** The outlet takes recordings of their sort. */
const taken: EpubRule = ({ epub }, outlet) => {
  if (!outlet) return []
  const takes: readonly string[] = outlet.rules.plays ?? []
  return epub.items.flatMap(({ path, type }): EpubFinding[] => {
    const sort = type.startsWith('audio/') ? 'sound' : type.startsWith('video/') ? 'film' : undefined
    return !sort || takes.includes(sort)
      ? []
      : [
          {
            rule: 'recording',
            severity: 'stop',
            place: { file: path },
            message: `${outlet.name} takes no ${sort}.`,
            remedy: 'Take it out of the file that goes there.',
          },
        ]
  })
}

export const recordings: EpubRule[] = [kinds, held, overlays, taken]
