import type { DocJson, InlineJson, MarkJson } from '../doc'
import { eachInline } from '../doc'
import { docTurned, lineOf, units } from '../turned'
import type { Finder, Found } from './finder'
import { type Line, linesOf } from './lines'

/** Something that was found in a document, and the words around it. */
export interface Hit {
  /** Which of the document's lines, and where in it. */
  line: number
  from: number
  to: number
  in: Line
}

/** All that is found in a document, in its order. */
export const hitsIn = (doc: DocJson, find: Finder): Hit[] =>
  linesOf(doc).flatMap((line, n) => find(line.text).map(({ from, to }) => ({ line: n, from, to, in: line })))

/** Which of what is found is meant; all of it, where nothing is said. */
export type Chosen = (line: number, found: Found) => boolean
const ALL: Chosen = () => true

/** What stands in the place of something found: `$1` is what a pattern's first brackets hold, `$&` all of it. */
export function inItsPlace(replacement: string, found: string, groups: Found['groups']): string {
  return groups
    ? replacement.replace(/\$(\d|&)/g, (_, n: string) => (n === '&' ? found : (groups[Number(n) - 1] ?? '')))
    : replacement
}

/** Other words for a place of a line, UTF-16 units. */
export interface InItsPlace {
  from: number
  to: number
  words: string
}

/** The document with other words at places of its lines, as they are asked for by a line's text and number; notes and pictures inside of them stay. The very same object where there are none. */
export function replacedAt(
  doc: DocJson,
  placesIn: (typed: string, line: number) => readonly InItsPlace[],
): { doc: DocJson; count: number } {
  let count = 0
  let line = -1
  const turned = docTurned(doc, typed => {
    const places = placesIn(typed, ++line)
    if (!places.length) return undefined
    count += places.length
    const becomes = units(typed)
    for (const { from, to, words } of places) {
      becomes.fill('', from, to)
      // The first letter that is one takes the place of all: a note in its place would not be text.
      const first = [...becomes.keys()].slice(from, to).find(i => typed[i] !== OTHER) ?? from
      becomes[first] = words
    }
    return { becomes, doubtful: [] }
  })
  return count ? { doc: turned.doc, count } : { doc, count }
}
const OTHER = '\ufffc'

/** The document with other words where some were found; notes and pictures inside of them stay. The very same object where nothing is. */
export function replacedIn(
  doc: DocJson,
  find: Finder,
  { replacement, chosen = ALL }: { replacement: string; chosen?: Chosen },
): { doc: DocJson; count: number } {
  return replacedAt(doc, (typed, line) =>
    find(typed)
      .filter(f => chosen(line, f))
      .map(({ from, to, groups }) => ({ from, to, words: inItsPlace(replacement, typed.slice(from, to), groups) })),
  )
}

/** Marks that a find can give. */
export type GivenMark = Extract<MarkJson['type'], 'em' | 'strong' | 'small_caps'>

/** The document with what is found marked so. */
export function markedIn(
  doc: DocJson,
  find: Finder,
  { mark, chosen = ALL }: { mark: GivenMark; chosen?: Chosen },
): { doc: DocJson; count: number } {
  let count = 0
  let line = -1
  const copy = structuredClone(doc)
  eachInline(copy, content => {
    line++
    const found = find(lineOf(content)).filter(f => chosen(line, f))
    if (!found.length) return
    count += found.length
    const next = withMark(content, found, mark)
    content.splice(0, content.length, ...next)
  })
  return count ? { doc: copy, count } : { doc, count }
}

/** Inline content with a mark on parts of its text. */
function withMark(content: readonly InlineJson[], found: readonly Found[], mark: GivenMark): InlineJson[] {
  let at = 0
  return content.flatMap((n): InlineJson[] => {
    const from = at
    at += n.type === 'text' ? n.text.length : 1
    if (n.type !== 'text') return [n]
    const cuts = found.flatMap(f => [f.from, f.to]).filter(c => c > from && c < at)
    const edges = [from, ...new Set(cuts), at].sort((a, b) => a - b)
    return edges.slice(1).map((to, i): InlineJson => {
      const begin = edges[i]!
      const part = { ...n, text: n.text.slice(begin - from, to - from) }
      const inside = found.some(f => begin >= f.from && to <= f.to)
      return inside && !n.marks?.some(m => m.type === mark)
        ? { ...part, marks: [...(n.marks ?? []), { type: mark }] }
        : part
    })
  })
}
