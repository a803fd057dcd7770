import { beforeAll, describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { chapter, paragraph, shelf } from '../../../tests/support/core'
import { createBook, type InlineJson } from '../book'
import { pageText, type PageMarks, visitPage } from '../marks'
import type { Face } from '../type'
import { type Interior, type InteriorStyle, readStyleDocument, Setter, shippedStyles, withChanges } from '.'

const setter = new Setter(shelf)
const chandlery = shippedStyles.find(s => s.id === 'chandlery')!
const words =
  'She ruled the tide columns for the second week of March, and her pen did not so much as waver. Seven strokes, then none. '.repeat(
    4,
  )
const setText = async (content: InlineJson[], style: InteriorStyle): Promise<Interior> => {
  const p = { ...paragraph('p1', ''), content }
  const s = chapter('c1', 'The Bell', { type: 'doc', content: [p, paragraph('p2', words)] })
  return setter.set(
    {
      ...createBook('t', { title: 'T', contributors: [], language: 'en-GB', imprint: { name: '' }, subjects: [] }),
      sections: [s],
    },
    style,
    { width: 396, height: 612, inside: 0 },
  )
}
interface Glyphs {
  text: string
  x: number
  y: number
  end: number
  size: number
  caps: boolean
}
/** Runs of a block on a page, as they stand. */
const runsOf = (page: PageMarks, block: string): Glyphs[] => {
  const out: Glyphs[] = []
  visitPage(page, v => {
    if (!('text' in v)) return
    const t = v.text
    for (let i = 0; i < t.count; i++) {
      if (t.places[t.place[i]!]!.block !== block) continue
      const face = t.faces[t.face[i]!]! as Face
      let text = ''
      let caps = false
      for (let g = t.start[i]!; g < t.start[i + 1]!; g++) {
        const pair = t.glyphs[g]!
        text += face.pairText(pair)
        const nominal = face.pairText(pair)
        caps ||= /[a-z]/.test(nominal) && plain(face, nominal) !== face.pairGlyph(pair)
      }
      out.push({
        text,
        x: v.x + t.x[t.start[i]!]!,
        y: v.y + t.baseline[i]!,
        end: v.x + t.x[t.start[i + 1]! - 1]!,
        size: t.size[i]!,
        caps,
      })
    }
  })
  return out
}
const nominalGlyphs = new Map<string, number>()
function plain(face: Face, letter: string): number {
  const key = `${face.key} ${letter}`
  let g = nominalGlyphs.get(key)
  if (g === undefined) {
    const { hb } = face
    const b = new hb.Buffer()
    b.addText(letter)
    b.guessSegmentProperties()
    hb.shape(face.font, b)
    nominalGlyphs.set(key, (g = b.getGlyphInfos()[0]!.codepoint))
  }
  return g
}
const first = (i: Interior): PageMarks => i.pages[i.starts.get('c1')!]!

describe('initials', () => {
  beforeAll(() => expect(chandlery.firsts.initial).toBe(3))

  test('stand on the last of their lines and reach as high as the first line’s capitals; no letter is lost', async () => {
    for (const letter of ['A', 'T', 'L', 'W', 'I', 'O', 'J', 'Q', 'É'])
      for (const style of [
        chandlery,
        withChanges(chandlery, { 'firsts.initial': 4 }),
        withChanges(shippedStyles[0]!, { 'firsts.initial': 2 }),
      ]) {
        const interior = await setText(
          [{ type: 'text', text: `${letter}cross the water came the bell. ${words}` }],
          style,
        )
        const runs = runsOf(first(interior), 'p1')
        const initial = runs[0]!
        const lines = style.firsts.initial
        const { leading, size } = style.text
        expect(initial.text).toBe(letter)
        const second = runs.find(r => Math.abs(r.size - size) < 0.01 || r.size < size)!
        expect(initial.y - second.y).toBeCloseTo((lines - 1) * leading, 1)
        const face = await shelf.face(`${style.text.family}/regular`)
        // From its own foot up by its capitals, it ends where the first line's capitals end.
        expect(initial.y - face.metrics.capHeight * initial.size).toBeCloseTo(
          second.y - face.metrics.capHeight * size,
          1,
        )
        // Lines beside it begin to its right, the one below at the margin.
        const starts = [...new Set(runs.slice(1).map(r => r.y))].map(y =>
          Math.min(
            ...runs
              .slice(1)
              .filter(r => r.y === y)
              .map(r => r.x),
          ),
        )
        for (let i = 0; i < lines; i++) expect(starts[i]!).toBeGreaterThan(interior.block.x + 1)
        expect(starts[lines]!).toBeLessThan(interior.block.x + 1)
        expect(pageText(first(interior)).replace(/\s+/g, ' ')).toContain(letter)
        expect(
          runs
            .map(r => r.text)
            .join('')
            .replace(/[\s\u00ad]/g, ''),
        ).toBe(`${letter}cross the water came the bell. ${words}`.replace(/\s/g, ''))
      }
  })
  test('quotes hang before them at the size of the text', async () => {
    const interior = await setText([{ type: 'text', text: `“Come in,” said the clerk. ${words}` }], chandlery)
    const [quote, initial] = runsOf(first(interior), 'p1')
    expect([quote!.text, quote!.size, initial!.text]).toEqual(['“', chandlery.text.size, 'C'])
    expect(quote!.end).toBeLessThan(interior.block.x)
  })
  test('a paragraph too short for one has a smaller one or none; figures and notes have none; words stay in order', async () => {
    for (const [text, size] of [
      ['Come.', 0],
      ['1907 was a wet year. ' + words, 0],
      ['She came down the hill at ten with the lamp in her hand and nobody to see it but the gulls.', 2],
    ] as const) {
      const interior = await setText([{ type: 'text', text }], chandlery)
      const runs = runsOf(first(interior), 'p1')
      expect(
        runs
          .map(r => r.text)
          .join('')
          .replace(/[\s\u00ad]/g, ''),
      ).toBe(text.replace(/\s/g, ''))
      const large = runs.filter(r => r.size > chandlery.text.size * 1.5)
      expect(large.length).toBe(size ? 1 : 0)
      if (size) expect(large[0]!.size).toBeLessThan(chandlery.text.size * 3.4)
    }
  })
})

describe('lead-ins', () => {
  test('by line: what stands in the first line, all of it and no more, is in small capitals', async () => {
    const style = withChanges(shippedStyles[0]!, { 'firsts.leadIn': 'line' })
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: 0, max: 90 }), fc.boolean(), async (skip, dashed) => {
        const text =
          (dashed ? 'there were sixty-five of them that year, ' : '') +
          words.slice(words.indexOf(' ', skip) + 1).toLowerCase()
        const runs = runsOf(first(await setText([{ type: 'text', text }], style)), 'p1').filter(r =>
          /[a-z]{3}/.test(r.text),
        )
        const top = Math.min(...runs.map(r => r.y))
        expect(runs.some(r => r.y === top && r.caps)).toBe(true)
        // Where no count of words answers to itself, the first words stand for the line; never the second line's.
        expect(runs.filter(r => r.y > top && r.caps).map(r => r.text)).toEqual([])
      }),
      { numRuns: 30 },
    )
  })
})

