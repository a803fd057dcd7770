import { inlineText } from '../book'
import { typedFolios } from './dirt'
import type { Proposal } from './headings'
import { type RawBlock, textOfBlock } from './raw'

/** What of the proposals is the folio of a page rather than the number of a chapter. */
export function withoutFolios(blocks: readonly RawBlock[], weighed: readonly Proposal[]): Proposal[] {
  if (!weighed.some(p => p.bare)) return [...weighed]
  const folios = typedFolios(
    blocks.map(b => {
      const text = b.type === 'para' && b.level === undefined ? inlineText(b.content) : ''
      return { text, words: (text || textOfBlock(b)).split(/\s+/).length }
    }),
  )
  return weighed.filter(p => !folios.has(p.index))
}

/** Letters of the longest entry of a contents list. */
const LONGEST_ENTRY = 110

/** What of the proposals is no entry of a typed contents list: behind its heading, lines that end with a page or say what a heading says later. */
export function withoutEntries(blocks: readonly RawBlock[], weighed: readonly Proposal[]): Proposal[] {
  const heading = weighed.find(p => p.role === 'contents')
  if (!heading) return [...weighed]
  const byIndex = new Map(weighed.map(p => [p.index, p]))
  const last = new Map(weighed.map(p => [saidAt(blocks, p.index), p.index]))
  const entries = new Set<number>()
  for (let i = heading.index + 1; i < blocks.length; i++) {
    const b = blocks[i]!
    const words = textOfBlock(b).trim()
    if (b.type !== 'para' || words.length > LONGEST_ENTRY) break
    const page = /[.\s…]\d{1,4}$/.test(words) && !byIndex.get(i)?.bare
    if (!page && (last.get(saidAt(blocks, i)) ?? -1) <= i) break
    entries.add(i)
  }
  return weighed.filter(p => !entries.has(p.index))
}

const saidAt = (blocks: readonly RawBlock[], i: number): string =>
  textOfBlock(blocks[i]!).toLowerCase().replace(/\s+/g, ' ').trim()
