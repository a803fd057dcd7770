import type { Node } from '@tiptap/pm/model'
import { type Remark, type SignHabit, signHabits, threadOf } from '@/core/book'
import { blockPlaces, type LinePlace, lineRange } from '../shown/lineRange'

/** What stands in the inner margin, at the line that it concerns. */
export interface MarginItem {
  /** Tells it from the others, whatever moves. */
  key: string
  /** Where it concerns the text: a position in the document. */
  pos: number
  kind: 'note' | 'doubt' | 'finding' | 'remark' | 'exception' | 'doubted' | 'changed'
  /** The sign before its words: a note's number. */
  sign?: string
  words: string
}

/** What proof-reading doubts at a place of the section, or others changed there. */
export interface PlacedDoubt extends LinePlace {
  kind: 'doubted' | 'changed'
  key: string
  /** What stands there: where something else does by now, it is doubted no more. */
  was: string | undefined
  words: string
}

/** A finding on a block of the section. */
export interface BlockFinding {
  block: string
  words: string
}

/** What is otherwise in this section than its style says: by the value's path, as it is said. */
export interface SaidException {
  path: string
  words: string
}

/** Where the first scene break stands: what breaks look like here is seen there. */
function firstBreak(doc: Node): number {
  let at = 0
  doc.forEach((n, offset) => {
    if (!at && n.type.name === 'scene_break') at = offset
  })
  return at
}

/** Letters of a note that are shown beside its line. */
const SHOWN = 110

/**
 * Exceptions, notes, remarks, doubts and findings of a section, in the order of its text. `isThere` says whether a link inside the book leads to
 * something; what is typed this moment has it told at once.
 */
export function marginItems(
  doc: Node,
  {
    blocks: findings,
    isThere,
    language,
    exceptions = [],
    doubts = [],
  }: {
    blocks: readonly BlockFinding[]
    isThere: (id: string) => boolean
    language: string
    exceptions?: readonly SaidException[]
    doubts?: readonly PlacedDoubt[]
  },
): MarginItem[] {
  const out: MarginItem[] = exceptions.map(({ path, words }) => ({
    key: `x${path}`,
    pos: path.startsWith('breaks.') ? firstBreak(doc) : 0,
    kind: 'exception',
    words: `${words}, here alone`,
  }))
  const found = new Map<string, BlockFinding[]>()
  for (const f of findings) found.set(f.block, [...(found.get(f.block) ?? []), f])
  const own = new Set<string>()
  doc.descendants(n => void (typeof n.attrs.id === 'string' && own.add(n.attrs.id)))
  // What is of the section as a whole stands at its head.
  found.get('')?.forEach((f, i) => out.push({ key: `f/${i}`, pos: 0, kind: 'finding', words: f.words }))
  let notes = 0
  doc.descendants((n, pos) => {
    const id = n.attrs.id as string | undefined
    if (n.type.name === 'footnote') {
      const words = n.textContent.trim()
      out.push({ key: `n${id ?? pos}`, pos, kind: 'note', sign: String(++notes), words: shortened(words) })
      return false
    }
    if (id)
      found.get(id)?.forEach((f, i) => out.push({ key: `f${id}/${i}`, pos: pos + 1, kind: 'finding', words: f.words }))
    if (!n.inlineContent) return true
    for (const { habit, count, at } of typedIn(n, language))
      out.push({
        key: `${habit.id}${id ?? pos}`,
        pos: pos + 1 + at,
        kind: 'doubt',
        words: count === 1 ? `a ${habit.name[0]}` : `${count} ${habit.name[1]}`,
      })
    for (const r of remarksIn(n))
      out.push({ key: `r${id ?? pos}/${r.at}`, pos: pos + 1 + r.at, kind: 'remark', words: shortened(r.words) })
    for (const at of brokenAt(n, to => own.has(to) || isThere(to)))
      out.push({ key: `l${id ?? pos}/${at}`, pos: pos + 1 + at, kind: 'finding', words: 'this link leads nowhere' })
    return true
  })
  return doubts.length ? [...out, ...doubtedIn(doc, doubts)].sort((a, b) => a.pos - b.pos) : out
}

/** Doubts at their places; those whose words have gone since are none. */
function doubtedIn(doc: Node, doubts: readonly PlacedDoubt[]): MarginItem[] {
  const places = blockPlaces(doc)
  return doubts.flatMap((d): MarginItem[] => {
    const { key, words, kind } = d
    if (!d.block) return [{ key, pos: 0, kind, words }]
    const at = lineRange(places, d)
    const { was } = d
    if (!at || (was !== undefined && /^[^\n\ufffc]*$/.test(was) && doc.textBetween(at.from, at.to) !== was)) return []
    return [{ key, pos: at.from, kind, words }]
  })
}

const shortened = (words: string): string => (words.length > SHOWN ? `${words.slice(0, SHOWN).trimEnd()} …` : words)

const known = new WeakMap<Node, Map<string, { habit: SignHabit; count: number; at: number }[]>>()

/** Signs of a block's own words that stand as they were typed; those of its notes are the notes'. A block is looked at once while it stays. */
function typedIn(block: Node, language: string): { habit: SignHabit; count: number; at: number }[] {
  const there = known.get(block)?.get(language)
  if (there) return there
  // What a note says is its own; its room stays, so that offsets are positions.
  let text = ''
  block.forEach(n => (text += n.isText ? n.text! : n.type.name === 'hard_break' ? '\n' : OTHER.repeat(n.nodeSize)))
  const found = signHabits.flatMap(habit => {
    const at = habit.places(text, language)
    return at.length ? [{ habit, count: at.length, at: at[0]! }] : []
  })
  known.set(block, new Map([[language, found]]))
  return found
}

const OTHER = '\ufffc'

/** What is said of words of a block, each where its words begin; all of a thread, each with who said it. */
function remarksIn(block: Node): { at: number; words: string }[] {
  const out: { at: number; words: string }[] = []
  let last: string | undefined
  block.forEach((n, offset) => {
    const remark = n.marks.find(m => m.type.name === 'remark')?.attrs as Remark | undefined
    const words =
      remark &&
      threadOf(remark)
        .map(s => (s.by ? `${s.by}: ${s.words}` : s.words))
        .join(' — ')
    if (words !== undefined && words !== last) out.push({ at: offset, words })
    last = words
  })
  return out
}

/** Offsets in a block at which links into the book begin that lead nowhere. */
function brokenAt(block: Node, isThere: (id: string) => boolean): number[] {
  const out: number[] = []
  let last: string | undefined
  block.forEach((n, offset) => {
    const href = n.marks.find(m => m.type.name === 'link')?.attrs.href as string | undefined
    if (href !== last && href?.startsWith('#') && !isThere(href.slice(1))) out.push(offset)
    last = href
  })
  return out
}
