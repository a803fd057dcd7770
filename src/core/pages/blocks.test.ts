import { beforeAll, describe, expect, test } from '@jest/globals'
import { chapter, paragraph, setBook, shelf } from '../../../tests/support/core'
import {
  type BlockJson,
  createBook,
  type DocJson,
  type InlineJson,
  type ParagraphJson,
  type Section,
  type TextJson,
} from '../book'
import { type ImageMark, LayerBuilder, type PageMarks, pageText, pathBox, type PathMark, visitPage } from '../marks'
import type { Face } from '../type'
import { flowItems } from './blocks'
import { basesOf, type BlockContext } from './context'
import type { FlowItem } from './flow'
import { harbourRoman, Setter, Typefaces } from '.'

/** One run of glyphs as it stands on a page. */
interface Run {
  text: string
  x: number
  y: number
  end: number
  size: number
  face: string
}

function runs(page: PageMarks): Run[] {
  const out: Run[] = []
  visitPage(page, v => {
    if (!('text' in v)) return
    const t = v.text
    for (let i = 0; i < t.count; i++) {
      const face = t.faces[t.face[i]!]! as Face
      const [from, to] = [t.start[i]!, t.start[i + 1]!]
      let text = ''
      for (let g = from; g < to; g++) text += face.pairText(t.glyphs[g]!)
      const last = t.glyphs[to - 1]!
      out.push({
        text,
        x: v.x + t.x[from]!,
        y: v.y + t.baseline[i]!,
        end: v.x + t.x[to - 1]! + (face.advance(face.pairGlyph(last)) / face.unitsPerEm) * t.size[i]! * t.stretch[i]!,
        size: t.size[i]!,
        face: face.key,
      })
    }
  })
  return out
}

const items = <T extends 'image' | 'path'>(page: PageMarks, kind: T): (T extends 'image' ? ImageMark : PathMark)[] => {
  const out: (ImageMark | PathMark)[] = []
  visitPage(page, v => {
    if ('item' in v && v.item.kind === kind)
      out.push({ ...v.item, ...(v.item.kind === 'image' ? { x: v.item.x + v.x, y: v.item.y + v.y } : {}) } as ImageMark)
  })
  return out as never
}

const prose =
  'The harbour lay below her as flat as a tray, and she wrote that in the margin of her rough book with the time beside it. '
const text = (t: string, ...marks: TextJson['marks'] & object): TextJson => ({
  type: 'text',
  text: t,
  ...(marks.length ? { marks } : {}),
})
let n = 0
const withIds = (content: BlockJson[]): DocJson => {
  const walk = (x: unknown): void => {
    const node = x as { attrs?: { id?: string }; content?: unknown[] }
    if (node.attrs && 'id' in node.attrs) node.attrs.id = `b${++n}`
    node.content?.forEach(walk)
  }
  const doc = JSON.parse(JSON.stringify({ type: 'doc', content })) as DocJson
  walk(doc)
  return doc
}
const bookWith = (sections: Section[], more: object = {}) => ({
  ...createBook(
    't',
    {
      title: 'The Book',
      contributors: [{ name: 'Orla Fenwright', role: 'aut' }],
      language: 'en-GB',
      imprint: { name: 'Saltgrass Lane Press', place: 'Merrow Sound' },
      subjects: [],
      year: 2026,
    },
    sections,
  ),
  ...more,
})
const set = async (content: BlockJson[], more: object = {}): Promise<PageMarks[]> => {
  const interior = await setBook(bookWith([chapter('s1', 'A Title', withIds(content))], more))
  return interior.pages.slice(interior.starts.get('s1')!)
}
const p = (...content: InlineJson[]): BlockJson => ({ type: 'paragraph', attrs: { id: '', align: null }, content })
const left = 0.73 * 72
const right = 432 - 0.62 * 72
const { size, leading } = harbourRoman.text

