import type { Book, BlockJson, InlineJson, Remark, Section } from '@/core/book'
import { labels, roles } from '@/core/book'
import { type Holder, leavesOf } from '../../leaves'

/**
 * What a word-processor file cannot say of the text that it holds, by the names of its bookmarks. It follows from the sections
 * that went out: whoever has those makes it again.
 */
export interface Rider {
  /** The words of the number that stands before a section’s title. */
  numbers: Record<string, string>
  /** What stands on lines of its own, by the kind and the id of its bookmark: its node without its words, its words, and what holds it. */
  leaves: Map<string, { node: RiderNode; words: readonly InlineJson[]; in: readonly Holder[] }>
  /** Signs by the numbers of their bookmarks. */
  signs: Extract<InlineJson, { type: 'sign' }>[]
  /** What the author is called in it, when what bears no time was said, and what was said. */
  author: string
  when: number
  remarks: { by: string; remark: Remark }[]
}

export type RiderNode = { type: string; attrs?: Record<string, unknown> }

/** Where a rider is made: lines of verse are counted over the whole file. */
export interface RiderAt {
  rider: Rider
  lines: number
}

/** A rider that knows nothing of the text yet. */
export function newRider(book: Book, sections: readonly Section[], author: string, when: number): RiderAt {
  const names = labels(book.sections, book.data.language)
  const numbers: Record<string, string> = {}
  for (const s of sections) {
    const label = names.get(s.id)
    const words = label?.number || !s.title ? label?.numberWords || (s.title ? '' : roles[s.role].name) : ''
    if (words) numbers[s.id] = words
  }
  const rider: Rider = {
    ...{ numbers, author, when },
    ...{ leaves: new Map(), signs: [], remarks: [] },
  }
  return { rider, lines: 0 }
}

/** A leaf of a section under the name of its bookmark. */
export interface NamedLeaf {
  /** The bookmark of a leaf, without its prefix: its id; of a line of verse its number in the file. */
  name: string
  ride: 'block' | 'line'
  in: readonly Holder[]
  node: ReturnType<typeof leavesOf>[number]['node']
}

/** The leaves of a section under their names; the rider learns what the file cannot say of them. */
export function ridingLeaves(section: Section, at: RiderAt): NamedLeaf[] {
  return leavesOf(section.doc).map(leaf => {
    const { node } = leaf
    const line = node.type === 'line'
    const name = line ? String(++at.lines) : node.attrs.id
    // Keys of what has no id are of their document: here they are of the file.
    const within = leaf.in.map(h => ({ ...h, key: h.key.includes(' ') ? `${section.id} ${h.key}` : h.key }))
    if (name) {
      const { content, ...bare } = node as BlockJson & { content?: InlineJson[] }
      const words = node.type === 'table' ? [] : (content ?? [])
      at.rider.leaves.set(leafKey(line ? 'line' : 'block', name), { node: bare, words, in: within })
    }
    return { name, ride: line ? ('line' as const) : ('block' as const), in: within, node }
  })
}

/** The key of a leaf in a rider. */
export const leafKey = (ride: 'block' | 'line', name: string): string => `${ride} ${name}`
