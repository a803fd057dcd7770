import { diffArrays } from 'diff'

/** A stretch of text that stands in both, that went, or that came. */
export interface Part {
  is: 'same' | 'gone' | 'new'
  text: string
}

const TOKEN = /[\p{L}\p{M}\p{N}]+(?:['’-][\p{L}\p{M}\p{N}]+)*|\s+|[^\p{L}\p{M}\p{N}\s]/gu

/** A text as words, spaces and signs. */
export const tokensOf = (text: string): string[] => text.match(TOKEN) ?? []

/** Words that are left alone between two that changed say nothing: where less of a text stays, all of it is another. */
const LEAST_KEPT = 0.2

/** What differs between two texts, word by word (Myers' algorithm): read without what is new it is the first, without what has gone the second. */
export function wordsBetween(before: string, after: string): Part[] {
  if (before === after) return before ? [{ is: 'same', text: before }] : []
  const parts = diffArrays(tokensOf(before), tokensOf(after)).map((c): Part => ({
    is: c.added ? 'new' : c.removed ? 'gone' : 'same',
    text: c.value.join(''),
  }))
  const kept = parts.filter(p => p.is === 'same').reduce((n, p) => n + p.text.replace(/\s/g, '').length, 0)
  const whole = kept < LEAST_KEPT * Math.max(seen(before), seen(after))
  if (!whole) return tidy(parts)
  return [
    ...(before ? [{ is: 'gone' as const, text: before }] : []),
    ...(after ? [{ is: 'new' as const, text: after }] : []),
  ]
}

const seen = (text: string): number => text.replace(/\s/g, '').length

/** A space between two words that both changed changes with them: it reads better so. */
function tidy(parts: readonly Part[]): Part[] {
  const out: Part[] = []
  let [gone, fresh] = ['', '']
  const flush = (): void => {
    if (gone) out.push({ is: 'gone', text: gone })
    if (fresh) out.push({ is: 'new', text: fresh })
    gone = fresh = ''
  }
  parts.forEach((p, i) => {
    if (p.is === 'gone') gone += p.text
    else if (p.is === 'new') fresh += p.text
    else if (/^\s+$/.test(p.text) && gone && fresh && parts[i + 1] && parts[i + 1]!.is !== 'same') {
      gone += p.text
      fresh += p.text
    } else {
      flush()
      out.push(p)
    }
  })
  flush()
  return out
}