describe('styles', () => {
  test('each is a document that reads back as it was; every field has its say in a fault', () => {
    expect(shippedStyles.map(s => s.id)).toHaveLength(8)
    for (const s of shippedStyles) {
      expect(readStyleDocument(JSON.parse(JSON.stringify(s)))).toEqual(s)
      for (const [path, wrong] of [
        ['text', null],
        ['text.size', 'big'],
        ['margins.head', -1],
        ['openings.number', 'runes'],
        ['colour', 'red'],
        ['version', 9],
      ] as const) {
        const bad = JSON.parse(JSON.stringify(s)) as Record<string, Record<string, unknown> | unknown>
        const [group, key] = path.split('.') as [string, string | undefined]
        if (key) (bad[group] as Record<string, unknown>)[key] = wrong
        else bad[group] = wrong
        expect(() => readStyleDocument(bad)).toThrow(/This style cannot be read/)
      }
    }
  })
  test('large print is large all over: nothing on any page is smaller', async () => {
    const long = shippedStyles.find(s => s.text.large)!
    for (const style of [long, withChanges(shippedStyles[0]!, { 'text.large': true })]) {
      const interior = await setText(
        [
          { type: 'text', text: words },
          { type: 'footnote', attrs: { id: 'n1' }, content: [{ type: 'text', text: 'A note.' }] },
        ],
        style,
      )
      const small: string[] = []
      for (const p of interior.pages)
        visitPage(p, v => {
          if ('text' in v)
            for (let i = 0; i < v.text.count; i++) {
              const face = v.text.faces[v.text.face[i]!]!
              const text = [...v.text.glyphs.subarray(v.text.start[i], v.text.start[i + 1])]
                .map(g => face.pairText(g))
                .join('')
                .trim()
              // A note's raised mark is a sign, not text.
              if (v.text.size[i]! < 16 && !/^\d*$/.test(text)) small.push(`${text} at ${v.text.size[i]}`)
            }
        })
      expect(small).toEqual([])
    }
  })
})

