import { primaryTag } from './printedWords'
import { quotesOf } from './quotes'
import { type Turned, units } from './turned'

/** Ways of quoting that no book in some languages has; each finds whole quotations, and one that goes on in the next paragraph. */
const ways = {
  /** “so”, as in English. The first mark closes in others: it opens where a word begins. */
  high: /(?<![^\s([—–\u2060-])“(?=\S)[^“”„]*(?:”|$)/g,
  /** „so“ and „so”, as in German and Polish. */
  low: /„(?=\S)[^„“”]*(?:[“”]|$)/g,
  /** «so», as in French. */
  angled: /«[^«»]*(?:»|$)/g,
}

/** By language: what is neither its habit nor one that its publishers also have. */
const foreign: Record<string, (keyof typeof ways)[]> = {
  en: ['low', 'angled'],
  de: ['high'],
  pl: ['high'],
  cs: ['high'],
  da: ['high'],
  nb: ['high'],
  sv: ['high'],
  fi: ['high'],
  ru: ['high'],
  fr: ['low'],
  es: ['low'],
  it: ['low'],
  pt: ['low'],
}

const MARKS = /[“„«]/

const found = (text: string, language: string): { from: number; to: number }[] =>
  MARKS.test(text)
    ? (foreign[primaryTag(language)] ?? []).flatMap(way =>
        [...text.matchAll(ways[way])].map(m => ({ from: m.index, to: m.index + m[0].length })),
      )
    : []

/** Where quotations begin that are set as another language has them: UTF-16 offsets. */
export const foreignQuotePlaces = (text: string, language: string): number[] =>
  found(text, language)
    .map(q => q.from)
    .sort((a, b) => a - b)

/** A text with its quotations of another language's habit as its own has them, those inside them as well. Nothing is guessed: printed marks say whether they open. */
export function turnForeignQuotes(text: string, language: string): Turned {
  const { double, single, apart = '' } = quotesOf(language)
  const becomes = units(text)
  for (const { from, to } of found(text, language)) {
    let inner = false
    for (let i = from + 1; i < to; i++) {
      const c = text[i]!
      if (c === '‘' || c === '‚' || c === '‹') {
        becomes[i] = single[0]
        inner = true
        // An apostrophe looks as a closing mark does; before a letter it is one.
      } else if (inner && (c === '›' || (c === '’' && !/^\p{L}/u.test(text.slice(i + 1, i + 3))))) {
        becomes[i] = single[1]
        inner = false
      } else if (isThin(c) && (i === from + 1 || i === to - 2)) becomes[i] = ''
    }
    becomes[from] = double[0] + apart
    if (closes(text[to - 1]!)) becomes[to - 1] = apart + double[1]
  }
  return { becomes, doubtful: [] }
}

const closes = (c: string): boolean => c === '“' || c === '”' || c === '»'
const isThin = (c: string): boolean => c === '\u00a0' || c === '\u202f'
