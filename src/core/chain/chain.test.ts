import { RunPress } from '../activity'
import { describe, expect, test } from '@jest/globals'
import { longText } from '../../../scripts/lib/longText'
import { nodePorts } from '@/cli/ports'
import { bookOf, paragraph, shelf } from '../../../tests/support/core'
import { strFromU8, unzipSync } from 'fflate'
import { readFileSync } from 'node:fs'
import { imageSize } from 'image-size'
import { type Book, type Edition, hashOf, type ImageJson } from '../book'
import { lampOverTide } from '../cover'
import { profileOf, shippedProfiles } from '../outlets'
import { harbourRoman, Setter, withChanges } from '../pages'
import { Cancelled } from '../trade'
import {
  createGraph,
  ebookChain,
  ebookInputs,
  printChain,
  type PrintChain,
  printInputs,
  type PrintInputs,
  type Tools,
  weightsOf,
} from '.'

describe('the graph', () => {
  test('computes once, again only for what changed, and keeps equal values', async () => {
    const g = createGraph<{ a: number; b: number; sum: number; parity: number; text: string }>(
      { a: 1, b: 2 },
      {
        sum: async get => (await get('a')) + (await get('b')),
        parity: async get => (await get('sum')) % 2,
        text: async get => `parity ${await get('parity')}`,
      },
    )
    expect(await g.get('text')).toBe('parity 1')
    await Promise.all([g.get('text'), g.get('sum'), g.get('text')])
    expect([g.runs('sum'), g.runs('parity'), g.runs('text')]).toEqual([1, 1, 1])
    g.set('a', 3)
    expect(await g.get('text')).toBe('parity 1')
    expect([g.runs('sum'), g.runs('parity'), g.runs('text')]).toEqual([2, 2, 1])
  })
  test('an answer is of the inputs that there are when it is asked for; work on older ones is told to stop', async () => {
    let go: () => void = () => undefined
    const stopped: number[] = []
    const g = createGraph<{ a: number; b: number; slow: number }>(
      { a: 1, b: 1 },
      {
        slow: async (get, wanted) => {
          const a = await get('a')
          await new Promise<void>(r => (go = r))
          if (!wanted()) stopped.push(a)
          return a * 10
        },
      },
    )
    const old = g.get('slow')
    await Promise.resolve()
    await Promise.resolve()
    const first = go
    // What it did not read does not concern it.
    g.set('b', 2)
    g.set('a', 2)
    const fresh = g.get('slow')
    await new Promise(r => setTimeout(r, 0))
    first()
    go()
    expect([await old, await fresh, stopped]).toEqual([10, 20, [1]])
    const again = g.get('slow')
    await new Promise(r => setTimeout(r, 0))
    go()
    expect(await again).toBe(20)
  })
  test('whoever waits for work that stops because of a newer input gets the newer value; other ends stay ends', async () => {
    let tick: () => void = () => undefined
    const g = createGraph<{ a: number; slow: number }>(
      { a: 1 },
      {
        slow: async (get, wanted) => {
          const a = await get('a')
          if (a === 9) throw new Cancelled()
          await new Promise<void>(r => (tick = r))
          if (!wanted()) throw new Cancelled()
          return a * 10
        },
      },
    )
    const old = g.get('slow')
    await new Promise(r => setTimeout(r, 0))
    g.set('a', 2)
    tick()
    await new Promise(r => setTimeout(r, 0))
    tick()
    expect([await old, g.runs('slow')]).toEqual([20, 2])
    g.set('a', 9)
    await expect(g.get('slow')).rejects.toBeInstanceOf(Cancelled)
  })
  test('an input that is asked for and not given is an error', async () => {
    await expect(createGraph<{ a: number }>({}, {}).get('a')).rejects.toThrow(/nothing gives a/)
  })
})