describe('paragraphs', () => {
  test('the first is flush with small capitals, the next are indented', async () => {
    const page = runs((await set([p(text(prose)), p(text(prose)), p(text(prose))]))[0]!)
    const first = page.findIndex(r => r.text.startsWith('The harbour'))
    // A capital T leans out by a hair.
    expect(page[first]!.x).toBeCloseTo(left, 0)
    const starts = page.slice(first + 1).filter(r => r.text.startsWith('The harbour'))
    for (const s of starts) expect(s.x).toBeCloseTo(left + 1.4 * size, 0)
    expect(starts).toHaveLength(2)
  })
  test('a line goes through struck words and the gaps between them, and no farther; in cells of a table, too', async () => {
    const struck = text('thirty barrels', { type: 'strike' })
    const cell = (...content: InlineJson[]) => ({
      type: 'cell' as const,
      attrs: { span: 1 },
      content: [p(...content) as ParagraphJson],
    })
    const [page] = await set([
      p(text('Whole ', { type: 'em' }), struck, text(' of oil.', { type: 'em' })),
      {
        type: 'table',
        attrs: { id: '' },
        content: [{ type: 'row', attrs: { head: false }, content: [cell(text('In')), cell(struck)] }],
      },
    ])
    const strokes: [number, number, number, number][] = []
    visitPage(page!, v => {
      if (!('item' in v) || v.item.kind !== 'path') return
      const [x0, y0, x1, y1] = pathBox(v.item.path)
      // Rules of the table are thicker.
      if (y1 - y0 < 0.06 * size) strokes.push([x0 + v.x, y0 + v.y, x1 + v.x, y1 + v.y])
    })
    expect(strokes).toHaveLength(2)
    const words = runs(page!).filter(r => /thirty|barrels/.test(r.text))
    for (const [x0, y0, x1, y1] of strokes) {
      const its = words.filter(w => w.y > y1 && w.y - y1 < size * 0.4)
      expect(x0).toBeCloseTo(Math.min(...its.map(w => w.x)), 1)
      // The space behind the last word is in its run, and not struck.
      const behind = Math.max(...its.map(w => w.end)) - x1
      expect(behind).toBeGreaterThan(-0.05)
      expect(behind).toBeLessThan(size * 0.35)
      expect(its[0]!.y - (y0 + y1) / 2).toBeCloseTo(its[0]!.size * 0.24, 1)
    }
  })
  test('every baseline stands on the grid', async () => {
    for (const page of await set(Array(30).fill(p(text(prose + prose))) as BlockJson[]))
      for (const r of runs(page)) {
        if (r.size !== size) continue
        const row = (r.y - 72 * harbourRoman.margins.head - leading * 0.75) / leading
        expect(Math.abs(row - Math.round(row))).toBeLessThan(0.01)
      }
  })
  test('alignment is kept: right ends at the measure, centred has equal sides', async () => {
    const page = runs(
      (
        await set([
          p(text(prose)),
          { type: 'paragraph', attrs: { id: '', align: 'right' }, content: [text('to the right')] },
          { type: 'paragraph', attrs: { id: '', align: 'center' }, content: [text('in the middle')] },
        ])
      )[0]!,
    )
    expect(page.find(r => r.text === 'to the right')!.end).toBeCloseTo(right, 0)
    const mid = page.find(r => r.text === 'in the middle')!
    expect(mid.x - left).toBeCloseTo(right - mid.end, 0)
  })
  test('bold, italic, small capitals, raised and lowered', async () => {
    const page = runs(
      (
        await set([
          p(text('plain ')),
          p(
            text('strong ', { type: 'strong' }),
            text('stress ', { type: 'em' }),
            text('both ', { type: 'strong' }, { type: 'em' }),
            text('up', { type: 'superscript' }),
            text('down', { type: 'subscript' }),
          ),
        ])
      )[0]!,
    )
    const face = (t: string): string => page.find(r => r.text.trim() === t)!.face
    expect([face('strong'), face('stress'), face('both')]).toEqual([
      'eb-garamond/bold',
      'eb-garamond/italic',
      'eb-garamond/bold-italic',
    ])
    const base = page.find(r => r.text.trim() === 'strong')!.y
    expect(page.find(r => r.text === 'up')!.y).toBeLessThan(base)
    expect(page.find(r => r.text === 'down')!.y).toBeGreaterThan(base)
    expect(page.find(r => r.text === 'up')!.size).toBeLessThan(size * 0.7)
  })
  test('italic inside a caption, which is italic, stands upright', async () => {
    const asset = { id: 'a', type: 'image/png' as const, width: 600, height: 300 }
    const page = runs(
      (
        await set(
          [
            p(text(prose)),
            {
              type: 'image',
              attrs: { id: '', asset: 'a', alt: 'x', decoration: false, share: 1 },
              content: [text('the caption '), text('turned', { type: 'em' })],
            },
          ],
          { assets: [asset] },
        )
      )[0]!,
    )
    expect(page.find(r => r.text.startsWith('the caption'))!.face).toBe('eb-garamond/italic')
    expect(page.find(r => r.text === 'turned')!.face).toBe('eb-garamond/regular')
  })
  test('a hard break ends its line without stretching it', async () => {
    const page = runs(
      (await set([p(text(prose)), p(text('short line'), { type: 'hard_break' }, text('and the next one'))]))[0]!,
    )
    const a = page.find(r => r.text === 'short line')!
    expect(a.end).toBeLessThan(left + 120)
    expect(page.find(r => r.text === 'and the next one')!.y - a.y).toBeCloseTo(leading, 3)
  })
})

