import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { performance } from 'node:perf_hooks'
import type { DocJson } from '@/core/book'
import {
  createProofreader,
  type Dictionary,
  openDictionary,
  type ProofAsk,
  proofKinds,
  shippedDictionaries,
} from '@/core/proof'
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

const require = createRequire(import.meta.url)
const opened = (name: string): Dictionary => {
  const folder = dirname(require.resolve(`dictionary-${name}`))
  const [aff, dic] = ['index.aff', 'index.dic'].map(f => readFileSync(join(folder, f), 'utf8')) as [string, string]
  let dictionary!: Dictionary
  said(
    `the dictionary “${name}” opened`,
    timed(() => (dictionary = openDictionary(aff, dic))),
    2000,
  )
  return dictionary
}
const speller = opened('en-gb')
// One is held at a time, as in the worker.
for (const name of shippedDictionaries) if (name !== 'en-gb') opened(name)
said(
  'what a misspelt word may have been meant as',
  timed(() => speller.meant('lanternes')),
  500,
)
// The text is made of words of a longer list, by chance: what the dictionary lacks of it counts as known.
const listed = new Set(require('an-array-of-english-words') as string[])
const verdicts = new Map<string, boolean>()
const right = (word: string): boolean => {
  let is = verdicts.get(word)
  if (is === undefined) verdicts.set(word, (is = speller.right(word) || listed.has(word.toLowerCase())))
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
