import {
  Bookmark,
  CommentRangeEnd,
  CommentRangeStart,
  CommentReference,
  ExternalHyperlink,
  FootnoteReferenceRun,
  ImageRun,
  InternalHyperlink,
  type ICommentOptions,
  type IRunOptions,
  Paragraph,
  type ParagraphChild,
  TextRun,
} from 'docx'
import { type FootnoteJson, type InlineJson, type MarkJson, safeHref, type SignJson, threadOf } from '@/core/book'
import type { CopySource, Losses } from '../../copyKind'
import { type Ride, rideName } from './names'
import type { RiderAt } from './rider'

/** Everything that is written while the text is: notes and comments go into parts of their own. */
export interface Writing {
  source: CopySource
  at: RiderAt
  losses: Losses
  notes: Record<string, { children: Paragraph[] }>
  comments: ICommentOptions[]
}

/** A width of text that pictures are measured by, in pixels of 96 to the inch: about 16 cm. */
const MEASURE = 600
/** Pixels of an em at the size of the text. */
const EM = 16

const link = 'link'

/** Words as runs of a paragraph. In notes no comments can stand. */
export function runsOf(content: readonly InlineJson[] | undefined, w: Writing, inNote = false): ParagraphChild[] {
  const out: ParagraphChild[] = []
  let open: { mark: MarkJson; close: () => void } | undefined
  for (const node of content ?? []) {
    const remark = node.marks?.find(m => m.type === 'remark')
    if (open && JSON.stringify(remark) !== JSON.stringify(open.mark)) {
      open.close()
      open = undefined
    }
    if (remark && !open && !inNote) open = { mark: remark, close: commented(remark, out, w) }
    if (remark && inNote) w.losses.add('remarks in notes: they stay with the book')
    out.push(...nodeRun(node, node.marks ?? [], w))
  }
  open?.close()
  return out
}

/** Begins what is said of words; gives what ends it. */
function commented(remark: Extract<MarkJson, { type: 'remark' }>, out: ParagraphChild[], w: Writing): () => void {
  const thread = threadOf(remark.attrs, w.at.rider.author)
  const first = w.comments.length
  thread.forEach(({ by, when, words }, i) =>
    w.comments.push({
      id: first + i,
      author: by,
      initials: by
        .split(/\s+/)
        .map(n => n[0] ?? '')
        .join(''),
      date: new Date(when || w.at.rider.when),
      children: words.split('\n').map(line => new Paragraph(clean(line, w))),
      ...(i && { parentId: first }),
    }),
  )
  w.at.rider.remarks.push({ by: thread[0]!.by, remark: remark.attrs })
  // Answers stand at the words of what they answer.
  const ids = thread.map((_, i) => first + i)
  out.push(...ids.map(id => new CommentRangeStart(id)))
  return () =>
    out.push(
      ...ids.map(id => new CommentRangeEnd(id)),
      ...ids.map(id => new TextRun({ children: [new CommentReference(id)] })),
    )
}

/** Runs between the ends of a bookmark. */
export function marked(runs: readonly ParagraphChild[], ride: Ride, id: string | number): ParagraphChild[] {
  return [new Bookmark({ id: rideName(ride, id), children: runs })]
}

function nodeRun(node: InlineJson, marks: readonly MarkJson[], w: Writing): ParagraphChild[] {
  switch (node.type) {
    case 'text':
      return linked([new TextRun({ ...look(marks), text: clean(node.text, w) })], marks)
    case 'hard_break':
      return [new TextRun({ ...look(marks), break: 1 })]
    case 'footnote':
      return note(node, w)
    case 'sign':
      return sign(node, w)
  }
}

function note(node: FootnoteJson, w: Writing): ParagraphChild[] {
  const id = Object.keys(w.notes).length + 1
  w.notes[id] = { children: [new Paragraph({ children: runsOf(node.content, w, true) })] }
  const call = [new FootnoteReferenceRun(id)]
  return node.attrs.id ? marked(call, 'note', node.attrs.id) : call
}

function sign(node: SignJson, w: Writing): ParagraphChild[] {
  const n = w.at.rider.signs.push(node) - 1
  const shown = drawing(node.attrs, w, asset => {
    const height = node.attrs.height * EM
    return { height, width: (height * asset.width) / asset.height }
  })
  return marked([shown ?? new TextRun(`[${clean(node.attrs.alt || 'sign', w)}]`)], 'sign', n)
}

/** A picture as a drawing; undefined where its bytes are not there, or of a kind that word processors do not show. */
export function drawing(
  { asset: id, alt, decoration }: { asset: string; alt: string; decoration: boolean },
  w: Writing,
  sized: (asset: { width: number; height: number }) => { width: number; height: number },
): ImageRun | undefined {
  const asset = w.source.book.assets.find(a => a.id === id)
  const data = w.source.picture(id)
  const type = asset && types[asset.type]
  if (!data || !type) {
    w.losses.add('pictures that are not there, or that word processors do not show: words stand for them')
    return undefined
  }
  const name = clean(alt, w)
  return new ImageRun({
    type,
    data,
    transformation: sized(asset),
    altText: { name: 'Picture', description: decoration ? '' : name, title: decoration ? '' : name },
  })
}

const types: Record<string, 'png' | 'jpg' | 'gif' | undefined> = {
  'image/png': 'png',
  'image/jpeg': 'jpg',
  'image/gif': 'gif',
}

/** The size of a picture in the measure. */
export const inMeasure =
  (share: number) =>
  ({ width, height }: { width: number; height: number }): { width: number; height: number } => ({
    width: MEASURE * share,
    height: (MEASURE * share * height) / width,
  })

/** The formatting that a run has of its own. */
const look = (marks: readonly MarkJson[]): IRunOptions => {
  const has = (type: MarkJson['type']): true | undefined => marks.some(m => m.type === type) || undefined
  const language = marks.find(m => m.type === 'language')
  return {
    bold: has('strong'),
    italics: has('em'),
    smallCaps: has('small_caps'),
    strike: has('strike'),
    superScript: has('superscript'),
    subScript: has('subscript'),
    ...(language && { language: { value: language.attrs.tag } }),
  }
}

function linked(runs: ParagraphChild[], marks: readonly MarkJson[]): ParagraphChild[] {
  const to = marks.find(m => m.type === link)?.attrs.href
  const href = to && safeHref(to)
  if (!href) return runs
  return href.startsWith('#')
    ? [new InternalHyperlink({ anchor: rideName('block', href.slice(1)), children: runs })]
    : [new ExternalHyperlink({ link: href, children: runs })]
}

/** Signs that XML cannot hold (XML 1.0, 2.2). */
const NO_XML =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g

/** Words as a file may hold them. */
export function clean(text: string, w: Writing): string {
  const out = text.replace(NO_XML, '')
  if (out !== text) w.losses.add('signs that no such file can hold', text.length - out.length)
  return out
}
