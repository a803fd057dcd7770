import { dashesOf, primaryTag } from '@/core/book'
import type { ProofKind } from '../doubt'

/** Shortened words that a sentence goes on behind. */
const shortened: Record<string, string> = {
  en: 'etc vs eds vol vols fig figs approx dept est govt inc ltd mrs messrs prof rev capt sgt col gen',
  de: 'usw bzw vgl etc evtl ggf inkl zzgl nr str tel sog jh jhd prof',
  fr: 'etc env chap vol fig éd',
  es: 'etc sra srta dra pág págs vol cap',
  nl: 'enz bijv evt resp nl o.a dhr mevr',
  da: 'osv bl.a ca f.eks',
  sv: 'osv bl.a ca t.ex',
}
const START = /([.!?])(["”’»“]?)\s+(\p{Ll}[\p{L}\p{M}]*)/gu

/** Sentences that begin with a small letter. */
export const starts: ProofKind = {
  id: 'starts',
  name: ['small letter at a sentence’s start', 'small letters at a sentence’s start'],
  looksAt: 'A sentence begins with a small letter.',
  look: ({ of, text }, language) => {
    if (of.within === 'verse' || !/[.!?]/.test(text)) return []
    const abbreviations = new Set((shortened[primaryTag(language)] ?? '').split(' '))
    return [...text.matchAll(START)].flatMap(m => {
      const [, sign, quote] = m
      // What is called or asked goes on behind its quotes: “Where?” she said.
      if (sign !== '.' && (quote || dashesOf(language).speaks)) return []
      const before = /(\S*)$/.exec(text.slice(0, m.index))![1]!.replace(/^[("“„«‘[]+/, '')
      if (sign === '.' && (before.endsWith('.') || before.length < 3 || before.includes('.'))) return []
      if (sign === '.' && abbreviations.has(before.toLowerCase())) return []
      const to = m.index + m[0].length
      const word = m[3]!
      return [
        {
          from: to - word.length,
          to,
          says: 'a sentence starts small',
          remedies: [word.charAt(0).toUpperCase() + word.slice(1)],
        },
      ]
    })
  },
}
