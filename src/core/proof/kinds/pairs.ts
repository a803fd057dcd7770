import { quotesOf } from '@/core/book'
import type { PlacedSeen, ProofKind, Seen } from '../doubt'

const brackets: Record<string, string> = { ')': '(', ']': '[', '}': '{' }

/** Quotes and brackets that are opened and not closed, or closed and not opened. Single quotes are not looked at: an apostrophe is drawn as one. */
export const pairs: ProofKind = {
  id: 'pairs',
  name: ['quote or bracket left open', 'quotes and brackets left open'],
  looksAt: 'A double quote or a bracket is opened in a paragraph and not closed, or the other way round.',
  look: ({ of, text }, language) => {
    const [open, close] = quotesOf(language).double
    const out: Seen[] = []
    if (of.kind === 'note') out.push({ from: 0, to: 0, as: 'note' })
    if (text.trimStart().startsWith(open)) out.push({ from: 0, to: 0, as: 'begins' })
    const waiting: { sign: string; at: number }[] = []
    for (let at = 0; at < text.length; at++) {
      const sign = text[at]!
      const opens = brackets[sign] ?? (sign === close && open !== close ? open : undefined)
      if (Object.values(brackets).includes(sign) || (sign === open && open !== close)) waiting.push({ sign, at })
      else if (opens !== undefined) {
        const i = waiting.findLastIndex(w => w.sign === opens)
        // A list's 1) or a) needs no other.
        if (i >= 0) waiting.splice(i, 1)
        else if (!(sign === ')' && /(?:^|\s)[\p{L}\p{N}]{1,3}$/u.test(text.slice(0, at))))
          out.push({ from: at, to: at + 1, says: `${sign} closes nothing`, as: 'closes' })
      }
    }
    for (const { sign, at } of waiting)
      out.push({ from: at, to: at + 1, says: `${sign} is not closed`, as: sign === open ? 'speech' : 'bracket' })
    // Where both marks are drawn alike, their number tells.
    for (const sign of new Set([...(open === close ? [open] : []), '"'])) {
      const all = [...text.matchAll(new RegExp(sign, 'g'))]
      const last = all.at(-1)
      if (all.length % 2 && last && !/\d$/.test(text.slice(0, last.index)))
        out.push({ from: last.index, to: last.index + 1, says: `${sign} stands without another`, as: 'speech' })
    }
    return out
  },
  judge: seen => {
    const out: PlacedSeen[] = []
    seen.forEach((s, i) => {
      if (s.as === 'note' || s.as === 'begins') return
      if (s.as !== 'speech' || !goesOn(seen, i)) out.push(s)
    })
    return out
  },
}

/** Whether the next paragraph opens its quotes, too: what is said goes on there. */
function goesOn(seen: readonly PlacedSeen[], at: number): boolean {
  const { section, line } = seen[at]!
  let next = line + 1
  for (let i = at + 1; i < seen.length && seen[i]!.section === section; i++) {
    const s = seen[i]!
    if (s.line > next) return false
    if (s.line === next && s.as === 'note') next++
    else if (s.line === next && s.as === 'begins') return true
  }
  return false
}