describe('other blocks', () => {
  test('quotes and letters are inset on both sides, with a line above and below', async () => {
    const page = runs(
      (
        await set([
          p(text(prose)),
          { type: 'quote', attrs: { id: '' }, content: [paragraph('', prose + prose)] },
          p(text('After it.')),
        ])
      )[0]!,
    )
    const inset = 1.6 * size
    const quoted = page.filter(r => r.size === size - 0.5)
    expect(quoted.length).toBeGreaterThan(2)
    for (const r of quoted) {
      expect(r.x).toBeGreaterThan(left + inset - 4)
      expect(r.end).toBeLessThan(right - inset + 4)
    }
    const after = page.find(r => r.text === 'After it.')!
    expect(after.y - quoted.at(-1)!.y).toBeCloseTo(2 * leading, 3)
  })
  test('wherever a page ends, no line of a stanza stands alone', async () => {
    const stanza = (name: string) =>
      [1, 2, 3, 4].map(i => ({
        type: 'line' as const,
        attrs: { indent: 0, stanza: i === 1 },
        content: [text(`${name} line ${i}`)],
      }))
    const verse: BlockJson = { type: 'verse', attrs: { id: '' }, content: [...stanza('First'), ...stanza('Second')] }
    let turns = 0
    for (let before = 14; before < 38; before++) {
      const pages = await set([...(Array(before).fill(p(text('A line.'))) as BlockJson[]), verse, p(text('After.'))])
      const on = (t: string): number => pages.findIndex(page => runs(page).some(r => r.text.includes(t)))
      for (const s of ['First', 'Second'])
        expect([before, on(`${s} line 1`), on(`${s} line 4`)]).toEqual([before, on(`${s} line 2`), on(`${s} line 3`)])
      if (on('First line 1') !== on('Second line 4')) turns++
    }
    // Pages did end inside it.
    expect(turns).toBeGreaterThan(3)
  })
  test('a letter keeps its date and salutation with its words and its close with the last of them, where facing pages can still end level', async () => {
    const letter: BlockJson = {
      type: 'letter',
      attrs: { id: '' },
      content: [
        { type: 'paragraph', attrs: { id: '', align: 'right' }, content: [text('4 March')] },
        paragraph('', 'Dear Mr Hask,'),
        paragraph('', prose + prose),
        { type: 'paragraph', attrs: { id: '', align: 'right' }, content: [text('A. Pell')] },
      ],
    }
    let [torn, turns] = [0, 0]
    for (let before = 8; before < 72; before++) {
      const interior = await setBook(
        bookWith([
          chapter(
            's1',
            'A Title',
            withIds([
              ...Array.from({ length: before }, (_, i) => p(text(prose.repeat(1 + ((i * 5) % 4))))),
              letter,
              ...(Array(12).fill(p(text(prose + prose))) as BlockJson[]),
            ]),
          ),
        ]),
      )
      const pages = interior.pages.slice(interior.starts.get('s1')!)
      const on = (t: string): number => pages.findIndex(page => runs(page).some(r => r.text.includes(t)))
      expect(interior.stats.unmet).toMatchObject({ widows: 0, unevenSpreads: 0 })
      const [date, salutation, close] = [on('4 March'), on('Dear Mr'), on('A. Pell')]
      if (date !== close) turns++
      // The salutation is the last line of its page, or the date is, or the close the first.
      const first = (page: number): string => runs(pages[page]!).filter(r => r.size === size)[0]!.text
      if (
        date !== salutation ||
        (salutation !== close && first(close) === 'A. Pell') ||
        (salutation !== close && first(close).startsWith('The harbour'))
      )
        torn++
    }
    expect(turns).toBeGreaterThan(2)
    expect(torn).toBe(0)
  })
  test('figures in a table are all of one width', async () => {
    const figures = ['1111', '8888', '4070']
    const row = (head: boolean, ...cells: string[]) => ({
      type: 'row' as const,
      attrs: { head },
      content: cells.map(c => ({ type: 'cell' as const, attrs: { span: 1 }, content: [paragraph('', c)] })),
    })
    const { pages, starts } = await new Setter(shelf).set(
      bookWith([
        chapter(
          's1',
          'A Title',
          withIds([
            p(text('Begin.')),
            {
              type: 'table',
              attrs: { id: '' },
              content: [row(true, 'Hour', 'Feet'), ...figures.map(f => row(false, f, 'calm'))],
            },
          ]),
        ),
      ]),
      { ...harbourRoman, text: { ...harbourRoman.text, family: 'crimson-pro' } },
      { width: 432, height: 648, inside: 0 },
    )
    const page = runs(pages[starts.get('s1')!]!)
    const widths = figures.map(f => page.find(r => r.text === f)!).map(r => r.end - r.x)
    for (const w of widths) expect(w).toBeCloseTo(widths[0]!, 6)
  })
  test('verse keeps its lines and indents; a turned line hangs; a stanza stands apart', async () => {
    const lines = ['One for the ebb', 'two for the flow', 'three', 'four ' + prose + prose].map((t, i) => ({
      type: 'line' as const,
      attrs: { indent: i === 1 ? 2 : 0, stanza: i === 2 },
      content: [text(t)],
    }))
    const page = runs((await set([p(text(prose)), { type: 'verse', attrs: { id: '' }, content: lines }]))[0]!)
    const at = (t: string): Run => page.find(r => r.text.startsWith(t))!
    expect(at('two').x - at('One').x).toBeCloseTo(2 * size, 1)
    expect(at('three').y - at('two').y).toBeCloseTo(2 * leading, 3)
    const turned = page.filter(r => r.y > at('four').y)
    expect(turned.length).toBeGreaterThan(0)
    for (const r of turned) expect(r.x - at('four').x).toBeCloseTo(1.5 * size, 1)
  })
  test('lists: marks in the margin, numbers from their start, one inside another', async () => {
    const list: BlockJson = {
      type: 'list',
      attrs: { id: '', ordered: true, start: 9 },
      content: [
        { type: 'item', content: [paragraph('', 'ninth')] },
        {
          type: 'item',
          content: [
            paragraph('', 'tenth'),
            {
              type: 'list',
              attrs: { id: '', ordered: false, start: 1 },
              content: [{ type: 'item', content: [paragraph('', 'inner')] }],
            },
          ],
        },
      ],
    }
    const page = runs((await set([p(text(prose)), list]))[0]!)
    const at = (t: string): Run => page.find(r => r.text.trim() === t)!
    expect(at('9.').end).toBeLessThan(at('ninth').x)
    // Figures of unlike width end at the same place: marks are set to the right.
    expect(at('9.').end).toBeCloseTo(at('10.').end, 1)
    expect(at('inner').x).toBeGreaterThan(at('tenth').x + size)
    expect(at('–').y).toBe(at('inner').y)
  })
  test('tables: columns do not meet, rows keep order, rules above, below and under the head', async () => {
    const row = (head: boolean, ...cells: string[]) => ({
      type: 'row' as const,
      attrs: { head },
      content: cells.map(c => ({ type: 'cell' as const, attrs: { span: 1 }, content: [paragraph('', c)] })),
    })
    const page = (
      await set([
        p(text(prose)),
        {
          type: 'table',
          attrs: { id: '' },
          content: [row(true, 'Hour', 'What was seen'), row(false, '4', prose), row(false, '5', 'It turned.')],
        },
      ])
    )[0]!
    const r = runs(page)
    const at = (t: string): Run => r.find(x => x.text.startsWith(t))!
    expect(at('What').x).toBeGreaterThan(at('Hour').end)
    expect(at('5').y).toBeGreaterThan(at('4').y + leading)
    expect(at('It turned').x).toBeCloseTo(at('What').x, 1)
    expect(items(page, 'path')).toHaveLength(3)
    for (const path of items(page, 'path')) {
      expect(Math.min(...path.path.xy)).toBeGreaterThanOrEqual(-1)
      expect(path.path.xy[2]! - path.path.xy[0]!).toBeLessThanOrEqual(right - left + 1)
    }
  })
  test('a cell that reaches over rows stands beside them; what it says beyond them pushes down the next', async () => {
    const cell = (t: string, rows = 1) => ({
      type: 'cell' as const,
      attrs: { span: 1, rows },
      content: [paragraph('', t)],
    })
    const row = (...content: ReturnType<typeof cell>[]) => ({ type: 'row' as const, attrs: { head: false }, content })
    const tall = `${prose} ${prose} ${prose}`
    const rows = [row(cell(tall, 2), cell('one ')), row(cell('two')), row(cell('three'), cell('four'))]
    const page = (
      await set([p(text(prose)), { type: 'table', attrs: { id: '' }, content: rows }, p(text('After.'))])
    )[0]!
    const at = (t: string): Run => runs(page).find(x => x.text.startsWith(t))!
    const [one, two, three, four, after] = ['one', 'two', 'three', 'four', 'After'].map(at)
    const lines = runs(page).filter(r => tall.includes(r.text.trim().slice(0, 40)) && r.x < one!.x && r.y >= one!.y)
    expect(two!.x).toBeCloseTo(one!.x, 1)
    expect(two!.y).toBeCloseTo(one!.y + leading, 1)
    const bottom = Math.max(...lines.filter(l => l.y < three!.y).map(l => l.y))
    expect(bottom).toBeGreaterThan(two!.y)
    expect(three!.y).toBeCloseTo(bottom + leading, 1)
    expect([three!.x < one!.x, four!.y]).toEqual([true, three!.y])
    expect(after!.y).toBeGreaterThan(three!.y + leading)
  })
  test('rows that a cell ties together are parted where they are higher than a page, and every word stands', async () => {
    const cell = (t: string, rows = 1) => ({
      type: 'cell' as const,
      attrs: { span: 1, rows },
      content: [paragraph('', t)],
    })
    const rows = Array.from({ length: 90 }, (_, i) => ({
      type: 'row' as const,
      attrs: { head: false },
      content: i ? [cell(`row${i}`)] : [cell('All', 90), cell('row0')],
    }))
    const pages = await set([{ type: 'table', attrs: { id: '' }, content: rows }])
    expect(pages.flatMap(page => runs(page).flatMap(r => r.text.match(/row\d+/g) ?? []))).toEqual(
      rows.map((_, i) => `row${i}`),
    )
    for (const page of pages)
      for (const r of runs(page)) expect(r.y).toBeLessThan(648 - 72 * harbourRoman.margins.foot + 24)
  })
  test('a table of several pages says its head on each; every row stands once, in order', async () => {
    const cell = (t: string): unknown => ({ type: 'cell', attrs: { span: 1 }, content: [p(text(t))] })
    const rows = Array.from({ length: 130 }, (_, i) => ({
      type: 'row',
      attrs: { head: false },
      content: [cell(`row${i}`), cell(i % 9 ? 'Seen.' : prose)],
    }))
    const pages = await set([
      p(text(prose)),
      {
        type: 'table',
        attrs: { id: '' },
        content: [{ type: 'row', attrs: { head: true }, content: [cell('Hour'), cell('Watch')] }, ...rows],
      } as never,
      p(text('Afterwards.')),
    ])
    const seen = pages.flatMap(page => runs(page).flatMap(r => r.text.match(/row\d+/g) ?? []))
    expect(seen).toEqual(rows.map((_, i) => `row${i}`))
    const holding = pages.filter(page => runs(page).some(r => /row\d/.test(r.text)))
    expect(holding.length).toBeGreaterThan(3)
    for (const page of holding) {
      const all = runs(page)
      expect(all.filter(r => r.text.startsWith('Hour'))).toHaveLength(1)
      const [head, first] = [all.find(r => r.text.startsWith('Hour'))!, all.find(r => /^row/.test(r.text))!]
      expect(head.y).toBeLessThan(first.y)
      expect(Math.max(...all.filter(r => r.size > 10).map(r => r.y))).toBeLessThan(
        648 - 72 * harbourRoman.margins.foot + 1,
      )
    }
  })
  test('a small table keeps its natural width, in the middle', async () => {
    const cell = (t: string) => ({ type: 'cell' as const, attrs: { span: 1 }, content: [paragraph('', t)] })
    const page = (
      await set([
        p(text(prose)),
        {
          type: 'table',
          attrs: { id: '' },
          content: [{ type: 'row', attrs: { head: false }, content: [cell('a'), cell('b')] }],
        },
      ])
    )[0]!
    const rule = items(page, 'path')[0]!.path.xy
    expect(rule[2]! - rule[0]!).toBeLessThan(60)
    expect(rule[0]! + rule[2]!).toBeCloseTo(right - left, 0)
  })
  test('pictures: in the measure, in proportion, no larger than their pixels allow, no higher than the page', async () => {
    const place = async (width: number, height: number, share = 1): Promise<ImageMark> => {
      const pages = await set(
        [
          p(text(prose)),
          { type: 'image', attrs: { id: '', asset: 'a', alt: 'The bell', decoration: false, share } },
          p(text(prose)),
        ],
        { assets: [{ id: 'a', type: 'image/png', width, height }] },
      )
      return pages.flatMap(x => items(x, 'image'))[0]!
    }
    const wide = await place(3000, 1500)
    expect(wide.width).toBeCloseTo(right - left, 3)
    expect(wide.width / wide.height).toBeCloseTo(2, 6)
    expect((await place(3000, 1500, 0.5)).width).toBeCloseTo((right - left) / 2, 3)
    expect((await place(300, 300)).width).toBeCloseTo(72, 6)
    const tall = await place(2000, 9000)
    expect(tall.height).toBeLessThan(648 - 72 * harbourRoman.margins.head - 72 * harbourRoman.margins.foot)
    expect(tall.height / tall.width).toBeCloseTo(4.5, 6)
    expect(wide.alt).toBe('The bell')
  })
  test('a scene break is an ornament between blank lines, and what follows is flush', async () => {
    const page = (
      await set([p(text(prose)), { type: 'scene_break', attrs: { id: '' } }, p(text('Then it stopped.'))])
    )[0]!
    const r = runs(page)
    expect(items(page, 'path')).toHaveLength(3)
    expect(r.find(x => x.text === 'Then it stopped.')!.x).toBeCloseTo(left, 0)
  })
  test('a page break begins a page; headings stay with what follows', async () => {
    const pages = await set([p(text(prose)), { type: 'page_break', attrs: { id: '' } }, p(text('On the next.'))])
    expect(pageText(pages[1]!)).toContain('On the next.')
    const many = await set(
      [...Array(60).keys()].flatMap((i): BlockJson[] => [
        { type: 'heading', attrs: { id: '', level: 2 }, content: [text(`Head ${i}`)] },
        p(text(prose)),
      ]),
    )
    for (const page of many) {
      const lines = runs({ ...page, layers: page.layers.slice(0, 1) })
      if (lines.length) expect(lines.at(-1)!.text).not.toMatch(/^Head \d+$/)
    }
  })
})

