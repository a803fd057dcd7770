import { fontSource, nodePorts } from '@/cli/ports'
import { RunPress } from '@/core/activity'
import { createBook, type DocJson, type Edition, newSection, type Section } from '@/core/book'
import { ebookChain, ebookInputs, type Graph, printChain, printInputs, type Tools } from '@/core/chain'
import { shippedProfiles } from '@/core/outlets'
import { Setter } from '@/core/pages'
import { FontShelf } from '@/core/type'
import { longText } from './lib/longText'

/**
 * What a comma moves: a book of N words is worked out whole, print and ebook; a comma is set into its middle, all is asked for again.
 * Prints, as JSON, the nodes that were computed anew with what each took (what it waits for included), and those that were not.
 */
const words = Number(process.argv[2] ?? 100_000)
const chapters = longText(words, Math.round(words / 2350))
const data = { title: 'Long', contributors: [], language: 'en-GB', imprint: { name: 'B' }, subjects: [] }
const begun = createBook('long', data)
const sections: Section[] = []
for (const paras of chapters) {
  const book = { ...begun, sections: [...begun.sections, ...sections] }
  const content = paras.map((text, i) => ({
    type: 'paragraph',
    attrs: { id: `x${sections.length}p${i}`, align: null },
    content: [{ type: 'text', text }],
  }))
  sections.push({ ...newSection(book, 'chapter'), id: `c${sections.length}`, doc: { type: 'doc', content } as DocJson })
}
const edition: Edition = {
  id: 'paperback',
  kind: 'paperback',
  outlets: [],
  style: 'harbour-roman',
  trim: '6x9in',
  paper: 'cream',
  ink: 'black',
  prices: { USD: 1399 },
}
const ebookEdition: Edition = { id: 'ebook', kind: 'ebook', outlets: [], style: 'harbour-roman', prices: { USD: 499 } }
const book = { ...begun, sections: [...begun.sections, ...sections], editions: [edition, ebookEdition] }
const profile = shippedProfiles.find(p => p.print && p.royalty.ebook)!
const source = { book, text: book, profile, date: '2026-01-01T00:00:00Z' }
const shelf = new FontShelf(fontSource)
const tools: Tools = { setter: new Setter(shelf), runs: new RunPress(shelf), shelf, ports: nodePorts(new Map()) }
const print = printChain(printInputs({ ...source, edition }, []), tools)
const beside = () => print
const ebook = ebookChain(ebookInputs({ ...source, edition: ebookEdition }, profile), beside, tools)

const half = sections.length >> 1
const withComma = {
  ...book,
  sections: book.sections.map(s =>
    s.id === `c${half}` ? (JSON.parse(JSON.stringify(s).replace(/(\w{4}) (\w{4})/, '$1, $2')) as Section) : s,
  ),
}
const nodes = <V extends object>(
  chain: string,
  graph: Graph<V>,
): { name: string; get(): Promise<unknown>; runs(): number }[] =>
  graph.derived.map(n => ({ name: `${chain} ${String(n)}`, get: () => graph.get(n), runs: () => graph.runs(n) }))
const all = [...nodes('print', print), ...nodes('ebook', ebook)]
for (const n of all) await n.get()
const before = all.map(n => n.runs())
print.set('text', withComma)
ebook.set('text', withComma)
const anew: string[] = []
const still: string[] = []
const start = performance.now()
for (const [i, n] of all.entries()) {
  const asked = performance.now()
  await n.get()
  const took = performance.now() - asked
  if (n.runs() > before[i]!) anew.push(`${n.name} ${took.toFixed(0)} ms`)
  else still.push(n.name)
}
process.stdout.write(JSON.stringify({ ms: performance.now() - start, anew, still }))
