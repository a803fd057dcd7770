import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { longText } from '../../../scripts/lib/longText'
import { bookOf, chapter, paragraph, setBook, shelf } from '../../../tests/support/core'
import { wordsOn } from '../../../tests/support/wordsOn'
import type { BlockJson, DocJson } from '../book'
import { type Book, createBook, madeDoc } from '../book'
import { eachInk } from '../check/ink'
import { type ImageMark, pageText } from '../marks'
import { insideMargin } from '../trade'
import { profileOf, shippedProfiles } from '../outlets'
import {
  evenness,
  harbourRoman,
  type Interior,
  pageStarts,
  pageTurns,
  Setter,
  settleInterior,
  shippedStyles,
  type InteriorStyle,
} from '.'

/** The words of the text pages in order: heads and folios are their own layer and stay out; divided words are joined. */
function wordsOf(interior: Interior, from: string): string[] {
  const start = interior.starts.get(from)!
  const text = interior.pages
    .slice(start)
    .map(p => pageText({ ...p, layers: p.layers.slice(0, 1) }))
    .join('\n')
  return text
    .replace(/\u00ad\n/g, '')
    .split(/\s+/)
    .filter(Boolean)
}

const nothingOutside = (interior: Interior): void => {
  // Quotes before an initial hang outside whole, at the size of the text.
  const hang = interior.style.firsts.initial ? interior.style.text.size : 4
  for (const p of interior.pages)
    eachInk(p, ({ x0, y0, x1, y1 }) => {
      expect(x0).toBeGreaterThanOrEqual(Math.min(interior.outside, interior.spec.inside) - hang)
      expect(x1).toBeLessThanOrEqual(p.width - Math.min(interior.outside, interior.spec.inside) + hang)
      expect(y0).toBeGreaterThan(18)
      expect(y1).toBeLessThan(p.height - 18)
    })
}

const vocabulary =
  'the of tide bell harbour “lamp” almanac, seven; extraordinary notwithstanding well-known quay—and sand. Ada’s office fjord 1907 (nine) water'.split(
    ' ',
  )
const sentence = fc.array(fc.constantFrom(...vocabulary), { minLength: 1, maxLength: 60 }).map(w => w.join(' '))