describe('notes', () => {
  const note = (t: string): InlineJson => ({ type: 'footnote', attrs: { id: '' }, content: [text(t)] })
  test('stand at the foot of the page that calls them, numbered through the chapter, under a hairline', async () => {
    const pages = await set([
      p(text(prose), note('The first note.'), text(prose)),
      ...(Array(20).fill(p(text(prose))) as BlockJson[]),
      p(text('Here'), note('The second note.'), text(' it is.')),
    ])
    const first = runs(pages[0]!)
    const mark = first.find(r => r.text === '1' && r.size < size * 0.7)!
    const foot = first.find(r => r.text.includes('first note'))!
    expect(foot.y).toBeGreaterThan(Math.max(...first.filter(r => r.size === size).map(r => r.y)))
    expect(mark.y).toBeLessThan(foot.y)
    expect(items(pages[0]!, 'path')).toHaveLength(1)
    const other = pages.find(x => pageText(x).includes('second note'))!
    expect(pageText(other).replace(/\n/g, '')).toContain('Here2 it is.')
    // On the foot of a full page, whatever the text above: the last line of notes ends the block.
    expect(foot.y).toBeLessThan(648 - 72 * harbourRoman.margins.foot + 1)
  })
  test('a note of several pages called by one line goes on under the text that follows, or on lines of its own where there is none; nothing leaves the page', async () => {
    const long = Array.from({ length: 1500 }, (_, i) => `n${i}`).join(' ')
    const cell = (...content: InlineJson[]) => ({
      type: 'cell' as const,
      attrs: { span: 1 },
      content: [p(...content) as ParagraphJson],
    })
    const cases: BlockJson[][] = [
      [p(text('One line'), note(long)), ...(Array(60).fill(p(text(prose))) as BlockJson[])],
      [p(text('One line'), note(long))],
      [
        p(text('One line'), note(long)),
        p(text('another'), note('short one')),
        ...(Array(40).fill(p(text(prose))) as BlockJson[]),
      ],
      [
        {
          type: 'table',
          attrs: { id: '' },
          content: [
            { type: 'row', attrs: { head: false }, content: [cell(text('cell'), note(long)), cell(text('cell'))] },
          ],
        },
        ...(Array(30).fill(p(text(prose))) as BlockJson[]),
      ],
    ]
    for (const blocks of cases) {
      const pages = await set(blocks)
      const small = pages.flatMap(x => runs(x).filter(r => r.size === 9))
      const words = small
        .map(r => r.text)
        .join(' ')
        .replace(/\u00ad /g, '')
        .match(/n\d+/g)
      expect(words).toEqual(long.split(' '))
      // A spread may be a line long on purpose.
      const foot = harbourRoman.margins.foot * 72 - harbourRoman.text.leading
      for (const x of pages)
        for (const r of runs(x))
          if (r.size === 9 && r.y > 648 - foot + 0.5) throw new Error(`a note at ${r.y} on page ${x.label}`)
      // Pages in the middle of the note are well filled.
      const full = pages
        .filter((x, i) => i && i < pages.length - 1 && runs(x).some(r => r.size === 9 && /n\d/.test(r.text)))
        .slice(1, -1)
      for (const x of full) {
        const ys = [
          ...new Set(
            runs(x)
              .filter(r => r.y > 62 && r.y < 648 - foot + 1)
              .map(r => r.y.toFixed(1)),
          ),
        ]
          .map(Number)
          .sort((a, b) => a - b)
        const gap = Math.max(0, ...ys.slice(1).map((y, i) => y - ys[i]!))
        expect(gap).toBeLessThan(14 * 5)
      }
    }
  })
  test('a note longer than its page goes on upon the next, whole and in order', async () => {
    const long = Array(60).fill('Her hand is in all nineteen of the reading books from the fourth year on.').join(' ')
    const pages = await set([
      ...(Array(6).fill(p(text(prose))) as BlockJson[]),
      p(text(prose.repeat(4)), note(long), text(prose.repeat(6))),
      p(text(prose.repeat(9))),
    ])
    const notes = pages.flatMap(x => runs(x).filter(r => r.size === 9))
    expect(
      notes
        .map(r => r.text)
        .join(' ')
        .replace(/\u00ad /g, '')
        .replace(/\s+/g, ' '),
    ).toContain(long.slice(0, 300))
    for (const page of pages)
      for (const r of runs(page)) if (r.size === 9) expect(r.y).toBeLessThan(648 - 72 * harbourRoman.margins.foot + 2)
    expect(
      new Set(pages.map((x, i) => (runs(x).some(r => r.size === 9) ? i : -1)).filter(i => i >= 0)).size,
    ).toBeGreaterThan(1)
  })
})

