import { performance } from 'node:perf_hooks'
import { type DocJson, finderOf, hitsIn, replacedIn, type Search } from '@/core/book'
import { longText } from './lib/longText'

/** Looks for words in 100,000 of them as they are typed; prints what each took as lines of JSON. A sixth of the paragraphs has accents. */
const docs = longText(100_000, 42).map((paras, n): DocJson => ({
  type: 'doc',
  content: paras.map((text, i) => ({
    type: 'paragraph',
    attrs: { id: `p${n}-${i}`, align: null },
    content: [{ type: 'text', text: i % 6 ? text : `${text} The café’s émigrés went home.` }],
  })),
}))
const said = (says: string, ms: number, budgetMs: number): void =>
  void process.stdout.write(JSON.stringify({ says, ms, budgetMs }) + '\n')
const middle = (of: number[]): number => [...of].sort((a, b) => a - b)[of.length >> 1]!
const timed = (work: () => unknown): number => {
  const start = performance.now()
  work()
  return performance.now() - start
}
const find = (search: Search) => {
  const made = finderOf(search)
  if (!made || 'trouble' in made) throw new Error('nothing to look for')
  return made.find
}
const look = (search: Search): number => timed(() => docs.map(doc => hitsIn(doc, find(search)).length))

said('100,000 words searched for the first time', look({ words: 'h' }), 300)
const typed = ['ha', 'har', 'harb', 'harbo', 'harbou', 'harbour']
said('… as one types on, a key', middle(typed.map(words => look({ words }))), 100)
said('… whole words', middle(typed.map(words => look({ words, whole: true }))), 100)
said('… by a pattern', middle(typed.map(words => look({ words: `\\b${words}\\w*`, pattern: true }))), 100)
said(
  '… and every “the” replaced',
  timed(() => docs.map(doc => replacedIn(doc, find({ words: 'the', whole: true }), { replacement: 'that' }))),
  1000,
)
