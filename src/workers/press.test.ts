import '../../tests/support/browser'
import { beforeEach, describe, expect, test } from '@jest/globals'
import { shippedProfiles } from '@/core/outlets'
import { createCanvas } from '@napi-rs/canvas'
import { PDFDict, PDFDocument, PDFName } from '@cantoo/pdf-lib'
import { strFromU8, unzipSync } from 'fflate'
import { bookOf as made, paragraph } from '../../tests/support/core'
import { sender } from '../../tests/support/press'
import { type Book, type Edition, hashOf, type Section } from '@/core/book'
import { type PageMarks, pageText } from '@/core/marks'
import { styleById } from '@/core/pages'
import { type Library, readLibrary, writeLibrary } from '@/core/archive'
import { styleOf } from '@/core/chain'
import { books } from './answers/books'
import { coverAtOnce } from './answers/covers'
import { delivery } from './answers/delivery'
import { chainCount, chainOf, ebookOf } from './chains'
import { bookOf, type BookUpdate, closeBook, openBook } from './openBooks'
import { firstLook, shown } from './firstLook'
import { outlet, setOutlets } from './outlets'
import { fitEdition, figuresIn, samplePage } from './trials'
import { tell, tellTo } from './telling'

const prose =
  'The bell of Merrow Sound hung in an iron cage at the seaward corner of the quay, and it had a rope, and the rope had a keeper. '
const edition: Edition = {
  id: 'paperback',
  kind: 'paperback',
  outlets: ['ostrevane'],
  trim: '6x9in',
  paper: 'cream',
  ink: 'black',
  style: 'harbour-roman',
  prices: { USD: 1299 },
  isbn: '9780000000002',
} as Edition
const fresh = (chapters = 3): Book =>
  ({
    ...made(
      Array.from({ length: chapters }, (_, i) =>
        Array.from({ length: 24 }, (_, k) => `${i + 1}.${k + 1} ${prose.repeat(2 + (k % 3))}`),
      ),
    ),
    editions: [edition],
    cover: undefined,
  }) as Book

setOutlets(shippedProfiles)

const interiorOf = (id = 'test') => chainOf(id, 'paperback').get('interior')

/** The book of most tests, opened as if for the first time, and what sends it again. */
let book: Book
let send: ReturnType<typeof sender>
async function openAnew(): Promise<void> {
  closeBook('test')
  send = sender()
  book = fresh()
  await send(book)
}

describe('an open book', () => {
  beforeEach(openAnew)

  test('keeps its pages while only prices and words of the listing change, and works the money out anew', async () => {
    const before = await interiorOf()
    const money = await chainOf('test', 'paperback').get('money')
    await send({ ...book, editions: [{ ...edition, prices: { USD: 1499 } }], data: { ...book.data } })
    expect(await interiorOf()).toBe(before)
    const after = await chainOf('test', 'paperback').get('money')
    expect(after.cost).toBe(money.cost)
    expect(after.earnings[0]!.royalty).toBeGreaterThan(money.earnings[0]!.royalty)
  })
  test('sets a changed chapter only: the marks of the others are the same ones', async () => {
    const before = await interiorOf()
    const last = book.sections.at(-1)!
    const changed: Section = {
      ...last,
      doc: { ...last.doc, content: [...last.doc.content, paragraph('new', 'And then no more.')] },
    }
    await send({ ...book, sections: [...book.sections.slice(0, -1), changed] })
    const after = await interiorOf()
    expect(after).not.toBe(before)
    const marks = (interior: typeof after, page: number) => interior.pages[page]!.layers[0]!.layer
    const [from, to] = [after.starts.get('s2')!, after.starts.get('s3')!]
    for (let p = from; p < to; p++) if (after.pages[p]!.layers.length) expect(marks(after, p)).toBe(marks(before, p))
    expect(after.pages.map(pageText).join()).toContain('And then no more.')
  })
  test('knows sections taken away and moved', async () => {
    const [first, , third] = book.sections.filter(s => s.role === 'chapter')
    await send({ ...book, sections: [third!, first!] })
    expect([...(await interiorOf()).starts.keys()]).toEqual([third!.id, first!.id])
    expect(bookOf('test').book.sections.map(s => s.id)).toEqual([third!.id, first!.id])
  })
  test('forgets an edition that is gone, and says plainly what is not there', async () => {
    await interiorOf()
    await send({ ...book, editions: [] })
    expect(chainCount('test')).toBe(0)
    expect(() => chainOf('test', 'paperback')).toThrow('This edition is not printed.')
    closeBook('test')
    expect(() => bookOf('test')).toThrow('This book is not open.')
  })
  test('takes updates one after the other, each whole or not at all; one that was missed is asked for', async () => {
    const { sections, ...head } = bookOf('test').book
    const at = bookOf('test').turn
    const update = (title: string, after: number, turn: number): BookUpdate => ({
      head: { ...head, data: { ...head.data, title } },
      order: sections.map(s => s.id),
      sections: [],
      after,
      turn,
    })
    // Three at once: the last one stands, however long each takes.
    await Promise.all([
      openBook(update('One', at, at + 1)),
      openBook(update('Two', at + 1, at + 2)),
      openBook(update('Three', at + 2, at + 3)),
    ])
    expect(bookOf('test').book.data.title).toBe('Three')
    await expect(openBook(update('Five', at + 4, at + 5))).rejects.toMatchObject({ code: 'gap' })
    await expect(
      openBook({
        ...update('Bad', at + 3, at + 4),
        head: { ...head, data: { ...head.data, title: { a: 1 } as never } },
      }),
    ).rejects.toMatchObject({ code: 'book', place: 'data.title' })
    expect([bookOf('test').book.data.title, bookOf('test').turn]).toEqual(['Three', at + 3])
    await openBook(update('Four', at + 3, at + 4))
    expect(bookOf('test').book.data.title).toBe('Four')
  })
})