describe('heads, folios and made pages', () => {
  test('author on the left, section on the right, none on openings; folios in the middle of the foot', async () => {
    const interior = await setBook(
      bookWith([chapter('s1', 'The Bell', withIds(Array(90).fill(p(text(prose))) as BlockJson[]))]),
    )
    const start = interior.starts.get('s1')!
    expect(interior.pages[start]!.layers).toHaveLength(1)
    for (const page of interior.pages.slice(start + 1).filter(x => x.layers.length)) {
      const furniture = runs({ ...page, layers: page.layers.slice(1) })
      expect(furniture.map(r => r.text)).toEqual([page.side === 'verso' ? 'Orla Fenwright' : 'The Bell', page.label])
      const x = page.layers[0]!.x
      for (const r of furniture) expect((r.x + r.end) / 2).toBeCloseTo(x + (right - left) / 2, -0.5)
    }
  })
  test('a head too long for the measure is shortened, not squeezed', async () => {
    const interior = await setBook(
      bookWith([
        chapter(
          's1',
          'A Title That Goes On and On '.repeat(8).trim(),
          withIds(Array(90).fill(p(text(prose))) as BlockJson[]),
        ),
      ]),
    )
    const recto = interior.pages.slice(interior.starts.get('s1')! + 1).find(x => x.side === 'recto')!
    const head = runs({ ...recto, layers: recto.layers.slice(1) })[0]!
    expect(head.text).toMatch(/…$/)
    expect(head.end - head.x).toBeLessThan(right - left)
  })
  test('title and copyright pages say what the data says, and nothing else', async () => {
    const interior = await new Setter(shelf).set(
      bookWith([chapter('s1', 'A', withIds([p(text(prose))]))]),
      harbourRoman,
      { width: 432, height: 648, inside: 0, isbn: '9780000000002' },
    )
    expect(pageText(interior.pages[0]!).split('\n')).toEqual([
      'The Book',
      'Orla Fenwright',
      'Saltgrass Lane Press',
      'Merrow Sound',
    ])
    expect(pageText(interior.pages[1]!).split('\n')).toEqual([
      'The Book',
      'Copyright © 2026 Orla Fenwright',
      'All rights reserved.',
      'Published by Saltgrass Lane Press, Merrow Sound',
      'ISBN 978-000000000-2',
    ])
  })
})

