import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { performance } from 'node:perf_hooks'
import nspell from 'nspell'
import type { DocJson } from '@/core/book'
import { createProofreader, type ProofAsk, proofKinds } from '@/core/proof'
import { longText } from './lib/longText'

/** Reads 100,000 words for doubts of every kind, and again after a key; prints what each took as lines of JSON. */
const docOf = (paras: readonly string[], n: number): DocJson => ({
  type: 'doc',
  content: paras.map((text, i) => ({
    type: 'paragraph',
    attrs: { id: `p${n}-${i}`, align: null },
    content: [{ type: 'text', text }],
  })),
})
// Of each 200 words one is misspelt.
let nth = 0
const text = longText(100_000, 42).map(paras => paras.map(p => p.replace(/\w{5,}/g, w => (++nth % 70 ? w : `${w}qx`))))
const sections = text.map((paras, n) => ({ id: `s${n}`, doc: docOf(paras, n) }))
const said = (says: string, ms: number, budgetMs: number): void =>
  void process.stdout.write(JSON.stringify({ says, ms, budgetMs }) + '\n')
const middle = (of: number[]): number => [...of].sort((a, b) => a - b)[of.length >> 1]!
const timed = (work: () => unknown): number => {
  const start = performance.now()
  work()
  return performance.now() - start
}

const folder = dirname(createRequire(import.meta.url).resolve('dictionary-en-gb'))
const file = (name: string): Buffer => readFileSync(join(folder, name))
let speller!: ReturnType<typeof nspell>
said(
  'the English dictionary read',
  timed(() => (speller = nspell(file('index.aff'), file('index.dic')))),
  1500,
)
// The text is made of words of a longer list, by chance: what the dictionary lacks of it counts as known.
const listed = new Set(createRequire(import.meta.url)('an-array-of-english-words') as string[])
const verdicts = new Map<string, boolean>()
const right = (word: string): boolean => {
  let is = verdicts.get(word)
  if (is === undefined) verdicts.set(word, (is = speller.correct(word) || listed.has(word.toLowerCase())))
  return is
}
const ask: ProofAsk = { language: 'en-GB', kinds: proofKinds.map(k => k.id), words: [], left: [] }
const reader = createProofreader()
said(
  '100,000 words read for every kind of doubt',
  timed(() => {
    reader.take(sections)
    reader.doubts(ask, { right })
  }),
  2000,
)
const keys = 'A key typed'.split('').map((_, i) =>
  timed(() => {
    const typed = text[20]!.map((p, n) => (n === 3 ? `${p} ${'A key typed'.slice(0, i + 1)}` : p))
    reader.take(sections.map((s, n) => (n === 20 ? { ...s, doc: docOf(typed, n) } : s)))
    reader.doubts(ask, { right })
  }),
)
said('… and again after a key', middle(keys), 50)