describe('styles at the press', () => {
  beforeEach(openAnew)

  test('a changed style is seen on the open page first as it will stand in the book', async () => {
    const before = await interiorOf()
    shown('test', 'paperback', { interior: before, plan: undefined })
    const page = before.starts.get('s2')! + 2
    expect(await firstLook('test', 'paperback', [page])).toEqual([])
    await send({ ...book, editions: [{ ...edition, styleChanges: { 'text.size': 12, 'text.leading': 15 } }] })
    const [seen] = await firstLook('test', 'paperback', [page])
    expect(seen!.page).toBe(page)
    // Folios may still be others; the text is set as it stays, and holds the place that was looked at.
    const text = (p: PageMarks): string => pageText({ ...p, layers: p.layers.slice(0, 1) })
    const whole = await interiorOf()
    expect(whole.style.text.size).toBe(12)
    expect(whole.pages.map(text)).toContain(text(seen!.marks))
    expect(text(seen!.marks).replace(/\s/g, '')).toContain(
      text(before.pages[page]!).split('\n')[0]!.replace(/\s/g, '').slice(0, 30),
    )
  })
  test('a style tried beside the present one leaves it alone; figures are those it would have', async () => {
    const style = styleById('meadowsweet', undefined)
    const before = await interiorOf()
    const figures = await figuresIn('test', 'paperback', style)
    expect(await interiorOf()).toBe(before)
    await send({ ...book, editions: [{ ...edition, style: 'meadowsweet' }] })
    const chain = chainOf('test', 'paperback')
    expect(figures).toEqual({
      pages: await chain.get('pages'),
      spinePt: await chain.get('spine'),
      cost: (await chain.get('money')).cost,
    })
    const sample = await samplePage('test', 'paperback', style)
    expect(pageText(sample!)).toContain('1.1')
  })
  test('an offer to fit a count is what comes when it is taken', async () => {
    const now = await chainOf('test', 'paperback').get('pages')
    let offer: Awaited<ReturnType<typeof fitEdition>>
    for (const by of [-2, 2, 4, 6, 8]) offer ??= await fitEdition('test', 'paperback', now + by)
    expect(offer).toBeDefined()
    expect(offer!.pages).not.toBe(now)
    await send({ ...book, editions: [{ ...edition, styleChanges: offer!.changes }] })
    expect(await chainOf('test', 'paperback').get('pages')).toBe(offer!.pages)
    expect(styleOf(bookOf('test').book, bookOf('test').book.editions[0]!)).not.toEqual(
      styleById('harbour-roman', undefined),
    )
  }, 60_000)
})

