import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { type Cover, type Examined, type Flat, flatFor, wrapOn, zoneOf } from '../cover'
import { profileOf, shippedProfiles } from '../outlets'
import { type OutletProfile, printRules, pts } from '../trade'
import { elsewhereRules, type Finding, remedyWords, type Subject } from '.'

const ostrevane = profileOf('ostrevane', shippedProfiles)
const flat = flatFor(ostrevane, { binding: 'paperback', trim: '6x9in', paper: 'cream', pages: 200 })
const { bleed } = flat
const asset = { id: 'a', type: 'application/pdf' as const, width: 9000, height: 6000 }
const over = { top: bleed.top, right: bleed.right, bottom: bleed.bottom, left: bleed.left }
const clean: Examined = {
  words: [],
  pictures: [],
  fonts: [],
  seenThrough: false,
  colours: ['rgb'],
  bare: [],
  busy: 0,
  unread: [],
}

interface Wish {
  more?: { width?: number; height?: number }
  examined?: Partial<Examined>
  profile?: OutletProfile
  on?: Flat
  isbn?: string
  follows?: boolean
}
/** What is found of a wrap that is so much larger than its flat, and in which this was found. */
function found({ more = {}, examined = {}, profile = ostrevane, on = flat, isbn, follows }: Wish): Finding[] {
  const sheet = {
    asset: 'a',
    width: flat.width + 2 * bleed.left + (more.width ?? 0),
    height: flat.height + 2 * bleed.top + (more.height ?? 0),
    over,
  }
  const wrap = { sheets: [sheet], ...(follows ? { atFolds: 'widened' as const } : {}) }
  const sheets = wrapOn(wrap, on, [asset])
  const cover = {
    flat: on,
    barcode: zoneOf(on, 'barcode', 'back'),
    elsewhere: { what: 'wrap', sheets },
  } as unknown as Cover
  const subject = { profile, print: { cover, examined: { ...clean, ...examined }, isbn } } as unknown as Subject
  const all = elsewhereRules.flatMap(rule => rule(subject))
  // Each says in one sentence what is wrong, and what is to be done.
  for (const f of all) {
    expect(f.message).toMatch(/\.$/)
    expect(remedyWords(f).length).toBeGreaterThan(10)
  }
  return all
}
const said = (of: Wish): string[] => found(of).map(f => `${f.severity} ${f.rule}`)

describe('a wrap made elsewhere', () => {
  test('that is as it is asked for has nothing against it', () => expect(said({})).toEqual([]))

  test('of another size is what the profile’s play makes of it, wider as narrower', () => {
    const { silent, remark } = printRules(ostrevane).play
    const [none, some] = [pts(silent), pts(remark)]
    fc.assert(
      fc.property(
        fc.double({ min: -6, max: 6, noNaN: true }),
        fc.constantFrom('width' as const, 'height' as const),
        (by, way) => {
          const severities = found({ more: { [way]: by } }).flatMap(f => (f.rule === 'size' ? [f.severity] : []))
          const off = Math.abs(by)
          // At the very limit either is right.
          if (Math.abs(off - none) < 1e-6 || Math.abs(off - some) < 1e-6) return
          expect(severities).toEqual(off <= none ? [] : off <= some ? ['remark'] : ['stop'])
        },
      ),
    )
  })

  test('that follows the spine is of no other width, and what is drawn at its folds is said', () => {
    const now = flatFor(ostrevane, { binding: 'paperback', trim: '6x9in', paper: 'cream', pages: 300 })
    expect(said({ on: now })).toEqual(['stop size'])
    expect(said({ on: now, follows: true, examined: { folds: { left: 1, right: 1 } } })).toEqual([])
    const torn = found({ on: now, follows: true, examined: { folds: { left: 0.6, right: 0.995 } } })
    expect(torn.map(f => f.amount)).toEqual(['40 %'])
    expect(torn[0]!.message).toMatch(/left fold .* wider/)
  })

  test('has its words in their zones: the furthest off of each panel is said', () => {
    const word = (x: number, text: string) => ({ text, box: { x, y: 300, width: 60, height: 12 } })
    const right = flat.width
    const zones = found({
      examined: { words: [word(right - 66, 'nearly'), word(right - 40, 'far'), word(100, 'fine'), word(-20, 'back')] },
    })
    expect(zones.map(f => f.message)).toEqual([
      expect.stringMatching(/^On the wrap “far” stands .* outside the safe zone of the front\.$/),
      expect.stringMatching(/^On the wrap “back” .* of the back\.$/),
    ])
  })

  test('reaches past its edges: of its whole length nothing, of a hair nothing is said', () => {
    const bare = (share: number) =>
      said({ examined: { bare: [{ edge: 'left', share, box: { x: 0, y: 0, width: 1, height: 1 } }] } })
    expect(bare(0.005)).toEqual([])
    expect(bare(0.3)).toEqual(['mend bleed'])
  })

  test('is held to what its printer takes: inks, nothing seen through, pictures fine enough', () => {
    const box = { x: 0, y: 0, width: 10, height: 10 }
    const strict = { ...ostrevane, print: { ...ostrevane.print!, pdf: 'pdf/x-1a prepared' as const } }
    const least = printRules(ostrevane).leastPpi
    expect(said({ examined: { pictures: [{ ppi: 300, box }] } })).toEqual([])
    expect(said({ examined: { pictures: [{ ppi: 250, box }] } })).toEqual(['remark cover resolution'])
    expect(said({ examined: { pictures: [{ ppi: least - 1, box }] } })).toEqual(['stop cover resolution'])
    expect(said({ examined: { seenThrough: true } })).toEqual([])
    expect(said({ profile: strict, examined: { seenThrough: true, colours: ['cmyk'] } })).toEqual(['stop transparency'])
    expect(said({ profile: strict })).toEqual(['stop colour'])
    expect(said({ examined: { colours: ['spot', 'rgb'] } })).toEqual(['remark colour'])
    expect(said({ examined: { fonts: ['Any'] } })).toEqual(['stop fonts'])
    expect(said({ examined: { unread: ['its words: torn'] } })).toEqual(['stop made elsewhere'])
  })

  test('has a barcode of its own that says this edition’s ISBN, or bare ground under ours', () => {
    const code = zoneOf(flat, 'barcode', 'back')!
    expect(said({ examined: { busy: 0.3 } })).toEqual(['mend barcode'])
    expect(said({ examined: { words: [{ text: 'x', box: { ...code, width: 5, height: 5 } }] } })).toContain(
      'mend barcode',
    )
    expect(said({ examined: { barcode: '9780000001030' }, isbn: '978-0-00-000103-0' })).toEqual([])
    expect(said({ examined: { barcode: '9780000001030' }, isbn: '9780000000002' })).toEqual(['stop barcode'])
    expect(said({ examined: { barcode: 'none' } })).toEqual(['mend barcode'])
    // Without an ISBN another rule asks for one.
    expect(said({ examined: { barcode: '9780000001030' } })).toEqual([])
  })

  test('nothing is asked where nothing was made elsewhere', () => {
    expect(
      elsewhereRules.flatMap(rule => rule({ profile: ostrevane, print: { cover: { flat } } } as unknown as Subject)),
    ).toEqual([])
    expect(elsewhereRules.flatMap(rule => rule({ profile: ostrevane } as unknown as Subject))).toEqual([])
  })
})