describe('random books under random styles', () => {
  const style: fc.Arbitrary<InteriorStyle> = fc
    .record({
      size: fc.integer({ min: 9, max: 14 }),
      extra: fc.integer({ min: 2, max: 5 }),
      recto: fc.boolean(),
      align: fc.constantFrom<'justify' | 'left'>('justify', 'left'),
      hyphenate: fc.boolean(),
      optical: fc.boolean(),
      scaling: fc.constantFrom(0, 0.02),
      tracking: fc.constantFrom(0, 0.01),
    })
    .chain(s => fc.constantFrom(...shippedStyles).map(base => ({ s, base })))
    .chain(x =>
      fc
        .record({
          initial: fc.constantFrom(0, 2, 3, 5),
          leadIn: fc.constantFrom<'nothing' | 'words' | 'line'>('nothing', 'words', 'line'),
          afterBreaks: fc.constantFrom<'flush only' | 'lead-in' | 'initial and lead-in'>(
            'flush only',
            'lead-in',
            'initial and lead-in',
          ),
        })
        .map(firsts => ({ ...x, firsts })),
    )
    .map(({ s, base, firsts }): InteriorStyle =>
      base.text.large
        ? { ...base, openings: { ...base.openings, recto: s.recto } }
        : {
            ...base,
            id: 'random',
            firsts: { ...base.firsts, ...firsts },
            text: {
              ...base.text,
              size: s.size,
              leading: s.size + s.extra,
              align: s.align,
              hyphenate: s.hyphenate,
              optical: s.optical,
              scaling: s.scaling,
              tracking: s.tracking,
            },
            openings: { ...base.openings, recto: s.recto },
          },
    )
  const blocks: fc.Arbitrary<BlockJson[]> = fc.array(
    fc.oneof(
      { weight: 8, arbitrary: sentence.map((t): BlockJson => paragraph('', t)) },
      { weight: 1, arbitrary: fc.constant<BlockJson>({ type: 'scene_break', attrs: { id: '' } }) },
      {
        weight: 1,
        arbitrary: fc
          .array(sentence, { minLength: 1, maxLength: 3 })
          .map((ts): BlockJson => ({ type: 'quote', attrs: { id: '' }, content: ts.map(t => paragraph('', t)) })),
      },
      {
        weight: 1,
        arbitrary: fc.array(sentence, { minLength: 1, maxLength: 8 }).map((ts): BlockJson => ({
          type: 'verse',
          attrs: { id: '' },
          content: ts.map((t, i) => ({
            type: 'line',
            attrs: { indent: i % 3, stanza: i % 4 === 3 },
            content: [{ type: 'text', text: t.slice(0, 40).trim() || 'x' }],
          })),
        })),
      },
      {
        weight: 1,
        arbitrary: fc.array(sentence, { minLength: 1, maxLength: 5 }).map((ts): BlockJson => ({
          type: 'list',
          attrs: { id: '', ordered: false, start: 1 },
          content: ts.map(t => ({ type: 'item', content: [paragraph('', t)] })),
        })),
      },
      {
        weight: 1,
        arbitrary: sentence.map((t): BlockJson => ({
          type: 'heading',
          attrs: { id: '', level: 2 },
          content: [{ type: 'text', text: t.slice(0, 50).trim() || 'x' }],
        })),
      },
    ),
    { minLength: 1, maxLength: 30 },
  )

  test('every word once and in order, nothing outside, openings and folios as the style says', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(blocks, { minLength: 1, maxLength: 3 }), style, async (chapters, st) => {
        let n = 0
        const give = (x: unknown): void => {
          const node = x as { attrs?: { id?: string }; content?: unknown[] }
          if (node.attrs && 'id' in node.attrs) node.attrs.id = `b${++n}`
          node.content?.forEach(give)
        }
        const sections = chapters.map((c, i) => {
          const doc = JSON.parse(JSON.stringify({ type: 'doc', content: c })) as DocJson
          give(doc)
          return chapter(`s${i + 1}`, `Title ${i + 1}`, doc)
        })
        const book = createBook(
          'r',
          { title: 'Random', contributors: [], language: 'en-GB', imprint: { name: '' }, subjects: [] },
          sections,
        )
        const interior = await setBook(book, st)
        const texts: string[] = []
        const collect = (x: unknown): void => {
          const node = x as { type: string; text?: string; content?: unknown[] }
          if (node.type === 'text') texts.push(node.text!)
          node.content?.forEach(collect)
        }
        const wanted: string[] = []
        sections.forEach((s, i) => {
          texts.length = 0
          collect(s.doc)
          const number = {
            words: ['Chapter', ['One', 'Two', 'Three'][i]!],
            'word and figures': ['Chapter', String(i + 1)],
            figures: [String(i + 1)],
            roman: ['I'.repeat(i + 1)],
            none: [],
          }[st.openings.number]
          wanted.push(
            ...number,
            st.openings.title === 'capitals' ? 'TITLE' : 'Title',
            String(i + 1),
            ...texts.join(' ').split(/\s+/).filter(Boolean),
          )
        })
        // An initial stands on another line than the rest of its word: beside one, letters are compared, not words.
        const said = (words: string[]): string => words.join(st.firsts.initial ? '' : ' ').replace(/([—–-]) /g, '$1')
        expect(said(wordsOf(interior, 's1').filter(w => w !== '•'))).toBe(said(wanted))
        nothingOutside(interior)
        expect(interior.stats.unmet.widows + interior.stats.unmet.strandedHeads).toBeLessThanOrEqual(1)
        expect(interior.pages.length % 2).toBe(0)
        for (const s of sections) {
          const at = interior.starts.get(s.id)!
          if (st.openings.recto) expect(interior.pages[at]!.side).toBe('recto')
          expect(interior.pages[at]!.layers).toHaveLength(1)
        }
        const first = interior.starts.get('s1')!
        interior.pages.forEach((p, i) =>
          expect(p.label).toBe(
            i < first ? ['i', 'ii', 'iii', 'iv', 'v', 'vi', 'vii', 'viii'][i] : String(i - first + 1),
          ),
        )
      }),
      { numRuns: 60 },
    )
  }, 120_000)
})

