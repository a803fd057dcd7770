import { fontSource } from '../src/cli/ports'
import { longText } from './lib/longText'
import { FontShelf } from '@/core/type'
import { Setter, harbourRoman, evenness } from '@/core/pages'
import { createBook, type Section, type ParagraphJson } from '@/core/book'

const words = Number(process.argv[2] ?? 100000)
const chapters = longText(words, Math.round(words / 2350))
let n = 0
const sections: Section[] = chapters.map((paras, i) => ({ id: `s${i + 1}`, part: 'body', role: 'chapter', title: 'Title ' + i, numbered: true, made: false, doc: { type: 'doc', content: paras.map((t): ParagraphJson => ({ type: 'paragraph', attrs: { id: `b${++n}` }, content: [{ type: 'text', text: t }] })) } }))
const book = createBook('x', { title: 'A Book', contributors: [{ name: 'Orla Fenwright', role: 'aut' }], language: 'en-GB', imprint: { name: 'Saltgrass Lane Press' }, subjects: [] }, sections)
const distinct = new Set(chapters.flat().join(' ').split(/\s+/)).size
const t0 = performance.now()
const setter = new Setter(new FontShelf(fontSource))
const style = { ...harbourRoman, margins: { ...harbourRoman.margins, inside: 0.73 * 72, outside: 0.62 * 72 } }
const r = await setter.set(book, style, { width: 432, height: 648, inside: 0 })
const t1 = performance.now()
console.log({ ms: t1 - t0, distinct, pages: r.pages.length, measure: r.block.width / 72, ...evenness(r.stats), lines: r.stats.lines, hyph: r.stats.hyphens, unmet: r.stats.unmet, over: r.stats.over, mem: process.memoryUsage().rss / 1e6 })
const t2 = performance.now()
await new Setter(new FontShelf(fontSource)).set(book, style, { width: 432, height: 648, inside: 0 })
console.log('again', performance.now() - t2)
export { r }
import { writePdf, loadSubsetter } from '@/core/pdf'
import { readFileSync, writeFileSync } from 'node:fs'
{
  const t = performance.now()
  const sub = await loadSubsetter(readFileSync('node_modules/harfbuzzjs/dist/harfbuzz-subset.wasm'))
  const chunks = await writePdf(r.pages, { title: 'A', language: 'en-GB', date: '2026-01-01T00:00:00Z', grey: true, outline: [...r.starts].map(([id, page]) => ({ title: id, page })) }, sub, { bytes: async () => undefined, decode: async () => { throw 0 } })
  const bytes = Buffer.concat(chunks)
  console.log('pdf ms', performance.now() - t, bytes.length)
  writeFileSync('/tmp/try.pdf', bytes)
}
