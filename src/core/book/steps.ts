import { type Node, type Schema, Slice } from 'prosemirror-model'
import { Mapping, ReplaceStep, Step, type StepMap, type Transform } from 'prosemirror-transform'
import type { DocJson } from './doc'
import { schema } from './schema'

/** Changes of a section's text are ProseMirror steps; here they are kept short, applied, and carried over what others wrote meanwhile. */

/** `of`: the schema object that the documents speak; an editor has a copy of its own. */
export const readSteps = (list: readonly unknown[], of: Schema = schema): Step[] =>
  list.map(json => Step.fromJSON(of, json))
export const writeSteps = (list: readonly Step[]): unknown[] => list.map(s => s.toJSON() as unknown)

/** Steps that follow one another, made one where they can be: sixty letters typed are one step. */
export function compact(list: readonly Step[]): Step[] {
  const out: Step[] = []
  for (const step of list) {
    const merged = out.length ? out[out.length - 1]!.merge(step) : null
    if (merged) out[out.length - 1] = merged
    else out.push(step)
  }
  return out
}

/** A document with steps applied. Throws where one does not fit. */
export function applied(doc: Node, list: readonly Step[]): Node {
  let node = doc
  for (const step of list) {
    const done = step.apply(node)
    if (!done.doc) throw new Error(`This change does not fit the text: ${done.failed ?? ''}`)
    node = done.doc
  }
  return node
}

/** The same for documents as they are stored. */
export const appliedJson = (doc: DocJson, list: readonly unknown[]): DocJson =>
  applied(schema.nodeFromJSON(doc), readSteps(list)).toJSON() as DocJson

/** The one step that leads from a document to another: the least stretch that differs is replaced. None where they are equal. */
export function difference(from: Node, to: Node): Step[] {
  const start = from.content.findDiffStart(to.content)
  if (start === null) return []
  let { a, b } = from.content.findDiffEnd(to.content)!
  const overlap = start - Math.min(a, b)
  if (overlap > 0) {
    a += overlap
    b += overlap
  }
  const step = new ReplaceStep(start, a, to.slice(start, b))
  const done = step.apply(from)
  return done.doc?.eq(to) ? [step] : [new ReplaceStep(0, from.content.size, new Slice(to.content, 0, 0))]
}

/** What came of carrying steps over others. */
export interface Rebased {
  /** The steps as they apply now. */
  steps: Step[]
  /** Text that the ones which apply no more would have brought in, in order: it found no place. */
  lost: string[]
}

/**
 * Applies to `tr` (which stands at what others made of the text) the steps `own`, made on the text as it was before; `over`
 * are the maps of what the others did. Text of `own` that lies in a stretch which they took away is given back as lost, and so
 * is text of theirs that a removal of `own` would now take along.
 */
export function rebase(tr: Transform, own: readonly Step[], over: readonly StepMap[]): Rebased {
  // Own steps undone, what the others did, own steps done again: the standard way (collaborative editing with central authority).
  const mapping = new Mapping([...own.map(s => s.getMap().invert()).reverse(), ...over])
  // Where the transform did all of it itself, its own mapping learns which steps cancel out: an editor's selection goes by it.
  const whole = tr.steps.length === own.length + over.length
  const steps: Step[] = []
  const lost: string[] = []
  /** Where in `mapping` each own step stands now, by its number. */
  const again = new Map<number, number>()
  own.forEach((step, i) => {
    const mirror = own.length - 1 - i
    const mapped = step.map(mapping.slice(mirror + 1))
    const taken = mapped ? takenAlong(step, mapped, i) : []
    if (mapped && !tr.maybeStep(mapped).failed) {
      again.set(i, mapping.maps.length)
      mapping.appendMap(mapped.getMap(), mirror)
      if (whole) (tr.mapping as MirroredMapping).setMirror(mirror, tr.steps.length - 1)
      steps.push(mapped)
      lost.push(...taken)
    } else {
      const text = textOf(step)
      if (text) lost.push(text)
    }
  })
  return { steps, lost }

  /** Text that a removal would take along now, and did not when it was made: what the others brought in, or own words that came to stand elsewhere. */
  function takenAlong(step: Step, mapped: Step, i: number): string[] {
    const removes = removedBy(mapped)
    if (!removes.length) return []
    const now = (at: number): Range[] => broughtIn(mapping.maps[at]!, mapping.slice(at + 1), removes)
    const theirs = over.flatMap((_, k) => now(own.length + k))
    const ours = [...again].flatMap(([j, at]) => {
      const meant = broughtIn(own[j]!.getMap(), new Mapping(own.slice(j + 1, i).map(s => s.getMap())), removedBy(step))
      const found = now(at)
      return size(found) > size(meant) ? found : []
    })
    return [...theirs, ...ours].map(([from, to]) => tr.doc.textBetween(from, to, '\n', () => '')).filter(Boolean)
  }
}

type Range = [from: number, to: number]
const size = (ranges: Range[]): number => ranges.reduce((n, [from, to]) => n + to - from, 0)

/** The stretches of a document that a step removes. */
function removedBy(step: Step): Range[] {
  const out: Range[] = []
  step.getMap().forEach((from, to) => {
    if (from < to) out.push([from, to])
  })
  return out
}

/** What of the text that a map brought in lies, `onward`, in stretches that are removed. */
function broughtIn(map: StepMap, onward: Mapping, removed: Range[]): Range[] {
  const out: Range[] = []
  map.forEach((_oldStart, _oldEnd, start, end) => {
    for (const [from, to] of removed) {
      const range: Range = [Math.max(from, onward.map(start, 1)), Math.min(to, onward.map(end, -1))]
      if (range[0] < range[1]) out.push(range)
    }
  })
  return out
}

/** What ProseMirror's own collaboration module calls, and its types leave out. */
type MirroredMapping = Mapping & { setMirror(from: number, to: number): void }

/** The text that a step brings in, a line a block. */
export function textOf(step: Step): string {
  const slice = (step as Partial<ReplaceStep>).slice
  return slice instanceof Slice
    ? slice.content.textBetween(0, slice.content.size, '\n', n => (n.type.name === 'hard_break' ? '\n' : ''))
    : ''
}
