import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { shelf } from '../../../../tests/support/core'
import { wordOf } from './pictures/cleaning'
import { pathsOn, pieceOn } from '../../../../tests/support/pathsOn'
import { type WordOn, wordsOn } from '../../../../tests/support/wordsOn'
import type { Asset, Run } from '../../book'
import { type ImageMark, type Layer, type Path } from '../../marks'
import { pathBox } from '../../marks/path'
import { printedLanguages } from '../../book'
import { pageWords } from '../../words'
import { kindOf } from '../registry'
import { type Drawing, RunPress } from '../runPress'

/** What sheets, prompts, frames and pictures promise beside what all kinds do. */

const ROOM = { width: 380, height: 540 }
async function drawn(
  kind: string,
  params: object = {},
  more: Partial<Drawing> & { pages?: number; seed?: number } = {},
): Promise<Layer[]> {
  const { pages = 1, seed = 4, ...drawing } = more
  const run: Run = { id: 'r1', kind, pages, seed, params: { ...structuredClone(kindOf(kind)!.plain), ...params } }
  return new RunPress(shelf).layersOf(run, { runs: [run], room: ROOM, language: 'en-GB', ...drawing })
}
const words = async (...of: Parameters<typeof drawn>): Promise<WordOn[]> => (await drawn(...of)).flatMap(wordsOn)
const texts = async (...of: Parameters<typeof drawn>): Promise<string[]> => (await words(...of)).map(w => w.text)

/** Level lines of a layer by their height: thin boxes that are wider than high. */
function levels(layer: Layer): { y: number; x0: number; x1: number }[] {
  return pathsOn(layer)
    .flatMap(i => (i.fill ? rects(i.path) : []))
    .filter(r => r.x1 - r.x0 > 3 * (r.y1 - r.y0))
    .map(r => ({ y: (r.y0 + r.y1) / 2, x0: r.x0, x1: r.x1 }))
}
/** The boxes that a path of boxes is made of. */
function rects({ xy }: Path): { x0: number; y0: number; x1: number; y1: number }[] {
  return Array.from({ length: xy.length / 8 }, (_, i) => ({
    x0: xy[8 * i]!,
    y0: xy[8 * i + 1]!,
    x1: xy[8 * i + 4]!,
    y1: xy[8 * i + 5]!,
  }))
}

describe('words of pages to fill in', () => {
  const languages = printedLanguages
  test('are there in all languages that are offered, different ones, with what is put in', () => {
    const keys = Object.keys(pageWords('en'))
    for (const language of languages) {
      const all = pageWords(language) as Record<string, string>
      expect(Object.keys(all)).toEqual(keys)
      for (const key of keys) expect(all[key]).toMatch(/^\p{Lu}|^\p{Ll}.*\{n\}/u)
      expect(all.answerOn).toContain('{n}')
      expect(all.page).toContain('{n}')
    }
    expect(new Set(languages.map(l => JSON.stringify(pageWords(l)))).size).toBe(languages.length)
    expect(pageWords('is')).toBe(pageWords('en'))
  })
  test.each([
    ['recipe', ['ingredients', 'method', 'serves', 'oven', 'notes']],
    ['reading-log', ['title', 'author', 'begun', 'finished', 'thoughts']],
    ['travel-log', ['place', 'date', 'with', 'weather', 'saw', 'ate', 'keep']],
    ['budget', ['income', 'fixed', 'spending', 'planned', 'actual', 'total', 'left']],
    ['habits', ['habit', 'month']],
    ['index-pages', ['topic', 'pages']],
    ['bookplate', ['belongsTo', 'begun', 'finished']],
  ] as const)('“%s” says all of its own in each language, none of them cut', async (kind, keys) => {
    for (const language of languages) {
      const said = await texts(kind, {}, { language })
      // Where a face has not the letters, another lends them, and the spaces between stay its own.
      const phrases = said.join('\n').replaceAll('\n \n', ' ').split('\n')
      for (const key of keys) expect(phrases).toContain(pageWords(language)[key])
    }
  })
})

