import type { BlockJson, InlineJson, SectionLabel } from '../book'
import { roman } from '../book'
import type { InteriorStyle } from './style'

/** How the next paragraph of a text stands: whether without its indent, and whether it opens a chapter or follows a break. */
export interface Standing {
  flush: boolean
  begins?: 'chapter' | 'break' | undefined
}

/** What a block leaves to the paragraph after it. */
export function standingAfter(block: BlockJson, s: Standing, { firsts }: InteriorStyle): Standing {
  switch (block.type) {
    case 'paragraph': {
      // A date or signature on the right, a centred line, a salutation: what follows still begins flush.
      const { align } = block.attrs
      return { flush: s.flush && (align === 'right' || align === 'center') }
    }
    case 'heading':
      return { flush: firsts.flush, begins: s.begins ?? 'break' }
    case 'scene_break':
      return { flush: firsts.flush, begins: 'break' }
    case 'image':
    case 'page_break':
      return s
    case 'table':
      return { flush: true }
    default:
      return { flush: false }
  }
}

/** What the style gives the first paragraph of a chapter, or of what follows a break: lines of its initial (0 for none), and what is set in small capitals. */
export function beginningFor(
  begins: Standing['begins'],
  { firsts }: InteriorStyle,
): { initial: number; leadIn: { words: number } | 'line' | undefined } | undefined {
  if (!begins) return undefined
  const full = begins === 'chapter' || firsts.afterBreaks === 'initial and lead-in'
  const leads = full || firsts.afterBreaks === 'lead-in'
  const leadIn =
    !leads || firsts.leadIn === 'nothing'
      ? undefined
      : firsts.leadIn === 'line'
        ? ('line' as const)
        : { words: firsts.leadInWords }
  const initial = full ? firsts.initial : 0
  return initial || leadIn ? { initial, leadIn } : undefined
}

// A letter with its marks, and the quotes that open before it.
const start = /^(\s*)([“‘„«‹"'¿¡(—–]*)(\p{L}\p{M}*)/u

/** Where a paragraph begins with a letter that can be an initial: the quotes before it, the letter, and what the paragraph goes on with. */
export function initialIn(
  content: readonly InlineJson[] | undefined,
): { quotes: string; letter: string; after: string; rest: InlineJson[] } | undefined {
  const first = content?.[0]
  const m = first?.type === 'text' ? start.exec(first.text) : null
  if (!content || first?.type !== 'text' || !m) return undefined
  const after = first.text.slice(m[0].length)
  const text = after.replace(/^[\s\u00a0]+/, '')
  return { quotes: m[2]!, letter: m[3]!, after, rest: [...(text ? [{ ...first, text }] : []), ...content.slice(1)] }
}

/** As much of a text as `most` words at its beginning: not over the end of a sentence or clause, unless that is `exact`. `ended`: nothing more is led in. */
export function leadInOf(text: string, most: number, exact = false): { led: string; words: number; ended: boolean } {
  const words = new RegExp(`^(?:\\s*\\S+){1,${most}}`).exec(text)?.[0] ?? ''
  const stop = /^[^.!?;:—]*[.!?;:—]/.exec(words)?.[0]
  const led = stop && !exact && stop.length < words.length ? stop : words
  return { led, words: words.trim().split(/\s+/).filter(Boolean).length, ended: led !== words }
}

/** A section's number as the style writes it; empty where it has none. */
export function numberIn(label: SectionLabel, { openings }: InteriorStyle): string {
  if (!label.number) return ''
  switch (openings.number) {
    case 'none':
      return ''
    case 'words':
      return label.numberWords ?? ''
    case 'word and figures':
      return label.numberFigures ?? ''
    case 'roman':
      return roman(label.number).toUpperCase()
    case 'figures':
      return String(label.number)
  }
}
