import { diffArrays } from 'diff'
import { type BlockJson, type DocJson, docText } from '@/core/book'
import { type Part, wordsBetween } from './words'

/** What became of a block. `set otherwise`: its words are the same, its formatting is not. */
export type BlockFate = 'same' | 'words' | 'set otherwise' | 'new' | 'gone'

/** A block in one of two documents, or in both. */
export interface BlockChange {
  id: string
  fate: BlockFate
  /** It stands elsewhere among those that stayed, or came from another section. */
  moved?: boolean
  before?: BlockJson
  after?: BlockJson
  /** What it says, word by word. */
  parts: readonly Part[]
}

const textOf = (block: BlockJson): string => docText({ type: 'doc', content: [block] })

/**
 * Blocks of two states of a document in the order of the later one, those that have gone where they stood. Blocks are the same
 * where they bear the same id; those whose ids are in one of both only, where they say the same.
 */
export function blocksBetween(before: DocJson, after: DocJson): BlockChange[] {
  const names = sameNames(before.content, after.content)
  const old = new Map(before.content.map(b => [b.attrs.id, b]))
  const fresh = new Map(after.content.map(b => [names.get(b.attrs.id) ?? b.attrs.id, b]))
  const order = diffArrays([...old.keys()], [...fresh.keys()])
  const out: BlockChange[] = []
  for (const run of order)
    for (const id of run.value) {
      if (run.removed && fresh.has(id)) continue // It stands elsewhere, and is told there.
      const [was, is] = [old.get(id), fresh.get(id)]
      out.push({ ...changeOf(was, is), ...(run.added && was && is ? { moved: true } : {}) })
    }
  return out
}

/** What became of a block that stands in one of two documents, or in both. */
export function changeOf(before: BlockJson | undefined, after: BlockJson | undefined): BlockChange {
  const [was, is] = [before && textOf(before), after && textOf(after)]
  const fate: BlockFate = !before
    ? 'new'
    : !after
      ? 'gone'
      : was !== is
        ? 'words'
        : bare(before) === bare(after)
          ? 'same'
          : 'set otherwise'
  return {
    id: (after ?? before)!.attrs.id,
    fate,
    ...(before && { before }),
    ...(after && { after }),
    parts:
      before && after
        ? wordsBetween(was!, is!)
        : [{ is: before ? 'gone' : 'new', text: (was ?? is)! } as Part].filter(p => p.text),
  }
}

/** A block without its ids: two that differ in nothing else are the same. */
const bare = (block: BlockJson): string =>
  JSON.stringify(block, (key, value: unknown) => (key === 'id' ? undefined : value))

/** Which block of the later document is which of the earlier, where its id is new and it says what an old one said that has gone. */
function sameNames(before: readonly BlockJson[], after: readonly BlockJson[]): Map<string, string> {
  const [old, fresh] = [new Set(before.map(b => b.attrs.id)), new Set(after.map(b => b.attrs.id))]
  const waiting = new Map<string, string[]>()
  for (const b of before)
    if (!fresh.has(b.attrs.id)) waiting.set(bare(b), [...(waiting.get(bare(b)) ?? []), b.attrs.id])
  const names = new Map<string, string>()
  for (const b of after) {
    const was = old.has(b.attrs.id) ? undefined : waiting.get(bare(b))?.shift()
    if (was !== undefined) names.set(b.attrs.id, was)
  }
  return names
}