describe('consequences of one change', () => {
  const text = longText(24000, 6)
  const edition: Edition = {
    id: 'p',
    kind: 'paperback',
    outlets: ['ostrevane'],
    style: 'harbour-roman',
    trim: '6x9in',
    paper: 'cream',
    ink: 'black',
    isbn: '9780000000002',
    prices: { USD: 1399 },
  }
  const source = {
    book: bookOf(text),
    edition,
    profile: profileOf('ostrevane', shippedProfiles),
    date: '2026-05-31T00:00:00Z',
  }
  const inputs = (): PrintInputs => printInputs({ ...source, text: source.book }, [])
  const tools = (): Tools => ({
    setter: new Setter(shelf),
    runs: new RunPress(shelf),
    shelf,
    ports: nodePorts(new Map()),
  })
  const names = ['interior', 'pages', 'spine', 'flat', 'wrap', 'cover', 'money', 'findings'] as const
  const all = async (c: ReturnType<typeof printChain>): Promise<Pick<PrintChain, (typeof names)[number]>> =>
    Object.fromEntries(await Promise.all(names.map(async n => [n, await c.get(n)]))) as never
  const moved = (c: ReturnType<typeof printChain>, before: number[]) => names.filter((n, i) => c.runs(n) > before[i]!)

  test('the interior has the very pages that are counted and paid for: filled up to what the printer folds', async () => {
    const boards = profileOf('tarnbrook', shippedProfiles).print!.bindings.find(b => b.kind === 'case')!
    const bound: Edition = {
      ...edition,
      kind: 'case',
      trim: boards.trims[0]!,
      paper: 'white',
      outlets: ['tarnbrook'],
    }
    for (const chapters of [1, 2, 3]) {
      const book = bookOf(text.slice(0, chapters))
      const profile = profileOf('tarnbrook', shippedProfiles)
      const given = printInputs({ ...source, book, edition: bound, profile, text: book }, [])
      const c = printChain(given, tools())
      const { length } = (await c.get('interior')).pages
      expect(length % boards.pageMultiple).toBe(0)
      expect(await c.get('pages')).toBe(length)
    }
  })
  test('an input moves only what depends on it', async () => {
    const start = inputs()
    const c = printChain(start, tools())
    const first = await all(c)
    expect(first.pages).toBe(first.interior.pages.length)
    expect(first.spine / 72).toBeCloseTo(first.pages * 0.00254, 6)
    const counts = () => names.map(n => c.runs(n))
    expect(counts()).toEqual(names.map(() => 1))

    let before = counts()
    c.set('price', 1499)
    const priced = await all(c)
    expect(moved(c, before)).toEqual(['money', 'findings'])
    expect(priced.interior).toBe(first.interior)
    expect(priced.money.earnings[0]!.royalty - first.money.earnings[0]!.royalty).toBe(57)

    before = counts()
    c.set('spec', { ...start.spec, paper: 'white' })
    const white = await all(c)
    // The page setting is asked again since it reads the specification, and gives equal pages.
    expect(white.pages).toBe(first.pages)
    expect(white.spine / 72).toBeCloseTo(first.pages * 0.00231, 6)
    expect(moved(c, before)).toContain('cover')

    before = counts()
    c.set('design', { ...lampOverTide, id: 'other' })
    await all(c)
    expect(moved(c, before)).toEqual(['cover', 'findings'])
  })

  test('a book that changes while it is set is set as it has become, from the sections that are done', async () => {
    const start = inputs()
    let ticks = 0
    const c: ReturnType<typeof printChain> = printChain(start, {
      ...tools(),
      ticker: () => {
        if (++ticks === 3) c.set('style', withChanges(harbourRoman, { 'text.size': 12 }))
      },
    })
    const set = await c.get('interior')
    expect(set.style.text.size).toBe(12)
    // The first setting went no further than the third section.
    expect(c.runs('interior')).toBe(2)
    expect(await c.get('interior')).toBe(set)
  })

  test('a longer chapter moves pages, spine, wrap, cover, cost; a comma moves no figure', async () => {
    const start = inputs()
    const c = printChain(start, tools())
    const first = await all(c)
    const change = (id: string, more: string[]) => ({
      ...start.text,
      sections: start.text.sections.map(s =>
        s.id === id
          ? { ...s, doc: { ...s.doc, content: [...s.doc.content, ...more.map((t, i) => paragraph(`x${i}`, t))] } }
          : s,
      ),
    })
    c.set('text', change('s2', longText(2500, 1, 11)[0]!))
    const longer = await all(c)
    expect(longer.pages).toBeGreaterThan(first.pages)
    expect(longer.spine).toBeGreaterThan(first.spine)
    expect(longer.wrap.width - first.wrap.width).toBeCloseTo(longer.spine - first.spine, 6)
    expect(longer.wrap.height).toBe(first.wrap.height)
    expect(longer.money.cost).toBeGreaterThan(first.money.cost)
    expect(longer.money.earnings[0]!.royalty).toBeLessThan(first.money.earnings[0]!.royalty)

    c.set('text', start.text)
    const back = await all(c)
    expect([back.pages, back.spine, back.money.cost]).toEqual([first.pages, first.spine, first.money.cost])
    const runs = [c.runs('spine'), c.runs('flat'), c.runs('cover')]
    const comma = withComma(start.text, text[0]![0]!)
    c.set('text', comma)
    await all(c)
    // Pages did not move, so spine and flat were not even asked to; a comma redraws no cover and no front.
    expect([c.runs('spine'), c.runs('flat'), c.runs('cover')]).toEqual(runs)
  })
  test('pictures of the ebook are made lighter where that is asked, once; those that print are as they came', async () => {
    const bytes = new Uint8Array(readFileSync('demo/harbour.png'))
    const id = hashOf(bytes)
    const { width, height } = imageSize(bytes)
    const picture = { type: 'image', attrs: { id: 'b900', asset: id, alt: 'A harbour', decoration: false, share: 1 } }
    const last = source.book.sections.at(-1)!
    const book: Book = {
      ...source.book,
      assets: [{ id, type: 'image/png', width, height }],
      sections: source.book.sections.map(s =>
        s === last ? { ...s, doc: { ...s.doc, content: [...s.doc.content, picture as ImageJson] } } : s,
      ),
    }
    const ports = nodePorts(new Map([[id, bytes]]))
    const asked: number[] = []
    const { lightener } = ports
    ports.lightener = {
      ...lightener,
      lighten(p, aim) {
        asked.push(aim.likeness)
        return lightener.lighten(p, aim)
      },
    }
    const ebookEdition: Edition = { ...edition, id: 'e', kind: 'ebook', ebook: { light: { likeness: 0.9 } } }
    const given = ebookInputs({ ...source, book, text: book, edition: ebookEdition }, source.profile)
    const ebook = ebookChain(given, () => undefined, { ...tools(), ports })
    const weights = await weightsOf(ebook)
    expect(weights.pictures).toHaveLength(1)
    expect(weights.pictures[0]).toMatchObject({ asset: id, was: bytes.length })
    expect(weights.pictures[0]!.is).toBeLessThan(bytes.length)
    expect(weights.is).toBe((await ebook.get('epub')).bytes.length)
    expect(weights.was - weights.is).toBe(bytes.length - weights.pictures[0]!.is)
    // A comma makes no picture anew.
    ebook.set('text', withComma(book, text[0]![0]!))
    await ebook.get('epub')
    expect(asked).toEqual([0.9])
    // What is said of a file with its pictures as they came is what that file weighs.
    ebook.set('settings', {})
    // But for the words by which its kind is named.
    expect(Math.abs((await weightsOf(ebook)).is - weights.was)).toBeLessThan(64)
    // A weight that the file has already costs nothing; one that it has not is met.
    const most = weights.is - 10_000
    ebook.set('settings', { light: { weight: most } })
    expect((await ebook.get('epub')).bytes.length).toBeLessThanOrEqual(most)
    expect(await ports.pictures.bytes(id)).toEqual(bytes)
  })
  test('an ebook of fixed pages says that it wants a printed edition', async () => {
    const fixed: Edition = { ...edition, id: 'e', kind: 'ebook', ebook: { fixed: true } }
    const given = ebookInputs({ ...source, text: source.book, edition: fixed }, source.profile)
    await expect(ebookChain(given, () => undefined, tools()).get('epub')).rejects.toMatchObject({ code: 'no-pages' })
    const print = printChain(inputs(), tools())
    const ebook = ebookChain(given, () => print, tools())
    expect((await ebook.get('epub')).epub.pages).toHaveLength(await print.get('pages'))
  })
  test('the ebook goes by what is printed beside it: another trim lists other pages, a comma paints no front', async () => {
    const start = inputs()
    const print = printChain(start, tools())
    const ebook = ebookChain(
      ebookInputs(
        { ...source, text: source.book, edition: { ...edition, id: 'e', kind: 'ebook', prices: { USD: 499 } } },
        source.profile,
      ),
      () => print,
      tools(),
    )
    const listed = async (): Promise<string[]> =>
      [...strFromU8(unzipSync((await ebook.get('epub')).bytes)['OEBPS/text/nav.xhtml']!).matchAll(/#page-(\w+)/g)].map(
        m => m[1]!,
      )
    const first = await listed()
    expect(first.length).toBeGreaterThan((await print.get('pages')) - 12)
    const made = await ebook.get('epub')
    expect(await ebook.get('epub')).toBe(made)
    const front = await ebook.get('front')

    print.set('spec', { ...start.spec, trim: '5x8in' })
    expect((await listed()).length).toBeGreaterThan(first.length + 10)

    print.set('spec', start.spec)
    const comma = withComma(start.text, text[0]![0]!)
    print.set('text', comma)
    ebook.set('text', comma)
    expect(await ebook.get('epub')).not.toBe(made)
    expect((await ebook.get('front')).bytes).toEqual(front.bytes)
    const [before, fronts] = [await ebook.get('snapshot'), ebook.runs('front')]
    // The day is an input: only the file is another, by a few packed bytes.
    ebook.set('date', '2026-06-01T00:00:00Z')
    const { epubBytes } = await ebook.get('snapshot')
    expect(await ebook.get('snapshot')).toEqual({ ...before, epubBytes })
    expect(Math.abs(epubBytes! - before.epubBytes!)).toBeLessThan(64)
    expect(ebook.runs('front')).toBe(fronts)
    // What is stated for the listing moves what the outlet sees, and no file.
    const epubs = ebook.runs('epub')
    ebook.set('draft', { slots: ['tide'] })
    expect((await ebook.get('snapshot')).slots).toEqual(['tide'])
    expect(ebook.runs('epub')).toBe(epubs)
    // What the outlet asks of its files changes them.
    const covered = async (): Promise<boolean> => 'OEBPS/text/cover.xhtml' in unzipSync((await ebook.get('epub')).bytes)
    expect(await covered()).toBe(true)
    ebook.set('profile', { ...source.profile, ebook: { ...source.profile.ebook!, coverPage: false } })
    expect(await covered()).toBe(false)
  })
})

/** The book with a comma for the first full stop of its first paragraph. */
const withComma = (book: Book, first: string): Book => ({
  ...book,
  sections: book.sections.map(s =>
    s.id === 's1'
      ? {
          ...s,
          doc: {
            ...s.doc,
            content: s.doc.content.map((b, i) => (i === 0 ? paragraph(b.attrs.id, first.replace('.', ',')) : b)),
          },
        }
      : s,
  ),
})
