import { performance } from 'node:perf_hooks'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { type Book, createBook, type DocJson, type Section } from '@/core/book'
import { copyOf } from '@/core/copies'
import { against, readReturnedDocx, reviewOf, taken } from '@/core/review'
import { longText } from './lib/longText'

/** 200,000 words given out as a word-processor file and taken in again with a word changed in every third paragraph; prints what each step took as lines of JSON. */
const docOf = (paras: readonly string[], n: number): DocJson => ({
  type: 'doc',
  content: paras.map((text, i) => ({
    type: 'paragraph',
    attrs: { id: `b${n * 1000 + i + 1}`, align: null },
    content: [{ type: 'text', text }],
  })),
})
const sections = longText(200_000, 60).map((paras, n): Section => ({
  ...{ id: `s${900_000 + n}`, part: 'body', role: 'chapter', title: `Chapter ${n}`, numbered: true, made: false },
  doc: docOf(paras, n),
}))
const shell = createBook('long', {
  ...{ title: 'Long', contributors: [{ name: 'Orla Fenwright', role: 'aut' }], language: 'en-GB' },
  ...{ imprint: { name: '' }, subjects: [] },
})
const book: Book = { ...shell, sections, lastId: 990_000 }
const said = (says: string, ms: number, budgetMs: number): void =>
  void process.stdout.write(JSON.stringify({ says, ms, budgetMs }) + '\n')
const timed = async <T>(work: () => T | Promise<T>): Promise<[T, number]> => {
  const start = performance.now()
  const made = await work()
  return [made, performance.now() - start]
}

const at = Date.UTC(2026, 10, 29)
const [file, out] = await timed(() => copyOf(book, 'docx', { pictures: new Map(), round: { id: 'r1', at } }))
said('200,000 words given out as .docx', out, 6000)
const parts = unzipSync(file.bytes)
let nth = 0
const changed = strFromU8(parts['word/document.xml']!).replace(
  /(preserve">[^<]*? )(\w{4,})( [^<]*<)/g,
  (all, a: string, b: string, c: string) => (++nth % 3 ? all : `${a}${b}ly${c}`),
)
const bytes = zipSync({ ...parts, 'word/document.xml': strToU8(changed) })
const [back, read] = await timed(() => readReturnedDocx(bytes, { sent: book, at, lastId: book.lastId }))
said('… read when it comes back', read, 5000)
const [review, worked] = await timed(() =>
  reviewOf({ sent: book, back: { ...book, sections: back.sections }, told: back.told, by: 'Ada', when: at }),
)
said('… what was changed, worked out', worked, 2000)
const none = new Set<string>()
const [{ differences }, first] = await timed(() => against(review, book, none))
said(`… ${differences.length.toLocaleString('en')} changes held against the book`, first, 2000)
const keys: number[] = []
let now = book
for (let i = 1; i <= 11; i++) {
  const typed = {
    ...sections[20]!,
    doc: {
      ...sections[20]!.doc,
      content: sections[20]!.doc.content.map((b, n) => (n === 3 ? docOf([`${'a'.repeat(i)} key`], 20).content[0]! : b)),
    },
  }
  now = { ...book, sections: book.sections.map((s, n) => (n === 20 ? typed : s)) }
  keys.push((await timed(() => against(review, now, none)))[1])
}
said('… and again after a key', keys.sort((a, b) => a - b)[5]!, 50)
const all = new Set(differences.map(d => d.key))
const [, take] = await timed(() => taken(review, book, all))
said('… all of them taken at once', take, 2000)
