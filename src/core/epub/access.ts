import { type Asset, type Book, docText, inlineText, picturesIn, type Section } from '../book'

/** Something that keeps a reader out, and where (criteria of WCAG 2.2 as they apply to a book of flowing text). */
export interface AccessGap {
  kind:
    | 'picture not described'
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

/** What our rules find wanting in a book's ebook. `assets`: the pictures that are in it. */
export function accessGaps(book: Book, assets: ReadonlyMap<string, Asset>): AccessGap[] {
  const gaps: AccessGap[] = []
  // 3.1.1: a voice must know how to read it.
  if (!/^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/.test(book.data.language))
    gaps.push({ kind: 'language not known', section: '', block: '' })
  for (const s of book.sections) {
    gaps.push(...pictureGaps(s, assets))
    if (!s.made) gaps.push(...textGaps(s))
  }
  return gaps
}

/** 1.1.1: pictures that say something say it in words as well. */
function pictureGaps(s: Section, assets: ReadonlyMap<string, Asset>): AccessGap[] {
  return picturesIn(s).flatMap((p): AccessGap[] => {
    if (!assets.has(p.asset) || p.decoration) return []
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