describe('lines of pages to fill in', () => {
  test.each(['recipe', 'reading-log', 'travel-log', 'checklist', 'index-pages', 'budget'])(
    'those of “%s” stand so far apart as they are asked to, none nearer',
    async kind => {
      await fc.assert(
        fc.asyncProperty(fc.double({ min: 14, max: 24, noNaN: true }), async spacing => {
          const [layer] = await drawn(kind, { spacing })
          const columns = new Map<string, number[]>()
          for (const { x0, x1, y } of levels(layer!)) {
            if (x1 - x0 < 40) continue
            const key = `${x0.toFixed(0)}/${x1.toFixed(0)}`
            columns.set(key, [...(columns.get(key) ?? []), y])
          }
          expect(columns.size).toBeGreaterThan(0)
          const gaps = [...columns.values()].flatMap(ys =>
            ys
              .sort((a, b) => a - b)
              .slice(1)
              .map((y, i) => y - ys[i]!),
          )
          expect(gaps.filter(g => Math.abs(g - spacing) < 0.01).length).toBeGreaterThan(gaps.length * 0.4)
        }),
        { numRuns: 8 },
      )
    },
  )
  test('a checklist has a square before each line, as many columns as it is asked for', async () => {
    for (const columns of [1, 2, 3]) {
      const [layer] = await drawn('checklist', { columns, spacing: 20 })
      const long = levels(layer!).filter(l => l.x1 - l.x0 > 60)
      expect(new Set(long.map(l => l.x0.toFixed(1))).size).toBe(columns)
      const short = levels(layer!).filter(l => l.x1 - l.x0 < 20)
      expect(short).toHaveLength(2 * long.length)
    }
  })
  test('habits: each day of a month has its number and a column as wide as the others', async () => {
    const days = (await words('habits', {}, { room: { width: 800, height: 540 } })).filter(w => /^\d+$/.test(w.text))
    expect(days.map(w => Number(w.text))).toEqual(Array.from({ length: 31 }, (_, i) => i + 1))
    const middles = days.map(w => (w.x + w.end) / 2)
    const steps = middles.slice(1).map((x, i) => x - middles[i]!)
    for (const s of steps) expect(s).toBeCloseTo(steps[0]!, 1)
  })
})

describe('a log over two pages', () => {
  const columns = [
    { name: 'Date', share: 2 },
    { name: 'seen', share: 1, under: 'Queen' },
    { name: 'marked', share: 1, under: 'Queen' },
    { name: 'Stores', share: 2, unit: 'frames' },
    { name: 'Notes', share: 6 },
  ]
  test('has each column once, rows level on both pages, a head over those that share it, units below', async () => {
    const [left, right] = await drawn('log', { columns, on: 'spread' }, { pages: 2, sides: ['verso', 'recto'] })
    const said = [wordsOn(left!).map(w => w.text), wordsOn(right!).map(w => w.text)]
    expect(said[0]).toEqual(['Date', 'seen', 'marked', 'Stores', 'frames', 'Queen'])
    expect(said[1]).toEqual(['Notes'])
    const rows = (layer: Layer): string[] =>
      levels(layer)
        .filter(l => l.x1 - l.x0 > ROOM.width - 1)
        .map(l => l.y.toFixed(2))
    expect(rows(left!)).toEqual(rows(right!))
    const head = wordsOn(left!).find(w => w.text === 'Queen')!
    const [seen, stores] = ['seen', 'Stores'].map(t => wordsOn(left!).find(w => w.text === t)!)
    expect(head.y).toBeLessThan(seen!.y)
    expect([head.x >= seen!.x - 1, head.end <= stores!.x]).toEqual([true, true])
    const unit = wordsOn(left!).find(w => w.text === 'frames')!
    expect([unit.y > stores!.y, Math.abs(unit.x - stores!.x) < 1]).toEqual([true, true])
  })
  test('on one page has all of them, and a run that was kept before there were spreads is one page a row', async () => {
    expect(await texts('log', { columns })).toHaveLength(7)
    const old = { spacing: 20, tone: 0.4, columns: [{ name: 'Day', share: 1 }] }
    expect(kindOf('log')!.schema().isValidSync(old)).toBe(true)
    const run: Run = { id: 'r', kind: 'log', pages: 2, seed: 1, params: old }
    const layers = await new RunPress(shelf).layersOf(run, { runs: [run], room: ROOM, language: 'en' })
    expect(layers.map(l => wordsOn(l).map(w => w.text))).toEqual([['Day'], ['Day']])
  })
})

