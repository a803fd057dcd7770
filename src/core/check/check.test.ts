import { beforeAll, describe, expect, test } from '@jest/globals'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { bookOf, chapter, setBook, shelf } from '../../../tests/support/core'
import { nodePorts } from '@/cli/ports'
import { type Book, createBook, type DocJson, hashOf } from '../book'
import { type Cover, type CoverDesign, type CoverGround, drawCover, flatFor, lampOverTide } from '../cover'
import { smallPrint } from '../activity'
import { checkEpub, writeEpub } from '../epub'
import { LayerBuilder, type PageMarks, PathBuilder } from '../marks'
import { profileOf, shippedProfiles } from '../outlets'
import { insideMargin } from '../trade'
import { setFrag } from '../type'
import { harbourRoman, type Interior, type InteriorStyle, Setter, withChanges } from '../pages'
import { longText } from '../../../scripts/lib/longText'
import { recordingsOnPaper } from './recordingRules'
import { check, remedyWords, type Finding, type Subject } from '.'

const profile = profileOf('ostrevane', shippedProfiles)
const spec = { binding: 'paperback', trim: '6x9in', paper: 'cream', ink: 'black' } as const
let book: Book
let interior: Interior
let cover: Cover

beforeAll(async () => {
  book = bookOf(longText(16000, 5))
  interior = await setBook(book)
  cover = await coverFor(interior.pages.length)
})

const coverFor = (pages: number, design: CoverDesign = lampOverTide, data = book.data) =>
  drawCover(flatFor(profile, { ...spec, pages }), design, data, { isbn: '9780000000002', shelf })
const subject = (more: Partial<NonNullable<Subject['print']>> = {}, whole: Partial<Subject> = {}): Subject => ({
  book,
  profile,
  print: { spec, interior, cover, isbn: '9780000000002', price: 1399, leastPrice: 640, ...more },
  ...whole,
})
const groundOf = async (c: Cover, pictures = new Map<string, Uint8Array>()): Promise<CoverGround> => ({
  ...(await nodePorts(pictures).pixels(c.ground, 0.6)),
  scale: 0.6,
})
const profileGutter = (pages: number): number => insideMargin(profile, 'paperback', pages)
const named = (f: Finding[], rule: string): Finding[] => f.filter(x => x.rule === rule)
const withStyle = (change: (s: InteriorStyle) => InteriorStyle) =>
  new Setter(shelf).set(book, change(harbourRoman), { width: 432, height: 648, inside: 0 })

test('a sound edition has no finding', () => expect(check(subject())).toEqual([]))

