import { describe, expect, test } from '@jest/globals'
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { basename, join } from 'node:path'
import { bookText } from '@/core/book'
import { readManuscript, type Understood } from '@/core/intake'
import { Fault } from '@/core/trade'
import { lacking, pandocKinds, pandocWords, wordsOf } from './support/pandoc'

/** Test documents of others, as `scripts/lib/sources.mjs` fetched them for the deep run. */
const sources = join(process.cwd(), '.cache/sources')
const run = process.env.DEEP && existsSync(sources) ? describe : describe.skip

function* filesIn(folder: string): Generator<string> {
  for (const e of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, e.name)
    if (e.isDirectory()) yield* filesIn(path)
    else if (e.isFile() && pandocKinds[e.name.split('.').at(-1)!]) yield path
  }
}

/** Pages that a program wrote about a program, three hundred of one pattern: a few of them will do. */
const MOST_PAGES = 40

/** All words of a book as it was understood: those of its data, too. */
function wordsRead({ book }: Understood): string[] {
  const { title, subtitle, contributors } = book.data
  const heads = book.sections.flatMap(s => [s.title, s.subtitle])
  return wordsOf([bookText(book), ...heads, title, subtitle, ...contributors.map(c => c.name)].join('\n'))
}

const told = ({ dropped, cleaned }: Understood): number =>
  [...dropped, ...cleaned].reduce((n, d) => n + (d.letters ?? 0), 0)

run('documents that nobody here made', () => {
  const files = existsSync(sources) ? [...filesIn(sources)] : []
  const isPage = (f: string): boolean => /html?$/.test(f)
  const office = files.filter(f => isPage(f) && f.includes('/office/'))
  const pages = [...office, ...files.filter(f => isPage(f) && !f.includes('/office/')).slice(0, MOST_PAGES)]
  const chosen = [...files.filter(f => !isPage(f)), ...pages]
  test('there are sixty at the least', () => {
    expect(chosen.length).toBeGreaterThanOrEqual(60)
  })
  test.each(chosen.map(f => [f.slice(sources.length + 1), f]))(
    '%s: every word is there, or its loss is told',
    (_n, path) => {
      const ending = path.split('.').at(-1)!
      let read: Understood
      try {
        read = readManuscript(basename(path), new Uint8Array(readFileSync(path)))
      } catch (e) {
        // What cannot be read is said in a plain sentence.
        expect(e).toBeInstanceOf(Fault)
        return
      }
      const theirs = pandocWords(path, pandocKinds[ending]!)
      if (!theirs) return
      const missing = lacking(theirs, wordsRead(read))
      if (missing.join('').length > told(read)) expect({ missing, dropped: read.dropped }).toEqual('told')
    },
  )
})