describe('an exception at one place', () => {
  test('holds there and nowhere else; what it may not say is passed over; without it all is as before', async () => {
    const doc = (id: string) => ({
      type: 'doc' as const,
      content: [paragraph(`${id}1`, words), paragraph(`${id}2`, words)],
    })
    const book = {
      ...createBook('t', { title: 'T', contributors: [], language: 'en-GB', imprint: { name: '' }, subjects: [] }),
      sections: [chapter('c1', 'One', doc('a')), chapter('c2', 'Two', doc('b'))],
    }
    const at = async (exceptions?: Record<string, Record<string, number | boolean | string>>) => {
      const i = await setter.set(book, chandlery, { width: 396, height: 612, inside: 0, exceptions })
      return ['c1', 'c2'].map((id, k) => runsOf(i.pages[i.starts.get(id)!]!, k ? 'b1' : 'a1'))
    }
    const large = (runs: Glyphs[]): boolean => runs.some(r => r.size > chandlery.text.size * 2)
    const before = await at()
    expect(before.map(large)).toEqual([true, true])
    const excepted = await at({ c2: { 'firsts.initial': 0, 'openings.sink': 1, 'text.size': 20 } })
    expect(excepted.map(large)).toEqual([true, false])
    expect(excepted[0]).toEqual(before[0])
    expect(Math.min(...excepted[1]!.map(r => r.y))).toBeLessThan(
      Math.min(...before[1]!.map(r => r.y)) - 3 * chandlery.text.leading,
    )
    expect(Math.max(...excepted[1]!.map(r => r.size))).toBeLessThan(12)
    expect(await at({})).toEqual(before)
  })
})

describe('a chapter that is set again', () => {
  test('so that its pages level still says which characters no face has, in its title, too', async () => {
    // Paragraphs that cannot be parted, on short pages: many such chapters do not level at the first try.
    const block =
      'She wrote the hour in the rough book and the wind beside it, as she had been taught to do, and no more.'
    for (let n = 5; n < 40; n++) {
      const doc = {
        type: 'doc' as const,
        content: Array.from({ length: n }, (_, i) => paragraph(`p${i}`, i === 3 ? `字 ${block}` : block)),
      }
      const book = {
        ...createBook('t', { title: 'T', contributors: [], language: 'en-GB', imprint: { name: '' }, subjects: [] }),
        sections: [chapter('c1', '鐘 Bell', doc)],
      }
      const { missing } = await setter.set(book, withChanges(shippedStyles[5]!, { 'text.large': false }), {
        width: 360,
        height: 400,
        inside: 0,
      })
      const lacked = missing.map(m => m.text).join('')
      expect([n, lacked.includes('鐘'), lacked.includes('字')]).toEqual([n, true, true])
    }
  })
})