describe('each rule finds its fault, with place, amount and remedy', () => {
  const sound = (f: Finding[]): void => {
    for (const x of f) {
      expect(x.message).toMatch(/[.]$/)
      expect(remedyWords(x).length).toBeGreaterThan(10)
    }
  }
  test('title, author', () => {
    const f = check(subject({}, { book: { ...book, data: { ...book.data, title: ' ', contributors: [] } } }))
    expect(named(f, 'title')[0]).toMatchObject({ severity: 'stop', place: { kind: 'data', field: 'title' } })
    expect(named(f, 'author')).toHaveLength(1)
    sound(f)
  })
  test('title length', () => {
    const f = check(
      subject({}, { book: { ...book, data: { ...book.data, title: 'T'.repeat(160), subtitle: 'S'.repeat(20) } } }),
    )
    expect(named(f, 'title length')[0]).toMatchObject({ amount: '12 characters' })
    const p = check({
      book: { ...book, data: { ...book.data, title: 'T'.repeat(151) } },
      profile: profileOf('pellowick', shippedProfiles),
      ebook: { bytes: 1 },
    })
    expect(named(p, 'title length')[0]).toMatchObject({ amount: '1 characters' })
  })
  test('price', () =>
    expect(named(check(subject({ price: 600 })), 'price')[0]).toMatchObject({ severity: 'stop', amount: '$0.40' }))
  test('specification', () => {
    expect(named(check(subject({ spec: { ...spec, trim: 'A4' } })), 'specification')[0]!.message).toContain('A4')
    const thin = { ...interior, pages: interior.pages.slice(0, 20) }
    expect(named(check(subject({ interior: thin })), 'specification')[0]!.message).toContain('20 fewer')
  })
  test('inside margin', async () => {
    const f = named(
      check(subject({ interior: await withStyle(s => ({ ...s, margins: { ...s.margins, inside: 0.25 } })) })),
      'inside margin',
    )
    expect(f.length).toBeGreaterThan(10)
    expect(f[0]).toMatchObject({ severity: 'stop', place: { kind: 'page' } })
    expect(f[0]!.amount).toMatch(/^0\.\d+ in$/)
    sound(f)
  })
  test('safe zone', async () => {
    const f = named(
      check(subject({ interior: await withStyle(s => ({ ...s, margins: { ...s.margins, outside: 0.14 } })) })),
      'safe zone',
    )
    expect(f[0]).toMatchObject({ severity: 'stop', place: { kind: 'page', section: expect.any(String) } })
    const heads = named(
      check(subject({ interior: await withStyle(s => ({ ...s, heads: { ...s.heads, distance: 48 } })) })),
      'safe zone',
    )
    expect(heads.length).toBeGreaterThan(5)
  })
  test('gutter: what hangs is no breach, the least of anything else is; rulings and shapes count as letters do', async () => {
    const page = (layer: PageMarks['layers'][number]['layer'], bleed = 0): PageMarks => ({
      width: 432,
      height: 648,
      bleed: { top: bleed, right: bleed, bottom: bleed, left: 0 },
      layers: [{ layer, x: 0, y: 0 }],
      label: '1',
      side: 'recto',
    })
    const found = (rule: string, pages: PageMarks[]): Finding[] =>
      named(check(subject({ interior: { ...interior, pages } })), rule)
    const style = await smallPrint('figtree/regular', 10, 'en', shelf)
    const gutter = profileGutter(60)
    const lettered = (text: string, x: number): PageMarks => {
      const out = new LayerBuilder()
      setFrag(out, style.frag(text), { x, y: 300, place: { section: 's1', block: 'b1' } })
      return page(out.build())
    }
    const pages = (p: PageMarks): PageMarks[] => Array.from({ length: 60 }, () => p)
    // Half of a quote may hang; a letter may not, by less than its stem.
    expect(found('inside margin', pages(lettered('“A', gutter - 1.5)))).toEqual([])
    expect(found('inside margin', pages(lettered('HA', gutter - 1.5)))).toHaveLength(60)
    expect(found('inside margin', pages(lettered('“A', gutter - 4)))).toHaveLength(60)
    // Within the press's play it is nothing, then a remark, then it stops.
    expect(found('inside margin', pages(lettered('HA', gutter - 0.2)))).toEqual([])
    expect(found('inside margin', pages(lettered('HA', gutter - 1.2)))[0]!.severity).toBe('remark')
    expect(found('inside margin', pages(lettered('HA', gutter - 1.6)))[0]!.severity).toBe('stop')

    const ruled = (x0: number, x1: number, bleed = 0): PageMarks => {
      const out = new LayerBuilder()
      out.add({
        kind: 'path',
        path: new PathBuilder().move(x0, 300).line(x1, 300).build(),
        stroke: { colour: { k: 0.4 }, width: 0.5 },
      })
      return page(out.build(), bleed)
    }
    const safe = 0.28 * 72
    expect(found('safe zone', pages(ruled(60, 432 - safe - 1)))).toEqual([])
    expect(found('safe zone', pages(ruled(60, 432 - safe + 3)))).toHaveLength(60)
    // With bleed the zone is another; what runs off as far as the bleed goes is cut on purpose.
    expect(found('safe zone', pages(ruled(60, 432 - safe - 1, 9)))).toHaveLength(60)
    expect(found('safe zone', pages(ruled(60, 432 - 0.36 * 72 - 1, 9)))).toEqual([])
    expect(found('safe zone', pages(ruled(60, 441, 9)))).toEqual([])
    expect(found('safe zone', pages(ruled(60, 436, 9)))).toHaveLength(60)
    expect(found('inside margin', pages(ruled(20, 300)))).toHaveLength(60)
  })
  test('a character that another family lends is said once a section, with its place; one that none has stops', async () => {
    const doc = (...texts: string[]): DocJson => ({
      type: 'doc',
      content: texts.map((t, i) => ({
        type: 'paragraph',
        attrs: { id: `x${i}` },
        content: [{ type: 'text', text: t }],
      })),
    })
    const book = createBook('l', bookOf([['x']]).data, [
      chapter('s1', 'A', doc('Plain.', 'An arrow → and a → again.', 'And ↑.')),
      chapter('s2', 'B', {
        type: 'doc',
        content: [
          {
            type: 'paragraph',
            attrs: { id: 'y1' },
            content: [
              { type: 'text', text: 'Noted' },
              { type: 'footnote', attrs: { id: 'y2' }, content: [{ type: 'text', text: 'Ж →' }] },
            ],
          },
        ],
      }),
    ])
    // Crimson has no arrows; the family beside it has.
    const style = withChanges(harbourRoman, { 'text.family': 'crimson-pro', 'notes.at': 'book' })
    const interior = await setBook(book, style)
    const found = named(check(subject({ interior }, { book })), 'borrowed character')
    expect(interior.missing).toEqual([])
    expect(found.map(f => f.place)).toEqual([
      { kind: 'text', section: 's1', block: 'x1' },
      { kind: 'text', section: 's2', block: 'y2' },
    ])
    expect(found[0]).toMatchObject({
      severity: 'remark',
      amount: '2',
      message: expect.stringMatching(/^The typeface lacks “→↑”: Source Serif.* lends them\.$/),
    })
  })
  test('missing character', async () => {
    const odd = bookOf([['Here is 字 and 龍.']])
    expect(
      named(check(subject({ interior: await setBook(odd) }, { book: odd })), 'missing character').map(f => f.place),
    ).toEqual([
      { kind: 'text', section: 's1', block: 'b1' },
      { kind: 'text', section: 's1', block: 'b1' },
    ])
    const scripts = bookOf([['a שלום b', 'c 潮 d', 'e → f']])
    expect(
      named(check(subject({ interior: await setBook(scripts) }, { book: scripts })), 'missing character').map(f =>
        /from right to left/.test(f.message) ? 'right to left' : /East Asia/.test(f.message) ? 'east' : f.message,
      ),
    ).toEqual(expect.arrayContaining(['right to left', 'east']))
  })
  test('resolution', () => {
    const page = {
      ...interior.pages[6]!,
      layers: [
        {
          x: 0,
          y: 0,
          layer: { items: [{ kind: 'image' as const, asset: 'a', x: 100, y: 100, width: 144, height: 144 }] },
        },
      ],
    }
    const assets = [{ id: 'a', type: 'image/png' as const, width: 300, height: 300 }]
    const f = check(
      subject(
        { interior: { ...interior, pages: interior.pages.map((p, i) => (i === 6 ? page : p)) } },
        { book: { ...book, assets } },
      ),
    )
    expect(named(f, 'resolution')[0]).toMatchObject({ severity: 'stop', amount: '150 ppi', place: { page: 6 } })
    const g = check(
      subject(
        { interior: { ...interior, pages: [page] } },
        { book: { ...book, assets: [{ ...assets[0]!, width: 500, height: 500 }] } },
      ),
    )
    expect(named(g, 'resolution')[0]).toMatchObject({ severity: 'remark' })
  })
  test('cover resolution: of a picture that is a piece, mirrored or turned, and of the one that covers the ground', async () => {
    const assets = [{ id: 'a', type: 'image/png' as const, width: 600, height: 600 }]
    const square = { x: 0.1, y: 0.1, width: 0.5, height: 0.5 }
    const design = (...pieces: CoverDesign['pieces']): CoverDesign => ({ ...lampOverTide, pieces })
    const found = async (d: CoverDesign): Promise<Finding[]> => {
      const flat = flatFor(profile, { ...spec, pages: interior.pages.length })
      const drawn = await drawCover(flat, d, book.data, { shelf, assets })
      return named(check(subject({ cover: drawn }, { book: { ...book, assets } })), 'cover resolution')
    }
    const piece = { id: 'p', kind: 'picture' as const, panel: 'front' as const, asset: 'a', mirrored: true, turn: 20 }
    // The higher side of its box is half the safe zone's: 4.22 of 8.44 in.
    const [coarse] = await found(design({ ...piece, box: square }))
    expect(coarse).toMatchObject({ severity: 'stop', place: { kind: 'cover', piece: 'p' }, amount: '142 ppi' })
    sound([coarse!])
    expect(await found(design({ ...piece, box: { ...square, width: 0.15, height: 0.15 } }))).toEqual([])
    const over = await found({ ...lampOverTide, picture: { asset: 'a', over: 'front' } })
    expect(over[0]).toMatchObject({ severity: 'stop', place: { piece: 'ground' } })
  })
  test('answers: each has its puzzles and a page, and puzzles have answers', () => {
    const run = { id: 'p', kind: 'sudoku', pages: 9, seed: 1, params: { size: '9', band: 'easy' } }
    const key = { id: 'k', kind: 'answers', pages: 3, seed: 1, params: { of: 'p', count: '4' } }
    const withRuns = (...runs: (typeof run | typeof key)[]): Finding[] =>
      named(check(subject({}, { book: { ...book, plan: { runs } as Book['plan'] } })), 'answers')
    expect(withRuns(run, key)).toEqual([])
    expect(withRuns(run)).toMatchObject([{ severity: 'remark', message: expect.stringMatching(/“Sudoku” asks/) }])
    expect(withRuns(key)).toMatchObject([{ severity: 'mend', message: expect.stringMatching(/no puzzles/) }])
    const short = withRuns(run, { ...key, pages: 1 })
    expect(short).toMatchObject([{ severity: 'stop', message: expect.stringMatching(/lacks 2 pages/) }])
    sound(short)
  })
  test('runs: one that could not be made stops the book, in its own words, where it stands', () => {
    const runs = [{ id: 'p', kind: 'sudoku', pages: 2, seed: 1, params: { size: '4', band: 'stubborn' } }]
    const [page, message] = [4, 'A sudoku of 4 by 4 is never stubborn.']
    const set = { ...interior, unmade: [{ run: 'p', message }], starts: new Map([['run:p', page]]) }
    const found = named(check(subject({ interior: set }, { book: { ...book, plan: { runs } } })), 'runs')
    expect(found).toMatchObject([{ severity: 'stop', message, place: { kind: 'page', page } }])
    sound(found)
    expect(named(check(subject({}, { book: { ...book, plan: { runs } } })), 'runs')).toEqual([])
  })
  test('doubles: what another book asks as well is said with its title, where the run begins', () => {
    const runs = [{ id: 'p', kind: 'sudoku', pages: 9, seed: 1, params: { size: '9', band: 'easy' } }]
    const set = { ...interior, starts: new Map([['run:p', 4]]) }
    const withDoubles = (...doubles: { run: string; pages: number; title: string }[]): Finding[] =>
      named(check(subject({ interior: set, doubles }, { book: { ...book, plan: { runs } } })), 'doubles')
    expect(withDoubles()).toEqual([])
    const found = withDoubles({ run: 'p', pages: 1, title: 'Moss' }, { run: 'gone', pages: 3, title: 'Fern' })
    expect(found).toMatchObject([{ severity: 'remark', message: 'One page of “Sudoku” stands in “Moss” as well.' }])
    expect(found[0]!.place).toMatchObject({ kind: 'page', page: 4 })
    sound(found)
  })
  test('by hand: what waits for a page that is gone is said, with what the page was made from', () => {
    const runs = [{ id: 'p', kind: 'prompts', pages: 2, seed: 1, params: {} }]
    const wait = { page: 1, of: 'Rain on the roof', pieces: [] }
    const withHands = (...waiting: (typeof wait)[]): Finding[] =>
      named(
        check(
          subject(
            { interior: { ...interior, byHand: [{ run: 'p', on: new Map(), waiting }] } },
            { book: { ...book, plan: { runs } } },
          ),
        ),
        'by hand',
      )
    expect(withHands()).toEqual([])
    const one = withHands(wait)
    expect(one).toMatchObject([
      { severity: 'mend', message: expect.stringMatching(/one page wait .*“Rain on the roof” is gone/) },
    ])
    expect(withHands(wait, { ...wait, of: '' })[0]!.message).toContain('Changes of 2 pages wait')
    sound(one)
  })
  test('words of one’s own that may offend are remarked where their run begins', () => {
    const runs = [{ id: 'p', kind: 'word-search', pages: 2, seed: 1, params: {} }]
    const withWords = (...words: string[]): Finding[] =>
      named(
        check(
          subject(
            { interior: { ...interior, starts: new Map([['run:p', 4]]), offending: [{ run: 'p', words }] } },
            { book: { ...book, plan: { runs } } },
          ),
        ),
        'offence',
      )
    const found = withWords('one', 'two', 'three', 'four')
    expect(found).toMatchObject([{ severity: 'remark', place: { kind: 'page', page: 4 } }])
    expect(found[0]!.message).toBe(
      '“one”, “two”, “three” and 1 more in the words of “Word search” may offend a reader.',
    )
    sound(found)
  })
  test('pictures of runs: gone, without their fonts, in colours', () => {
    const asset = (id: string, more: object = {}) => ({
      id,
      type: 'application/pdf' as const,
      width: 4000,
      height: 6000,
      ...more,
    })
    const assets = [asset('fine'), asset('bare', { lacksFonts: true }), asset('red', { coloured: true })]
    const piece = {
      id: 'own1',
      kind: 'picture',
      x: 0,
      y: 0,
      width: 1,
      height: 1,
      params: { picture: 'lost', fit: 'fill', round: 0 },
    }
    const run = { id: 'p', kind: 'elsewhere', pages: 4, seed: 1, params: { pictures: ['fine', 'bare', 'red', 'gone'] } }
    const withRun = (r: object): Finding[] =>
      named(check(subject({}, { book: { ...book, assets, plan: { runs: [r] } as Book['plan'] } })), 'pictures')
    expect(withRun({ ...run, params: { pictures: ['fine'] } })).toEqual([])
    const found = withRun({ ...run, hand: [{ page: 0, of: '', pieces: [], added: [piece] }] })
    expect(found.map(f => [f.severity, f.message])).toEqual([
      ['stop', expect.stringContaining('2 pages have pictures that are gone')],
      ['stop', expect.stringContaining('one page prints with a font')],
      ['remark', expect.stringContaining('one page asks for colours')],
    ])
    sound(found)
  })
  test('small print and faint lines of planned pages, each where it is worst; large print asks for more', async () => {
    const place = (id: string) => ({ section: `run:${id}`, block: 'page' })
    const pageOf = async (id: string, size: number): Promise<PageMarks> => {
      const style = await smallPrint('figtree/regular', size, 'en', shelf)
      const out = new LayerBuilder()
      setFrag(out, style.frag('moss'), { x: 50, y: 80, place: place(id) })
      return { ...interior.pages[0]!, layers: [{ layer: out.build(), x: 0, y: 0 }] }
    }
    const pages = [await pageOf('p', 12), await pageOf('p', 5.2), await pageOf('q', 8)]
    const runs = [
      { id: 'p', kind: 'sudoku', pages: 2, seed: 1, params: { size: '9', band: 'easy' } },
      { id: 'q', kind: 'lined', pages: 1, seed: 1, params: { spacing: 20, tone: 0.1 } },
    ]
    const looked = (plan: object): Finding[] =>
      check(subject({ interior: { ...interior, pages } }, { book: { ...book, plan: { runs, ...plan } } }))
    expect(named(looked({}), 'small print')).toMatchObject([{ severity: 'mend', amount: '5.2 pt', place: { page: 1 } }])
    const large = named(looked({ large: true, runs: [{ ...runs[0]!, id: 'q' }] }), 'small print')
    expect(large).toMatchObject([{ amount: '8.0 pt', message: expect.stringMatching(/large print has 14/) }])
    expect(named(looked({}), 'faint lines')).toMatchObject([
      { amount: '10 %', message: expect.stringMatching(/“Lined”/) },
    ])
    expect(named(looked({ runs: [{ ...runs[1]!, params: { tone: 0.2 } }] }), 'faint lines')).toEqual([])
    sound([...large, ...named(looked({}), 'faint lines')])
  })
  test('overfull line, page ends, blank pages', () => {
    const bad = {
      ...interior,
      stats: { ...interior.stats, over: 2, unmet: { ...interior.stats.unmet, widows: 1, strandedHeads: 2 } },
      pages: interior.pages.map((p, i) => (i > 8 && i < 12 ? { ...p, layers: [] } : p)),
    }
    const f = check(subject({ interior: bad }))
    expect(named(f, 'overfull line')[0]!.amount).toBe('2 lines')
    expect(named(f, 'page ends')).toHaveLength(2)
    expect(named(f, 'blank pages')[0]).toMatchObject({ place: { page: 11 } })
  })
  test('spine drawn for another count', async () => {
    const f = named(check(subject({ cover: await coverFor(interior.pages.length + 40) })), 'spine')
    expect(f[0]).toMatchObject({
      severity: 'stop',
      amount: `${(40 * 0.00254).toFixed(3).replace(/0+$/, '')} in`,
      place: { kind: 'cover', piece: 'spine' },
    })
    // Within the press's own play a difference is none.
    expect(
      named(check(subject({ cover: { ...cover, flat: { ...cover.flat, width: cover.flat.width + 0.2 } } })), 'spine'),
    ).toEqual([])
  })
  test('cover: a character that no font has stops it, at its piece; one that another font lends does not', async () => {
    const saying = (description: string): Promise<Cover> =>
      coverFor(interior.pages.length, lampOverTide, { ...book.data, description })
    const found = async (description: string) =>
      named(check(subject({ cover: await saying(description) })), 'missing character')
    expect(await found('A tide, ἡ θάλασσα, and home.')).toEqual([])
    const [snake, ...others] = await found('A tide \u{1F40D} went out.')
    expect(others).toEqual([])
    expect(snake).toMatchObject({ severity: 'stop', place: { kind: 'cover', piece: 'description' } })
    expect(snake!.message).toMatch(/No font of the style has all of “.*\u{1F40D}.*”/u)
    expect((await found('שלום'))[0]!.message).toContain('from right to left')
  })
  test('cover: safe zone, too long, contrast, barcode kept clear', async () => {
    const moved = {
      ...cover,
      pieces: cover.pieces.map(p => (p.id === 'title' ? { ...p, box: { ...p.box, y: 2 } } : p)),
    }
    expect(named(check(subject({ cover: moved })), 'cover safe zone')[0]).toMatchObject({ place: { piece: 'title' } })
    expect(
      named(
        check(
          subject({
            cover: await coverFor(interior.pages.length, lampOverTide, { ...book.data, title: 'Tide '.repeat(1800) }),
          }),
        ),
        'cover text',
      )[0]!.place,
    ).toEqual({ kind: 'cover', piece: 'title' })
    const dim = { ...lampOverTide, pieces: lampOverTide.pieces.map(p => ({ ...p, colour: '#1d4048' })) }
    const dimmed = await coverFor(interior.pages.length, dim)
    const c = named(check(subject({ cover: dimmed, ground: await groundOf(dimmed) })), 'contrast')
    expect(c[0]!.amount).toMatch(/^1\.\d : 1$/)
    expect(named(check(subject({ ground: await groundOf(cover) })), 'contrast')).toEqual([])
    // Light letters on a picture that is light where they stand, and dark elsewhere.
    const { createCanvas } = await import('@napi-rs/canvas')
    const picture = (top: string, foot: string): Uint8Array => {
      const canvas = createCanvas(60, 90)
      const ctx = canvas.getContext('2d')
      ctx.fillStyle = top
      ctx.fillRect(0, 0, 60, 45)
      ctx.fillStyle = foot
      ctx.fillRect(0, 45, 60, 45)
      return new Uint8Array(canvas.toBuffer('image/png'))
    }
    const over = async (top: string, foot: string): Promise<string[]> => {
      const bytes = picture(top, foot)
      const id = hashOf(bytes)
      const pictured = await drawCover(
        flatFor(profile, { ...spec, pages: interior.pages.length }),
        { ...lampOverTide, picture: { asset: id, over: 'sheet' } },
        book.data,
        { isbn: '9780000000002', shelf, assets: [{ id, type: 'image/png', width: 60, height: 90 }] },
      )
      const ground = await groundOf(pictured, new Map([[id, bytes]]))
      return named(check(subject({ cover: pictured, ground })), 'contrast').map(
        f => (f.place as { piece: string }).piece,
      )
    }
    expect(await over('#f5f0e6', '#f5f0e6')).toContain('title')
    expect(await over('#f5f0e6', '#102026')).toContain('title')
    expect(await over('#102026', '#f5f0e6')).not.toContain('title')
    expect(await over('#102026', '#102026')).toEqual([])
    const onBars = {
      ...cover,
      pieces: [{ ...cover.pieces[0]!, panel: 'back' as const, box: { ...cover.barcode!, width: 20 } }],
    }
    expect(named(check(subject({ cover: onBars })), 'barcode')).toHaveLength(1)
  })
  test('what ends at a fold or at the trim is found; what reaches over both is not', async () => {
    const shape = (
      panel: 'front' | 'spine' | 'sheet',
      box: { x: number; y: number; width: number; height: number },
    ) => ({
      id: 'band',
      kind: 'shape' as const,
      form: 'rectangle' as const,
      colour: '#b4432f',
      panel,
      within: 'panel' as const,
      box,
    })
    const found = async (...of: Parameters<typeof shape>): Promise<string[]> => {
      const design = { ...lampOverTide, pieces: [...lampOverTide.pieces, shape(...of)] }
      const drawn = await coverFor(interior.pages.length, design)
      return check(subject({ cover: drawn }))
        .filter(f => f.rule === 'fold' || f.rule === 'bleed')
        .map(f => f.rule)
    }
    expect(await found('spine', { x: 0, y: 0, width: 1, height: 1 })).toEqual(['fold'])
    expect(await found('sheet', { x: 0, y: 0.4, width: 1, height: 0.2 })).toEqual([])
    // Of a sheet 9.25 in high, 0.125 of bleed is 1.35 %: it ends on the trim, short of the bleed.
    expect(await found('sheet', { x: 0, y: 0.9, width: 1, height: 0.1 - 0.01 })).toEqual(['bleed'])
    expect(await found('front', { x: 0.3, y: 0.3, width: 0.2, height: 0.2 })).toEqual([])
  })
  test('ISBN wanted, and right', () => {
    expect(named(check(subject({ isbn: undefined })), 'barcode')[0]).toMatchObject({ severity: 'mend' })
    expect(named(check(subject({ isbn: '9780000000003' })), 'barcode')[0]).toMatchObject({ severity: 'stop' })
  })
  test('ebook: weight, front, descriptions, empty sections', () => {
    const b = createBook('e', book.data, [
      chapter('s1', 'A', {
        type: 'doc',
        content: [{ type: 'image', attrs: { id: 'b1', asset: 'x', alt: '', decoration: false, share: 1 } }],
      }),
      chapter('s2', 'B', { type: 'doc', content: [{ type: 'paragraph', attrs: { id: 'b2' } }] }),
    ])
    const f = check({
      book: b,
      profile,
      ebook: { bytes: 251e6, front: { width: 800, height: 1200 }, price: 60, leastPrice: 80 },
    })
    expect(f.map(x => x.rule)).toEqual([
      'price',
      'ebook weight',
      'front picture',
      'picture description',
      'empty section',
    ])
    expect(named(f, 'ebook weight')[0]!.amount).toBe('1.0 MB')
    sound(f)
  })
  test('ebook: what keeps readers out is said at its place', () => {
    const gaps = [
      { kind: 'heading skips a level' as const, section: 's1', block: 'b1', words: 'Salt' },
      { kind: 'picture not described' as const, section: 's1', block: 'b2' },
      { kind: 'language not known' as const, section: '', block: '' },
    ]
    const f = named(check({ book, profile, ebook: { bytes: 1, gaps } }), 'accessible to all')
    expect(f.map(x => [x.severity, x.place])).toEqual([
      ['remark', { kind: 'text', section: 's1', block: 'b1' }],
      ['remark', { kind: 'data', field: 'language' }],
    ])
    expect(f[0]!.message).toContain('“Salt” skips a level')
    sound(f)
  })
  test('ebook: what the file has against it is said once, at its section', () => {
    const fault = (rule: string, file: string, severity: 'stop' | 'mend' | 'remark' = 'stop') => ({
      rule,
      severity,
      place: { file },
      message: 'A link leads nowhere.',
      remedy: 'Mend the link.',
    })
    const faults = [
      fault('broken link', 'OEBPS/text/s1.xhtml'),
      fault('page list', 'OEBPS/text/nav.xhtml', 'mend'),
      fault('weight', 'OEBPS/images/a.png'),
      fault('file without a name', 'OEBPS/x', 'remark'),
    ]
    const f = named(check({ book, profile, ebook: { bytes: 1, faults } }), 'ebook as any other')
    expect(f.map(x => [x.severity, x.place, x.message, remedyWords(x)])).toEqual([
      ['stop', { kind: 'text', section: 's1', block: '' }, 'A link leads nowhere.', 'Mend the link.'],
      ['mend', { kind: 'edition' }, 'OEBPS/text/nav.xhtml: A link leads nowhere.', 'Mend the link.'],
    ])
    sound(f)
  })
  test('recordings: what is damaged or gone, what an outlet does not take, what is not on paper', () => {
    const bell = { id: 'b'.repeat(64), type: 'audio/mpeg' as const, name: 'bell.mp3' }
    const plays = (id: string, recording: string, caption?: string) => ({
      type: 'image' as const,
      attrs: { id, asset: '', alt: 'A bell', decoration: false, share: 1, plays: recording },
      ...(caption ? { content: [{ type: 'text' as const, text: caption }] } : {}),
    })
    const own = (recordings: Book['recordings']): Book => ({
      ...book,
      recordings,
      sections: [
        chapter('s1', 'One', { type: 'doc', content: [plays('r1', bell.id), plays('r2', bell.id, 'The bell')] }),
      ],
    })
    const rules = (b: Book, more: object): [string, string][] =>
      check({ book: b, profile, ebook: { bytes: 1, ...more } })
        .filter(x => x.rule.includes('recording'))
        .map(x => [x.rule, x.place.kind === 'text' ? x.place.block : ''])
    expect(rules(own([bell]), {})).toEqual([])
    expect(rules(own([{ ...bell, damaged: true }]), {})).toEqual([
      ['damaged recording', 'r1'],
      ['damaged recording', 'r2'],
    ])
    expect(rules(own(undefined), {}).map(r => r[0])).toEqual(['damaged recording', 'damaged recording'])
    expect(rules(own([bell]), { recordingsLeftOut: [bell] })).toEqual([
      ['recording left out', 'r1'],
      ['recording left out', 'r2'],
    ])
    const [left] = check({
      book: own([bell]),
      profile,
      ebook: { bytes: 1, recordingsLeftOut: [bell], fixed: true },
    }).filter(x => x.rule === 'recording left out')
    expect(left!.message).toContain('its pages are fixed')
    const onPaper = recordingsOnPaper({ book: own([bell]), profile, print: {} as never })
    expect(onPaper.map(x => x.place)).toEqual([{ kind: 'text', section: 's1', block: 'r1' }])
    expect(recordingsOnPaper({ book: own([bell]), profile })).toEqual([])
  })
  test('ebook: what of the author’s it goes without is said, with what mends it', () => {
    const leftOut = [
      { kind: 'sheet' as const, where: 'line 3', why: 'A brace is not closed.' },
      { kind: 'wordless' as const, where: 'torn.pdf', why: 'It is no PDF.' },
    ]
    const f = named(check({ book, profile, ebook: { bytes: 1, leftOut } }), 'ebook files')
    expect(f.map(x => [x.severity, x.remedy])).toEqual([
      ['mend', 'mend the sheet'],
      ['mend', 'make the page anew'],
    ])
    expect(f[0]!.message).toBe('Your own style sheet is left out of the ebook for its line 3: A brace is not closed.')
    sound(f)
  })
  test('ebook: a script in the made file stops it', () => {
    const book = bookOf([['It rang.']])
    const epub = unzipSync(writeEpub(book, { date: '2026-03-09T04:10:00Z', picture: () => undefined }))
    const [page] = Object.keys(epub).filter(f => /\/s\d+\.xhtml$/.test(f))
    const faulty = strFromU8(epub[page!]!).replace('<p', '<p onclick="x()"')
    const faults = checkEpub(zipSync({ ...epub, [page!]: strToU8(faulty) }))
    const f = named(check({ book, profile, ebook: { bytes: 1, faults } }), 'ebook as any other')
    const said = f.find(x => x.message === 'It holds a script (onclick).')
    expect([said?.severity, said?.place.kind]).toEqual(['stop', 'text'])
    sound(f)
  })
})