describe('items', () => {
  let ctx: BlockContext
  beforeAll(async () => {
    ctx = {
      faces: await Typefaces.load(harbourRoman, 'en-GB', shelf),
      style: harbourRoman,
      bases: basesOf(harbourRoman),
      measure: 334,
      noteMeasure: 334,
      lines: 37,
      leaf: { width: 432, height: 648, bleed: 0, bleedsInside: false, top: 62 },
      section: 's',
      assets: new Map(),
      lacks: () => undefined,
    }
  })
  const lines = (i: FlowItem): number => i.variants[0]!.lines
  test('a larger heading takes whole lines of the grid', () => {
    const [h] = flowItems(
      withIds([{ type: 'heading', attrs: { id: '', level: 1 }, content: [text('A heading of the first level')] }]),
      ctx,
      { opens: false },
    )
    expect(lines(h!)).toBe(2)
    expect(h).toMatchObject({ keepNext: true, breakable: false, before: 2, after: 1 })
  })
  test('an empty paragraph makes nothing; a table with no words still has its rows', () => {
    expect(flowItems({ type: 'doc', content: [paragraph('b1', '')] }, ctx, { opens: false })).toEqual([])
    const cell = { type: 'cell' as const, attrs: { span: 1 }, content: [paragraph('', '')] }
    expect(
      flowItems(
        withIds([
          {
            type: 'table',
            attrs: { id: '' },
            content: [{ type: 'row', attrs: { head: false }, content: [cell, cell] }],
          },
        ]),
        ctx,
        { opens: false },
      ),
    ).toHaveLength(1)
  })
  test('drawing part of an item draws those lines and no others', () => {
    const [item] = flowItems(withIds([p(text(prose.repeat(6)))]), ctx, { opens: false })
    const part = (from: number, to: number): string => {
      const out = new LayerBuilder()
      item!.draw(out, { variant: 0, from, to, row: 0 }, () => undefined)
      const t = out.build().text
      let s = ''
      if (t) for (let g = 0; g < t.glyphs.length; g++) s += t.faces[0]!.pairText(t.glyphs[g]!)
      return s.replace(/\s|\u00ad/g, '')
    }
    const all = part(0, lines(item!))
    expect(part(0, 3) + part(3, lines(item!))).toBe(all)
    expect(part(2, 2)).toBe('')
  })
})
