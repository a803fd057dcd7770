import { beforeAll, describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { createRequire } from 'node:module'
import { fontSource } from '@/cli/ports'
import { BLACK, LayerBuilder } from '../marks'
import {
  breakParagraph,
  type BreakRules,
  type Face,
  FontShelf,
  Gap,
  linePieces,
  loadHyphenator,
  type Paragraph,
  ParagraphBuilder,
  setLine,
  shapeIn,
  shippedFonts,
  splitLong,
  TextStyle,
} from '.'
import { runsByCoverage, shapeTogether } from './shape'

const shelf = new FontShelf(fontSource)
let face: Face
let serif: Face
let style: TextStyle
beforeAll(async () => {
  face = await shelf.face('eb-garamond/regular')
  serif = await shelf.face('source-serif/regular')
  style = new TextStyle({
    faces: [face, serif],
    size: 11,
    features: ['onum'],
    language: 'en-GB',
    colour: BLACK,
    hyphenator: await loadHyphenator('en-GB'),
  })
})

const rules: BreakRules = {
  measure: 120,
  indents: [],
  align: 'justify',
  stretch: 0.5,
  shrink: 0.34,
  scaling: 0.02,
  tracking: 0.01,
  hyphenate: false,
  ladder: 2,
  leastLastLine: 0,
  optical: false,
}
const words = [
  'tide',
  'a',
  'harbour',
  'lamp',
  'of',
  'Temperance',
  'sea',
  'the',
  'almanac',
  'seven',
  'bell',
  'it',
  'rang',
  'quay',
]
const prose = fc.array(fc.constantFrom(...words), { minLength: 1, maxLength: 14 }).map(w => w.join(' ') + '.')
const paragraphOf = (text: string): Paragraph => {
  const b = new ParagraphBuilder()
  b.text(text, style)
  return b.build()
}

/** The plain meaning of the demerits, with none of the search: every way of breaking is tried, line by line. */
function bruteForce(p: Paragraph, tolerance: number): number | undefined {
  const n = p.gap.length
  let best: number | undefined
  const from = (start: number, dem: number, fit: number): void => {
    let text = 0
    let ems = 0
    let glue = 0
    for (let i = start; i < n; i++) {
      text += p.boxWidth[i]!
      ems += p.boxEms[i]!
      if (i > start) glue += p.glue[i - 1]!
      const final = i === n - 1
      const diff = rules.measure - text - glue
      const flex = text * rules.scaling + ems * rules.tracking
      let r = 0
      if (diff >= 0) r = final || diff <= flex ? 0 : glue > 0 ? (diff - flex) / (glue * rules.stretch) : 1e9
      else r = -diff <= flex ? 0 : glue > 0 ? (diff + flex) / (glue * rules.shrink) : -1e9
      if (r < -1.0000001) return
      if (r > tolerance) continue
      const scaled = final && diff >= 0 ? 0 : Math.min(1, Math.abs(diff) / flex)
      const badness = 100 * Math.min(Math.abs(r), 20) ** 3 + 12 * scaled * scaled
      const cls = final ? fit : r < -0.5 ? 0 : r <= 0.5 ? 1 : r <= 1 ? 2 : 3
      const cost =
        dem + (10 + badness) ** 2 + (p.gap[i] === Gap.none ? 15 * 15 : 0) + (Math.abs(cls - fit) > 1 ? 4000 : 0)
      if (!final) from(i + 1, cost, cls)
      else if (cost < (best ?? Infinity)) best = cost
    }
  }
  from(0, 0, 1)
  return best
}

describe('breaking lines', () => {
  test('finds what trying every way finds', () => {
    let compared = 0
    fc.assert(
      fc.property(prose, text => {
        const p = paragraphOf(text)
        for (const tolerance of [0.5, 2.2]) {
          const brute = bruteForce(p, tolerance)
          if (brute === undefined) continue
          const best = breakParagraph(p, rules)[0]!
          // Pruning by fitness may not change the best there is.
          expect(best.demerits).toBeCloseTo(brute, 3)
          compared++
          return
        }
      }),
      { numRuns: 300 },
    )
    expect(compared).toBeGreaterThan(30)
  })

  test('ragged lines are the evenest there are, the last no scrap; even ones are no longer and no more', () => {
    const left: BreakRules = { ...rules, align: 'left', leastLastLine: 30 }
    const widthsOf = (p: Paragraph, lines: { count: number; toFrag: number[] }): number[] =>
      Array.from({ length: lines.count }, (_, i) => {
        const boxes = p.gap
          .map((_, b) => b)
          .filter(b => p.boxStart[b]! >= (i ? lines.toFrag[i - 1]! : 0) && p.boxStart[b]! < lines.toFrag[i]!)
        return boxes.reduce((w, b, k) => w + p.boxWidth[b]! + (k < boxes.length - 1 ? p.glue[b]! : 0), 0)
      })
    // Every way of breaking, its lines' leftovers squared.
    const cheapest = (p: Paragraph, from: number): number => {
      let [best, w] = [Infinity, 0]
      for (let i = from; i < p.gap.length; i++) {
        w += p.boxWidth[i]!
        if (w > left.measure + 0.01 && i > from) break
        const empty = left.measure - w
        if (i === p.gap.length - 1)
          best = Math.min(best, 1 + (empty < 0 ? 1e6 : from > 0 && w < 30 ? (left.measure / 3) ** 2 : 0))
        else best = Math.min(best, 1 + (empty < 0 ? 1e6 : empty ** 2) + cheapest(p, i + 1))
        w += p.glue[i]!
      }
      return best
    }
    fc.assert(
      fc.property(prose, text => {
        const p = paragraphOf(text)
        const set = breakParagraph(p, left)[0]!
        const even = breakParagraph(p, { ...left, even: true })[0]!
        return (
          Math.abs(set.demerits - cheapest(p, 0)) < 1e-6 &&
          even.count <= set.count &&
          Math.max(...widthsOf(p, even)) <= Math.max(...widthsOf(p, set)) + 1e-9
        )
      }),
      { numRuns: 150 },
    )
    const title = paragraphOf('Temperance almanac lamp tide it')
    const [plain, even] = [{}, { even: true }].map(more =>
      widthsOf(title, breakParagraph(title, { ...left, leastLastLine: 0, ...more })[0]!),
    )
    expect(Math.max(...even!) - Math.min(...even!)).toBeLessThan(Math.max(...plain!) - Math.min(...plain!))
  })
  test('every piece is in one line, in order, and no line is too long', () => {
    fc.assert(
      fc.property(
        fc.array(prose, { minLength: 1, maxLength: 8 }),
        fc.integer({ min: 60, max: 400 }),
        fc.boolean(),
        (texts, measure, hyphenate) => {
          const p = splitLong(paragraphOf(texts.join(' ')), measure)
          const own = { ...rules, measure, hyphenate, optical: hyphenate }
          for (const b of breakParagraph(p, own)) {
            const layer = new LayerBuilder()
            let text = ''
            for (let i = 0; i < b.count; i++) {
              const pieces = linePieces(p, b, i)
              text +=
                pieces.frags.map((f, k) => f.text.replace('\u00ad', '') + (pieces.gaps[k]! > 0 ? ' ' : '')).join('') +
                (b.toChar[i] ? '' : i < b.count - 1 && p.gap[boxEnding(p, b.toFrag[i]!)] !== Gap.none ? ' ' : '')
              const set = setLine(layer, pieces, own, { y: i, place: { section: 's', block: 'b' } })
              // Only a paragraph that needed the last pass may have a line that cannot be squeezed.
              if (!b.loose) expect(set.over).toBe(0)
            }
            expect(text.trim()).toBe(texts.join(' '))
          }
        },
      ),
      { numRuns: 200 },
    )
  })

  test('full lines end at the measure, hanging punctuation aside', () => {
    const p = paragraphOf(Array(12).fill('the harbour bell rang seven and the almanac said so of the tide').join(' '))
    const own = { ...rules, measure: 300 }
    const [b] = breakParagraph(p, own)
    for (let i = 0; i < b!.count - 1; i++) {
      const layer = new LayerBuilder()
      const pieces = linePieces(p, b!, i)
      setLine(layer, pieces, own, { y: 10, place: { section: 's', block: 'b' } })
      const t = layer.build().text!
      const last = pieces.frags[pieces.frags.length - 1]!
      const end = t.x[t.x.length - 1]!
      const advance = (face.advance(face.pairGlyph(t.glyphs[t.glyphs.length - 1]!)) / face.unitsPerEm) * 11
      expect(end + advance).toBeCloseTo(300, -0.1)
      expect(last.text.length).toBeGreaterThan(0)
    }
  })

  test('offers a line more or a line fewer where the tolerance allows', () => {
    const p = paragraphOf(Array(30).fill('the harbour bell rang seven').join(' '))
    const counts = breakParagraph(p, { ...rules, measure: 330 }).map(b => b.count)
    expect(counts.length).toBeGreaterThan(1)
    for (const c of counts.slice(1)) expect(Math.abs(c - counts[0]!)).toBe(1)
  })

  test('hyphens are divisions of the language, and not three running', () => {
    const text = Array(40).fill('an extraordinary sea and the circumstances of it notwithstanding').join(' ')
    const p = paragraphOf(text)
    const [b] = breakParagraph(p, { ...rules, measure: 150, hyphenate: true })
    let run = 0
    let seen = 0
    for (let i = 0; i < b!.count; i++) {
      run = b!.toChar[i]! ? run + 1 : 0
      expect(run).toBeLessThanOrEqual(2)
      if (b!.toChar[i]!) {
        seen++
        const f = p.frags[b!.toFrag[i]!]!
        expect(style.divisions(f).map(d => d.at)).toContain(b!.toChar[i])
      }
    }
    expect(seen).toBeGreaterThan(0)
  })

  test('words tied together are kept even where no line can hold them', () => {
    for (const align of ['justify', 'left', 'center'] as const)
      for (const measure of [0.5, 20, 60]) {
        const p = splitLong(paragraphOf('a\u00a0harbour\u00a0bell of brass'), measure)
        const [b] = breakParagraph(p, { ...rules, measure, align })
        expect(b!.count).toBeGreaterThan(0)
        expect([...Array(b!.count).keys()].flatMap(i => linePieces(p, b!, i).frags.map(f => f.text)).join('')).toBe(
          'aharbourbellofbrass',
        )
      }
  })

  test('a string wider than the line is parted, not lost', () => {
    const long = 'https://example.org/' + 'abcdefghij'.repeat(30)
    const p = splitLong(paragraphOf(`See ${long} now`), 120)
    for (const w of p.boxWidth) expect(w).toBeLessThanOrEqual(120)
    expect(p.frags.map(f => f.text).join('')).toBe(`See${long}now`)
  })
})

const boxEnding = (p: Paragraph, frag: number): number => {
  for (let i = 0; i < p.gap.length; i++) if (p.boxStart[i + 1] === frag) return i
  return p.gap.length - 1
}

describe('shaping', () => {
  test('ligatures keep their letters; small capitals, too', () => {
    const f = style.frag('office')
    const texts = [...f.shaped[0]!.pairs].map(p => face.pairText(p))
    expect(texts.join('')).toBe('office')
    expect(texts.length).toBeLessThan(6)
    const caps = new TextStyle({ faces: [face], size: 11, features: ['smcp'], language: 'en', colour: BLACK }).frag(
      'tide',
    )
    expect([...caps.shaped[0]!.pairs].map(p => face.pairText(p)).join('')).toBe('tide')
    expect([...caps.shaped[0]!.pairs].map(p => face.pairGlyph(p))).not.toEqual(
      [...style.frag('tide').shaped[0]!.pairs].map(p => face.pairGlyph(p)),
    )
  })
  test('kerning moves glyphs', () => {
    expect(style.frag('AV').width).toBeLessThan(style.frag('A').width + style.frag('V').width)
  })
  test('words shaped together are as they are alone, in every shipped face', async () => {
    const list = (createRequire(import.meta.url)('an-array-of-english-words') as string[]).filter(
      (_, i) => i % 211 === 0,
    )
    const odd = ['Ta.', '“Well,”', 'AV', 'fjord', 'office', 'Qu', 'f', ')f(', 'naïve', 'L’Île', '1907,', 'ffi—', 'Wo']
    for (const key of Object.keys(shippedFonts)) {
      const own = await shelf.face(key)
      for (const features of [[], ['onum'], ['smcp']]) {
        const together = shapeTogether(own, [...odd, ...list], features, 'en-GB')
        expect(together).toHaveLength(odd.length + list.length)
        // Compared by hand and expected once a face: an expectation a letter takes most of a minute.
        const differ = [...odd, ...list].filter((w, i) => {
          const [one, alone] = [together[i]!, shapeIn(own, w, features, 'en-GB')]
          const same = (x: number[], y: number[]): boolean =>
            x.length === y.length && x.every((v, k) => Math.abs(v - y[k]!) < 1e-6)
          return (
            !same(one.pairs, alone.pairs) ||
            !same(one.cluster, alone.cluster) ||
            !same(one.x, alone.x) ||
            !same([one.advance, one.letters], [alone.advance, alone.letters])
          )
        })
        expect([key, features, differ]).toEqual([key, features, []])
      }
    }
  })
  test('a word is shaped once', () => {
    expect(style.frag('harbour')).toBe(style.frag('harbour'))
  })
  test('a character goes to the first face that has it, marks with their letter', () => {
    const runs = runsByCoverage('a☐b', [face, serif])
    expect(runs.map(r => r.face.key)).toEqual(['eb-garamond/regular', 'source-serif/regular', 'eb-garamond/regular'])
    expect(runsByCoverage('e\u0301', [face, serif])).toHaveLength(1)
  })
  test('what no face has is counted and set as a box', () => {
    const b = new ParagraphBuilder()
    b.text('字 here', style)
    const p = b.build()
    expect(p.missing).toEqual(['字'])
    expect(face.pairGlyph(p.frags[0]!.shaped[0]!.pairs[0]!)).toBe(0)
    expect(face.outline(0).ops.length).toBeGreaterThan(3)
  })
  test('licence bits are read', () => {
    expect(face.mayEmbed).toBe(true)
  })
})