describe('comic frames', () => {
  test('fill the page, keep their gutters and never overlap; no two pages of a varied run are all alike', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 1, max: 4 }),
        fc.nat({ max: 999 }),
        async (rows, most, seed) => {
          const gutter = 9
          const layers = await drawn('comic', { rows, most, gutter, line: 1 }, { pages: 4, seed })
          for (const layer of layers) {
            const frames = framesOf(layer)
            const box = [Math.min, Math.min, Math.max, Math.max].map((f, i) => f(...frames.map(r => r[i]!)))
            expect(box.map(Math.round)).toEqual([0, 0, ROOM.width, ROOM.height])
            for (const a of frames)
              for (const b of frames) {
                if (a === b) continue
                const [across, down] = [Math.max(a[0]! - b[2]!, b[0]! - a[2]!), Math.max(a[1]! - b[3]!, b[1]! - a[3]!)]
                expect(Math.max(across, down)).toBeGreaterThan(gutter - 1.6)
              }
            expect(frames.length).toBeLessThanOrEqual(rows * most)
          }
        },
      ),
      { numRuns: 25 },
    )
    const shapes = (await drawn('comic', {}, { pages: 8 })).map(l => JSON.stringify(framesOf(l)))
    expect(new Set(shapes).size).toBeGreaterThan(4)
    const same = (await drawn('comic', { pages: 'same' }, { pages: 5 })).map(l => JSON.stringify(framesOf(l)))
    expect(new Set(same).size).toBe(1)
  })
  /** Frames by their four lines, in the order in which they are drawn: top, foot, left, right. */
  function framesOf(layer: Layer): number[][] {
    const lines = rects(pathsOn(layer)[0]!.path)
    return Array.from({ length: lines.length / 4 }, (_, i) => {
      const four = lines.slice(4 * i, 4 * i + 4)
      return [
        Math.min(...four.map(l => l.x0)),
        Math.min(...four.map(l => l.y0)),
        Math.max(...four.map(l => l.x1)),
        Math.max(...four.map(l => l.y1)),
      ]
    })
  }
})

describe('prompts', () => {
  const rows = [
    'What did the tide bring?',
    'Name three sounds of this morning, and say which of them you would keep if you could keep one',
    'Why?',
  ]
  const params = { rows: { bank: '', text: rows.join('\n') } }
  test('each page has one row, whole, in its order and again from the first; large ones are set smaller until they fit', async () => {
    for (const stands of ['head', 'middle', 'foot']) {
      const layers = await drawn('prompts', { ...params, stands, size: 40 }, { pages: 5 })
      layers.forEach((layer, i) => {
        const set = wordsOn(layer)
        expect(set.map(w => w.text.trim()).join(' ')).toBe(rows[i % 3])
        for (const w of set)
          expect([w.x >= -0.5, w.end <= ROOM.width + 0.5, w.y <= ROOM.height]).toEqual([true, true, true])
      })
      const sizes = layers.map(l => wordsOn(l)[0]!.size)
      expect(sizes[1]).toBeLessThanOrEqual(sizes[2]!)
    }
  })
  test('lines keep clear of the words, wherever these stand; sayings that ship serve as well', async () => {
    for (const [stands, below] of [
      ['head', true],
      ['foot', false],
    ] as const) {
      const [layer] = await drawn('prompts', { ...params, stands })
      const set = wordsOn(layer!)
      const [first, last] = [Math.min(...set.map(w => w.y - w.size)), Math.max(...set.map(w => w.y))]
      const ys = levels(layer!).map(l => l.y)
      expect(ys.length).toBeGreaterThan(8)
      for (const y of ys) expect(below ? y > last + 5 : y < first).toBe(true)
    }
    expect((await texts('prompts', {}, { pages: 3 })).join(' ').length).toBeGreaterThan(30)
    expect(await texts('prompts', { rows: { bank: '', text: '' } })).toEqual([])
  })
})