describe('what leaves the press', () => {
  const steps: string[] = []
  const hear = (p: { stage: string; done: number; of: number }): boolean =>
    steps.push(`${p.stage} ${(p.done / p.of).toFixed(2)}`) > 0
  beforeEach(async () => {
    closeBook('test')
    steps.length = 0
    await sender()({
      ...fresh(),
      editions: [
        edition,
        { id: 'ebook', kind: 'ebook', outlets: ['pellowick'], style: 'harbour-roman', prices: { USD: 499 } } as Edition,
      ],
    })
  })

  test('the print package: press-ready files that agree with the figures, the same bytes twice, progress that only grows', async () => {
    const { zip, submission } = await delivery.pack('test', 'paperback', 'ostrevane', hear)
    const files = Object.fromEntries(Object.entries(unzipSync(zip)).map(([k, v]) => [k.split('/')[1]!, v]))
    expect(Object.keys(files)).toEqual([
      'a-book-interior.pdf',
      'a-book-cover.pdf',
      'a-book-front.jpg',
      'a-book-listing.json',
    ])
    expect(submission.files.map(f => f.bytes)).toEqual(Object.values(files).map(f => f.length))
    const chain = chainOf('test', 'paperback', 'ostrevane')
    const [pages, wrap] = [await chain.get('pages'), await chain.get('wrap')]
    const [interior, cover] = [
      await PDFDocument.load(files['a-book-interior.pdf']!),
      await PDFDocument.load(files['a-book-cover.pdf']!),
    ]
    expect(interior.getPageCount()).toBe((await chain.get('interior')).pages.length)
    expect(cover.getPage(0).getWidth()).toBeCloseTo(wrap.width, 2)
    expect(JSON.parse(strFromU8(files['a-book-listing.json']!))).toMatchObject({
      title: 'A Book',
      pages,
      price: 1299,
      isbn: '9780000000002',
    })
    expect([...files['a-book-front.jpg']!.slice(0, 2)]).toEqual([0xff, 0xd8])
    const done = steps.map(s => Number(s.split(' ').at(-1)))
    expect(done).toEqual([...done].sort((a, b) => a - b))
    expect(done.at(-1)).toBe(1)
    expect((await delivery.pack('test', 'paperback', 'ostrevane', hear)).zip).toEqual(zip)
  }, 60_000)
  test('an outlet that asks for it gets its interior in black and its cover in inks, both prepared for PDF/X-1a; pictures keep what is chosen', async () => {
    const canvas = createCanvas(1200, 800)
    canvas.getContext('2d').fillRect(0, 0, 600, 800)
    const bytes = new Uint8Array(await canvas.encode('png'))
    const asset = { id: hashOf(bytes), type: 'image/png' as const, width: 1200, height: 800 }
    const base = fresh(5)
    const e = { ...edition, outlets: ['tarnbrook'] }
    const pictured = base.sections.map(s =>
      s.role === 'chapter'
        ? {
            ...s,
            doc: {
              ...s.doc,
              content: [
                {
                  type: 'image' as const,
                  attrs: { id: `i${s.id}`, asset: asset.id, alt: 'x', decoration: false, share: 0.5 },
                },
                ...s.doc.content,
              ],
            },
          }
        : s,
    )
    closeBook('test')
    await sender()({ ...base, sections: pictured, assets: [asset], editions: [e] }, new Map([[asset.id, bytes]]))
    const files = Object.values(unzipSync((await delivery.pack('test', e.id, 'tarnbrook', hear)).zip))
    const says = async (b: Uint8Array): Promise<string | undefined> => {
      const { context } = await PDFDocument.load(b, { updateMetadata: false })
      return (
        context.lookup(context.trailerInfo.Info, PDFDict).lookup(PDFName.of('GTS_PDFXVersion')) as
          { decodeText?(): string } | undefined
      )?.decodeText?.()
    }
    expect([await says(files[0]!), await says(files[1]!)]).toEqual(['PDF/X-1a:2003', 'PDF/X-1a:2003'])
    expect((await PDFDocument.load(files[0]!)).getPages().every(p => !p.node.Annots())).toBe(true)
    const widthAt = async (ppi?: number): Promise<number> => {
      const { bytes } = await delivery.interiorFile('test', 'paperback', 'press', undefined, ppi)
      return Math.max(
        ...[
          ...Buffer.from(bytes)
            .toString('latin1')
            .matchAll(/\/Subtype \/Image[^]*?\/Width (\d+)|\/Width (\d+)[^]*?\/Subtype \/Image/g),
        ].map(m => Number(m[1] ?? m[2])),
      )
    }
    const [whole, draft] = [await widthAt(600), await widthAt(150)]
    expect(whole).toBe(1200)
    expect(draft).toBeGreaterThan(200)
    expect(draft).toBeLessThan(400)
  }, 60_000)
  test('the ebook wears the front of the print edition and lists its pages; it is written once', async () => {
    const chain = ebookOf('test', 'ebook', 'pellowick')
    const made = await chain.get('epub')
    expect(await chain.get('epub')).toBe(made)
    const nav = strFromU8(unzipSync(made.bytes)['OEBPS/text/nav.xhtml']!)
    expect(nav).toContain('page-list')
    expect((await chain.get('front')).height).toBeGreaterThan(1000)
    const { zip } = await delivery.pack('test', 'ebook', 'pellowick', hear)
    expect(Object.keys(unzipSync(zip)).map(f => f.split('.').pop())).toEqual(['epub', 'jpg', 'json'])
    expect((await books.findings('test', 'ebook', 'pellowick')).every(f => f.severity !== undefined)).toBe(true)
  }, 60_000)
  test('what was sent goes into a backup and comes back: the press’s own records are in order', async () => {
    await sender()({
      ...fresh(),
      editions: [
        edition,
        { id: 'ebook', kind: 'ebook', outlets: ['pellowick'], style: 'harbour-roman', prices: { USD: 499 } } as Edition,
      ],
    })
    const events = []
    for (const [of, outletId] of [
      ['paperback', 'ostrevane'],
      ['ebook', 'pellowick'],
    ] as const) {
      const { submission, zip } = await delivery.pack('test', of, outletId, () => true)
      events.push({
        key: `test/${of}/${outletId}`,
        book: 'test',
        events: [
          { kind: 'sent' as const, at: 3, submission, profile: outlet(outletId) },
          { kind: 'withdrawn' as const, at: 5 },
        ],
        zip,
      })
    }
    const library: Library = {
      books: [{ project: { book: bookOf('test').book, pictures: new Map() }, added: 1 }],
      listings: events.map(({ zip: _zip, ...l }) => l).sort((a, b) => (a.key < b.key ? -1 : 1)),
      packages: new Map(events.map(l => [hashOf(l.zip), l.zip])),
      versions: [],
      parts: new Map(),
      tallies: [],
      pieces: [],
      settings: [{ key: 'clock', value: 720 }],
      outlets: shippedProfiles,
    }
    expect(readLibrary(writeLibrary(library), shippedProfiles).listings).toEqual(
      JSON.parse(JSON.stringify(library.listings)),
    )
  }, 60_000)
  test('work that is stopped stops', async () => {
    await expect(delivery.pack('test', 'paperback', 'ostrevane', () => false)).rejects.toThrow('Stopped')
  })
  test('what an outlet sees changes with what it would print, and only then', async () => {
    const give = sender()
    const seen = async (patch: Partial<Edition>) => {
      await give({ ...book, editions: [{ ...edition, ...patch }] })
      return books.snapshot('test', 'paperback', 'ostrevane')
    }
    closeBook('test')
    const before = await seen({})
    expect(await seen({})).toEqual(before)
    expect(await seen({ prices: { USD: 1399 } })).toMatchObject({
      interior: before.interior,
      cover: before.cover,
      price: 1399,
    })
    expect((await seen({ styleChanges: { 'text.size': 12 } })).interior).not.toBe(before.interior)
    expect((await coverAtOnce('test'))!.page.width).toBeGreaterThan(800)
  })
  test('files to look at: one chapter, a proof with marks, small pictures, a tagged one, blank templates of the true size', async () => {
    const load = async (...a: Parameters<typeof delivery.interiorFile>) => {
      const f = await delivery.interiorFile(...a)
      return { name: f.name, doc: await PDFDocument.load(f.bytes, { updateMetadata: false }) }
    }
    const { starts, pages } = await interiorOf()
    const one = await load('test', 'paperback', 'press', 's2')
    expect([one.doc.getPageCount() > 2, one.doc.getPageCount() < pages.length / 2, one.name]).toEqual([
      true,
      true,
      `a-book-page-${pages[starts.get('s2')!]!.label}-interior.pdf`,
    ])
    const proof = await load('test', 'paperback', 'proof', 's2')
    expect(proof.doc.getPage(0).getWidth()).toBeGreaterThan(one.doc.getPage(0).getWidth())
    expect((await load('test', 'paperback', 'tagged', 's2')).doc.catalog.toString()).toContain('StructTreeRoot')
    await expect(delivery.interiorFile('test', 'paperback', 'press', 'nowhere')).rejects.toThrow('no pages of its own')
    const blank = unzipSync((await delivery.templates('test', 'paperback')).bytes)
    expect(Object.keys(blank).sort()).toEqual(
      [
        'either-side.pdf',
        'either-side.png',
        'either-side.svg',
        'left-and-right.pdf',
        'left-page.png',
        'left-page.svg',
        'right-page.png',
        'right-page.svg',
      ].sort(),
    )
    expect((await PDFDocument.load(blank['left-and-right.pdf']!)).getPageCount()).toBe(2)
    expect(strFromU8(blank['left-page.svg']!)).toMatch(/^<\?xml/)
  }, 60_000)
})

describe('telling how far work has come', () => {
  test('is done at most every twentieth of a second', async () => {
    const told: number[] = []
    tellTo(p => told.push(p.done))
    const start = performance.now()
    for (let i = 0; performance.now() - start < 260; i++) tell({ stage: 'x', done: i, of: 1 })
    expect(told.length).toBeGreaterThanOrEqual(3)
    expect(told.length).toBeLessThanOrEqual(7)
    tellTo(() => undefined)
  })
})