describe('a long book', () => {
  const text = longText(20000, 8)
  test('no widows, no orphans, no heading at the foot; contents say where chapters begin', async () => {
    const book = bookOf(text)
    const interior = await setBook(book)
    expect(interior.stats.unmet).toMatchObject({ widows: 0, strandedHeads: 0 })
    expect(interior.stats.over).toBe(0)
    const contents = book.sections.find(s => s.role === 'contents')!
    const lines = pageText(interior.pages[interior.starts.get(contents.id)!]!)
      .split('\n')
      .filter(l => /\d+$/.test(l))
    book.sections
      .filter(s => s.role === 'chapter')
      .forEach((s, i) => {
        expect(lines[i]).toBe(`${s.title} ${interior.pages[interior.starts.get(s.id)!]!.label}`)
      })
    nothingOutside(interior)
    expect(evenness(interior.stats).unevenness).toBeLessThan(0.16)
  })

  test('the same book gives the same marks; a changed chapter leaves the others as they were', async () => {
    const setter = new Setter(shelf)
    const book = bookOf(text)
    const a = await setter.set(book, harbourRoman, { width: 432, height: 648, inside: 0 })
    const b = await setBook(book)
    expect(b.pages.map(pageText)).toEqual(a.pages.map(pageText))
    const changed = {
      ...book,
      sections: book.sections.map(s =>
        s.id === 's3'
          ? { ...s, doc: { ...s.doc, content: [...s.doc.content, paragraph('new', 'And one line more.')] } }
          : s,
      ),
    }
    const c = await setter.set(changed, harbourRoman, { width: 432, height: 648, inside: 0 })
    const at = c.starts.get('s5')!
    expect(c.pages[at]!.layers[0]!.layer).toBe(a.pages[a.starts.get('s5')!]!.layers[0]!.layer)
    expect(pageText(c.pages[c.starts.get('s4')! - 1]!) + pageText(c.pages[c.starts.get('s4')! - 2]!)).toContain(
      'And one line more',
    )
  })

  test('progress is told, and a ticker can stop the work', async () => {
    const seen: number[] = []
    await new Setter(shelf).set(bookOf(text), harbourRoman, { width: 432, height: 648, inside: 0 }, p => {
      seen.push(p.done / p.of)
    })
    expect(seen.at(-1)).toBe(1)
    await expect(
      new Setter(shelf).set(bookOf(text), harbourRoman, { width: 432, height: 648, inside: 0 }, () => {
        throw new Error('stop')
      }),
    ).rejects.toThrow('stop')
  })

  test('printed pages begin where the page list says', async () => {
    const interior = await setBook(bookOf(text.slice(0, 2)))
    const starts = pageStarts(interior)
    expect(new Set(starts.map(s => s.label)).size).toBe(starts.length)
    expect(starts.filter(s => s.section === 's1').map(s => Number(s.label))).toEqual(
      [...Array(interior.starts.get('s2')! - interior.starts.get('s1')!).keys()]
        .map(i => i + 1)
        .filter(n => interior.pages[interior.starts.get('s1')! + n - 1]!.layers.length),
    )
    // Those of one section are the same, with the page that each is.
    for (const section of ['s1', 's2']) {
      const turns = pageTurns(interior, section)
      expect(turns.map(({ label, block, chars }) => ({ label, section, block, chars }))).toEqual(
        starts.filter(s => s.section === section),
      )
      for (const t of turns) expect(interior.pages[t.page]!.label).toBe(t.label)
    }
    expect(pageTurns(interior, 'nowhere')).toEqual([])
  })
})

describe('the gutter settles with the page count', () => {
  test('at the first margin that is legal at its own count', async () => {
    const book = bookOf(longText(30000, 6))
    const profile = profileOf('harrowmere', shippedProfiles)
    const narrow = { ...harbourRoman, margins: { ...harbourRoman.margins, inside: 20 / 72 } }
    const rule = (pages: number) => insideMargin(profile, 'paperback', pages)
    const interior = await settleInterior(
      new Setter(shelf),
      { book, style: narrow, spec: { width: 432, height: 648 } },
      rule,
    )
    expect(interior.spec.inside).toBeGreaterThanOrEqual(rule(interior.pages.length) - 1e-6)
    expect(interior.spec.inside).toBeCloseTo(rule(interior.pages.length), 3)
  })
  test('a rule that grows with every page still ends', async () => {
    const interior = await settleInterior(
      new Setter(shelf),
      { book: bookOf(longText(4000, 2)), style: harbourRoman, spec: { width: 432, height: 648 } },
      pages => 50 + pages,
    )
    expect(interior.spec.inside).toBeGreaterThanOrEqual(50 + interior.pages.length - 1e-6)
  })
})

describe('paragraphs of many pages', () => {
  test('are laid page by page: a chapter typed without a break is set in the end', async () => {
    const words = longText(6000, 1, 5).flat(2).join(' ')
    // Trying every way of turning every page would outlast the test's own limit many times over.
    const set = await setBook(bookOf([[words]]))
    expect(set.stats.unmet.widows).toBe(0)
    expect(
      set.pages
        .map(pageText)
        .join(' ')
        .replace(/\u00ad\s*/g, '')
        .match(/[\p{L}]+/gu)!.length,
    ).toBeGreaterThan(5990)
  })
})

test('the title page has the imprint’s logo over its name, no larger than its pixels allow; taken over, it is a picture there', async () => {
  const plain = bookOf([['The tide turned.']])
  const withLogo = (width: number): Book => ({
    ...plain,
    data: { ...plain.data, imprint: { name: 'Saltgrass', place: 'Merrow', logo: 'l' } },
    assets: [{ id: 'l', type: 'image/png', width, height: width }],
  })
  const logoOn = async (book: Book): Promise<{ logo: ImageMark; name: number }> => {
    const layers = (await setBook(book)).pages.flatMap(p => p.layers.map(l => l.layer))
    const on = layers.find(l => l.items.some(i => i.kind === 'image'))!
    const logo = on.items.find(i => i.kind === 'image')!
    return { logo, name: wordsOn(on).find(w => /saltgrass/i.test(w.text))!.y }
  }
  const large = await logoOn(withLogo(600))
  expect(large.logo.width).toBeCloseTo(large.logo.height, 6)
  expect(large.logo.y + large.logo.height).toBeLessThan(large.name)
  const small = await logoOn(withLogo(60))
  expect(small.logo.width).toBeCloseTo((60 / 300) * 72, 6)
  const title = plain.sections.find(s => s.role === 'title-page')!
  expect(madeDoc(withLogo(600), title, undefined).content.map(b => b.type)).toEqual([
    'paragraph',
    'paragraph',
    'image',
    'paragraph',
    'paragraph',
  ])
})