describe('pictures', () => {
  const asset = (id: string, width: number, height: number): [string, Asset] => [
    id,
    { id, type: 'image/png', width, height, name: `${id}.png` },
  ]
  const assets = new Map([asset('wide', 800, 400), asset('high', 300, 900)])
  const imagesIn = (layer: Layer): ImageMark[] =>
    layer.items.flatMap(i => (i.kind === 'image' ? [i] : i.kind === 'group' ? i.layers.flatMap(imagesIn) : []))
  test('each stands whole in its shape within the page, or fills it and is cut at its edge', async () => {
    for (const frame of ['none', 'line', 'round'])
      for (const fit of ['within', 'fill']) {
        const layers = await drawn(
          'pictures',
          { pictures: ['wide', 'high'], fit, frame, line: 2 },
          { pages: 2, assets },
        )
        layers.forEach((layer, i) => {
          const [image] = imagesIn(layer)
          const of = assets.get(['wide', 'high'][i]!)!
          expect(image!.width / image!.height).toBeCloseTo(of.width / of.height, 3)
          const covers = image!.width >= ROOM.width - 4.1 && image!.height >= ROOM.height - 4.1
          expect(covers).toBe(fit === 'fill')
          if (fit === 'within') {
            expect(image!.x).toBeGreaterThanOrEqual(-0.01)
            expect(image!.x + image!.width).toBeLessThanOrEqual(ROOM.width + 0.01)
            expect(image!.y + image!.height).toBeLessThanOrEqual(ROOM.height + 0.01)
          } else {
            const [group] = pieceOn(layer, 'body').items.flatMap(x => (x.kind === 'group' ? [x] : []))
            const [x0, y0, x1, y1] = pathBox(group!.clip!)
            expect([x0 >= 0, y0 >= 0, x1 <= ROOM.width, y1 <= ROOM.height]).toEqual([true, true, true, true])
          }
        })
      }
  })
  test('take a page each; one that is gone leaves a crossed box in its place, and is drawn when it is there again', async () => {
    const kind = kindOf('pictures')!
    expect(kind.pagesFor!({ pictures: ['a', 'b', 'c'] }, undefined)).toBe(3)
    const press = new RunPress(shelf)
    const run: Run = { id: 'r', kind: 'pictures', pages: 1, seed: 1, params: { ...kind.plain, pictures: ['wide'] } }
    const on = { runs: [run], room: ROOM, language: 'en' }
    const [gone] = await press.layersOf(run, { ...on, assets: new Map() })
    expect(imagesIn(gone!)).toEqual([])
    expect(pathsOn(gone!).length).toBeGreaterThan(1)
    const [there] = await press.layersOf(run, { ...on, assets })
    expect(imagesIn(there!)).toHaveLength(1)
  })
  /** A leaf of 400 by 600 with the room of these tests in it, cut off on three sides. */
  const bleed = { top: 9, right: 9, bottom: 9, left: 0 }
  const leaf = { x: -40, y: -30, width: ROOM.width + 70, height: ROOM.height + 80, bleed }
  const leaves = { recto: leaf, verso: leaf }
  test('over the edge: a picture covers the leaf with all that is cut off, and nothing beside it', async () => {
    const [layer] = await drawn('pictures', { pictures: ['wide'], fit: 'bleed', frame: 'line' }, { assets, leaves })
    const [group] = pieceOn(layer!, 'body').items.flatMap(x => (x.kind === 'group' ? [x] : []))
    const [x0, y0, x1, y1] = pathBox(group!.clip!)
    expect([x0, y0]).toEqual([-40, -39])
    expect([x1 - x0, y1 - y0]).toEqual([leaf.width + 9, leaf.height + 18])
    const [image] = imagesIn(layer!)
    expect(image!.x).toBeLessThanOrEqual(x0)
    expect(image!.x + image!.width).toBeGreaterThanOrEqual(x1)
    // A frame would be cut off with it.
    expect(pathsOn(layer!).filter(p => p.stroke)).toEqual([])
    expect(kindOf('pictures')!.bleeds!({ fit: 'bleed' })).toBe(true)
    expect(kindOf('pictures')!.bleeds!({ fit: 'fill' })).toBe(false)
  })
  test('a drawing is printed cleaned once that is made as it is asked for, and as it is until then', async () => {
    const how = { dark: 0.4, thicken: 1, specks: 30 }
    const asked = { pictures: ['wide'], lines: 'clean', ...how }
    const cleaned = asset('wide-clean', 800, 400)
    const wide: [string, Asset] = [
      'wide',
      { ...assets.get('wide')!, cleaned: [{ how: wordOf(how), id: 'wide-clean' }] },
    ]
    const shown = async (params: object, all: Map<string, Asset>): Promise<string[]> =>
      (await drawn('pictures', params, { assets: all })).flatMap(imagesIn).map(i => i.asset)
    expect(await shown(asked, assets)).toEqual(['wide'])
    const both = new Map([...assets, wide, cleaned])
    expect(await shown(asked, both)).toEqual(['wide-clean'])
    expect(await shown({ ...asked, thicken: 2 }, both)).toEqual(['wide'])
    expect(await shown({ ...asked, lines: 'as' }, both)).toEqual(['wide'])
    // What was made is gone: the drawing itself is printed.
    expect(await shown(asked, new Map([...assets, wide]))).toEqual(['wide'])
  })
  test('made elsewhere: once each or in turn; on the leaf a page of a PDF is laid on the trim, a picture over it', async () => {
    const kind = kindOf('elsewhere')!
    const pdf: [string, Asset] = [
      'pdf',
      { id: 'pdf', type: 'application/pdf', width: leaf.width * 10, height: leaf.height * 10 },
    ]
    const all = new Map([...assets, pdf])
    expect(kind.pagesFor!({ pictures: ['pdf', 'wide'], turn: 'once' }, undefined)).toBe(2)
    expect(kind.pagesFor!({ pictures: ['pdf', 'wide'], turn: 'again' }, undefined)).toBeUndefined()
    const params = { pictures: ['pdf', 'wide'], turn: 'again' }
    const pages = await drawn('elsewhere', params, { pages: 5, assets: all, leaves })
    expect(pages.map(l => imagesIn(l)[0]!.asset)).toEqual(['pdf', 'wide', 'pdf', 'wide', 'pdf'])
    const [cut, over] = pages.map(l => imagesIn(l)[0]!)
    expect([cut!.x, cut!.y]).toEqual([expect.closeTo(-40, 3), expect.closeTo(-30, 3)])
    expect([cut!.width, cut!.height]).toEqual([expect.closeTo(leaf.width, 3), expect.closeTo(leaf.height, 3)])
    expect(over!.height).toBeCloseTo(leaf.height + 18, 3)
    const [within] = await drawn('elsewhere', { ...params, stands: 'room' }, { assets: all, leaves })
    const [image] = imagesIn(within!)
    expect(Math.min(image!.x, image!.y)).toBeGreaterThanOrEqual(-0.01)
    expect(image!.x + image!.width).toBeLessThanOrEqual(ROOM.width + 0.01)
    expect(await drawn('elsewhere', { pictures: [] })).toHaveLength(1)
  })
})
