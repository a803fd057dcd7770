import {
  type Asset,
  type Book,
  docText,
  inlineText,
  isTimed,
  picturesIn,
  type Recording,
  recordingsIn,
  type Section,
  sortOf,
} from '../book'

/** Something that keeps a reader out, and where (criteria of WCAG 2.2 as they apply to a book of flowing text). */
export interface AccessGap {
  kind:
    | 'picture not described'
    | 'recording not named'
    | 'recording not in words'
    | 'film without timed words'
    | 'film shows what is not said'
    | 'description is a file’s name'
    | 'heading skips a level'
    | 'table without a head'
    | 'link without words'
    | 'link says nothing'
    | 'language not known'
  section: string
  /** Empty where it is the section's own, or the book's. */
  block: string
  /** What it says, where it says something. */
  words?: string
}

/** The pictures and recordings that are in an ebook, by their ids. */
export interface ShownFiles {
  assets: ReadonlyMap<string, Asset>
  recordings: ReadonlyMap<string, Recording>
}

/** What our rules find wanting in a book's ebook. */
export function accessGaps(book: Book, { assets, recordings }: ShownFiles): AccessGap[] {
  const gaps: AccessGap[] = []
  // 3.1.1: a voice must know how to read it.
  if (!/^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/.test(book.data.language))
    gaps.push({ kind: 'language not known', section: '', block: '' })
  for (const s of book.sections) {
    gaps.push(...pictureGaps(s, assets), ...recordingGaps(s, recordings))
    if (!s.made) gaps.push(...textGaps(s))
  }
  return gaps
}

/** 1.2: what is heard can be read, what is seen in a film is said, and films that speak have their words at their times. */
function recordingGaps(s: Section, recordings: ReadonlyMap<string, Recording>): AccessGap[] {
  return recordingsIn(s).flatMap((use): AccessGap[] => {
    const recording = recordings.get(use.recording)
    if (!recording) return []
    const at = { section: s.id, block: use.block }
    const film = sortOf(recording) === 'film'
    const speaks = film && !recording.silent
    return [
      ...(use.alt.trim() ? [] : [{ kind: 'recording not named' as const, ...at }]),
      ...(use.spoken.trim() ? [] : [{ kind: 'recording not in words' as const, ...at }]),
      ...(speaks && use.spoken.trim() && !isTimed(use.spoken)
        ? [{ kind: 'film without timed words' as const, ...at }]
        : []),
      ...(speaks && !use.told ? [{ kind: 'film shows what is not said' as const, ...at }] : []),
    ]
  })
}

/** 1.1.1: pictures that say something say it in words as well. */
function pictureGaps(s: Section, assets: ReadonlyMap<string, Asset>): AccessGap[] {
  const playing = new Set(recordingsIn(s).map(u => u.block))
  return picturesIn(s).flatMap((p): AccessGap[] => {
    if (!assets.has(p.asset) || p.decoration || (p.block && playing.has(p.block))) return []
    const at = { section: s.id, block: p.block ?? '' }
    const alt = p.alt.trim()
    if (!alt) return [{ kind: 'picture not described', ...at }]
    return isFileName(alt) ? [{ kind: 'description is a file’s name', ...at, words: alt }] : []
  })
}

const isFileName = (words: string): boolean =>
  /^\S+\.(png|jpe?g|gif|svg|webp|tiff?|bmp|heic)$/i.test(words) || /^(IMG|DSC|Screenshot)[_ -]?\d/i.test(words)

function textGaps({ id: section, doc }: Section): AccessGap[] {
  const gaps: AccessGap[] = []
  // 1.3.1: the section's own title is above all of them.
  let above = 0
  for (const b of doc.content) {
    const { id: block } = b.attrs
    if (b.type === 'heading') {
      if (b.attrs.level > above + 1)
        gaps.push({ kind: 'heading skips a level', section, block, words: inlineText(b.content) })
      above = b.attrs.level
    }
    if (b.type === 'table' && !b.content[0]?.attrs.head)
      gaps.push({
        kind: 'table without a head',
        section,
        block,
        words: docText({ type: 'doc', content: [b] }).slice(0, 40),
      })
    if (b.type === 'image' && b.attrs.leads && !b.attrs.alt.trim() && !b.content?.length)
      gaps.push({ kind: 'link without words', section, block })
    // 2.4.4: where a link leads is told by its words.
    for (const words of linkWords(b))
      if (/^(here|click here|link|this|more)$/i.test(words))
        gaps.push({ kind: 'link says nothing', section, block, words })
  }
  return gaps
}

/** The words of each link in a block. */
function linkWords(node: unknown): string[] {
  const { type, text, marks, content } = node as {
    type: string
    text?: string
    marks?: { type: string }[]
    content?: unknown[]
  }
  if (type === 'text') return marks?.some(m => m.type === 'link') ? [text!.trim()] : []
  return (content ?? []).flatMap(linkWords)
}
