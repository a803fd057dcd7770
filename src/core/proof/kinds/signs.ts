import { spacesSigns } from '@/core/book'
import type { ProofKind, Seen } from '../doubt'

const BEFORE = / +(?=[,;:!?](?![\p{P}\p{S}\p{L}])|\.(?![.\p{N}])|[)\]])/gu
const BEFORE_SPACED = / +(?=,(?!\p{L})|\.(?![.\p{N}])|[)\]])/gu
const BEFORE_ALONE = / +[,;:!?](?=\p{L})/gu
const BEHIND = /[\p{Ll}\p{M}][,;](?=\p{L})|[\p{Ll}\p{M}][!?](?=\p{L})|\p{Ll}{2}\.(?=\p{Lu}\p{Ll})/gu
const AFTER_BRACKET = /(?<=[([]) +/g

/** Spaces before signs, and signs without the space behind them. */
export const signs: ProofKind = {
  id: 'signs',
  name: ['space that is wrong at a sign', 'spaces that are wrong at signs'],
  looksAt: 'A space stands before a comma or a full stop, or is missing behind one.',
  look: ({ text }, language) => {
    const out: Seen[] = []
    const seen = (pattern: RegExp, says: string, remedy: (found: string) => string): void => {
      for (const m of text.matchAll(pattern))
        out.push({ from: m.index, to: m.index + m[0].length, says, remedies: [remedy(m[0])] })
    }
    // Some languages part some signs from their words: those are looked after as typed signs.
    seen(spacesSigns(language) ? BEFORE_SPACED : BEFORE, 'a space before a sign', () => '')
    seen(BEFORE_ALONE, 'a space before a sign, not behind it', found => `${found.trim()} `)
    seen(AFTER_BRACKET, 'a space behind a bracket', () => '')
    seen(BEHIND, 'no space behind a sign', found => `${found} `)
    return out
  },
}
