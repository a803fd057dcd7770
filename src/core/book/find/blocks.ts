import type { BlockJson, DocJson } from '../doc'
import type { Finder } from './finder'
import { type Chosen, hitsIn } from './replace'

/** What paragraphs in which something was found can become. */
export type BecomesBlock = 'heading' | 'scene break' | 'verse'

/** The document with the paragraphs in which something was found made headings, breaks or verse. A break is made only of a paragraph that is nothing else: no word is lost. */
export function blocksMadeIn(
  doc: DocJson,
  find: Finder,
  { as, chosen }: { as: BecomesBlock; chosen?: Chosen },
): { doc: DocJson; count: number } {
  const hits = hitsIn(doc, find).filter(h => h.in.kind === 'text' && (chosen?.(h.line, h) ?? true))
  const wanted = new Map<string, boolean>()
  for (const h of hits)
    wanted.set(
      h.in.block,
      (wanted.get(h.in.block) ?? false) || !(h.in.text.slice(0, h.from) + h.in.text.slice(h.to)).trim(),
    )
  let count = 0
  const made: BlockJson[] = []
  for (const block of doc.content) {
    const alone = wanted.get(block.attrs.id)
    if (block.type !== 'paragraph' || alone === undefined || (as === 'scene break' && !alone)) {
      made.push(block)
      continue
    }
    count++
    const { id } = block.attrs
    if (as === 'heading') made.push({ type: 'heading', attrs: { id, level: 2 }, ...contentOf(block) })
    else if (as === 'scene break') made.push({ type: 'scene_break', attrs: { id } })
    else
      made.push({
        type: 'verse',
        attrs: { id },
        content: [{ type: 'line', attrs: { indent: 0, stanza: false }, ...contentOf(block) }],
      })
  }
  return count ? { doc: { ...doc, content: made }, count } : { doc, count }
}

const contentOf = ({ content }: Extract<BlockJson, { type: 'paragraph' }>) => (content ? { content } : {})
