import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { createCanvas } from '@napi-rs/canvas'
import { nodePorts } from '@/cli/ports'
import { cases } from '../../../../tests/support/deep'
import { shelf } from '../../../../tests/support/core'
import { coverForms, fadeSides, type CoverPiece, type ShapePiece, type TextPiece, type TitleData } from '../../book'
import { type Item, type Layer, pathBox } from '../../marks'
import { profileOf, shippedProfiles } from '../../outlets'
import { type Flat, flatFor } from '../geometry'
import { areaOf, boxInArea, boxOnFlat, type CoverDesign, drawCover, lampOverTide } from '..'
import { covering, usualForm } from '.'
import { drawShape } from './shape'

const profile = profileOf('ostrevane', shippedProfiles)
const flatOf = (more: Partial<Parameters<typeof flatFor>[1]> = {}): Flat =>
  flatFor(profile, { binding: 'paperback', trim: '6x9in', paper: 'cream', pages: 218, ...more })
const data: TitleData = {
  title: 'The Long Ebb of the Carrow Light',
  contributors: [{ name: 'Orla Fenwright', role: 'aut' }],
  language: 'en-GB',
  imprint: { name: 'Saltgrass Lane Press' },
  subjects: [],
}
const words = (more: Partial<TextPiece> = {}): TextPiece => ({
  id: 'w',
  kind: 'text',
  panel: 'front',
  field: 'title',
  box: { x: 0.1, y: 0.1, width: 0.8, height: 0.4 },
  face: 'fraunces/bold',
  size: 40,
  leading: 1.1,
  tracking: 0,
  capitals: false,
  align: 'center',
  vertical: 'top',
  colour: '#f6efdf',
  ...more,
})
const shape = (more: Partial<ShapePiece> = {}): ShapePiece => ({
  id: 's',
  kind: 'shape',
  panel: 'front',
  form: 'rectangle',
  box: { x: 0.2, y: 0.2, width: 0.4, height: 0.3 },
  colour: '#c8553d',
  ...more,
})
const design = (...pieces: CoverPiece[]): CoverDesign => ({
  ...lampOverTide,
  motif: { ...lampOverTide.motif, kind: 'plain' },
  pieces,
})
const draw = (pieces: CoverPiece[], flat = flatOf()) => drawCover(flat, design(...pieces), data, { shelf })
const groupsOf = (layers: readonly Layer[], role: string): Item[] =>
  layers.flatMap(l =>
    l.items.flatMap(i => (i.kind === 'group' ? [...(i.role === role ? [i] : []), ...groupsOf(i.layers, role)] : [])),
  )

describe('shapes', () => {
  test.each(coverForms)('%s lies in its box, and fills it where it does not keep its form', form => {
    const box = { x: 10, y: 20, width: 120, height: 60 }
    const { layer } = drawShape(shape({ form }), { area: box, box })
    const [item] = layer.items
    const [x0, y0, x1, y1] = item?.kind === 'path' ? pathBox(item.path) : [0, 0, 0, 0]
    expect(x0).toBeGreaterThanOrEqual(box.x - 1)
    expect(y0).toBeGreaterThanOrEqual(box.y - 1)
    expect(x1).toBeLessThanOrEqual(box.x + box.width + 1)
    expect(y1).toBeLessThanOrEqual(box.y + box.height + 1)
    const keeps = usualForm[form].points > 0
    // What is round keeps its form and lies in the middle.
    if (keeps) expect(Math.abs((x0 + x1) / 2 - 70)).toBeLessThan(2)
    else expect(x1 - x0).toBeCloseTo(box.width, 3)
    expect(x1 - x0).toBeLessThanOrEqual((keeps ? box.height : box.width) + 2)
  })

  test('one that does not cover wholly is drawn in a group of that opacity', () => {
    const box = { x: 0, y: 0, width: 10, height: 10 }
    expect(drawShape(shape({ opacity: 0.4 }), { area: box, box }).layer.items[0]).toMatchObject({
      kind: 'group',
      opacity: 0.4,
    })
  })
})

describe('pictures', () => {
  const side = fc.double({ min: 10, max: 900, noNaN: true })
  const part = fc.double({ min: 0, max: 1, noNaN: true })
  test('whatever box they cover, they cover it wholly, undistorted, and what is in focus is seen', () => {
    fc.assert(
      fc.property(side, side, side, side, part, part, fc.double({ min: 1, max: 6, noNaN: true }), (...v) => {
        const [bw, bh, width, height, x, y, zoom] = v
        const box = { x: 30, y: -12, width: bw, height: bh }
        const at = covering(box, { width, height }, { focus: { x, y }, zoom })
        const e = 1e-6 * (at.width + at.height)
        expect(at.x).toBeLessThanOrEqual(box.x + e)
        expect(at.y).toBeLessThanOrEqual(box.y + e)
        expect(at.x + at.width).toBeGreaterThanOrEqual(box.x + bw - e)
        expect(at.y + at.height).toBeGreaterThanOrEqual(box.y + bh - e)
        expect(at.width / at.height).toBeCloseTo(width / height, 4)
        const seen = { x: at.x + at.width * x, y: at.y + at.height * y }
        expect(seen.x).toBeGreaterThanOrEqual(box.x - e)
        expect(seen.x).toBeLessThanOrEqual(box.x + bw + e)
        expect(seen.y).toBeGreaterThanOrEqual(box.y - e)
        expect(seen.y).toBeLessThanOrEqual(box.y + bh + e)
      }),
      { numRuns: cases(200, 3000) },
    )
  })

  test('one of the book is drawn, clipped to its mask; one that the book does not have leaves its place empty', async () => {
    const piece: CoverPiece = {
      id: 'p',
      kind: 'picture',
      panel: 'front',
      asset: 'a',
      mask: 'arch',
      mirrored: true,
      box: { x: 0.1, y: 0.5, width: 0.8, height: 0.4 },
    }
    const asset = { id: 'a', type: 'image/png' as const, width: 800, height: 500 }
    const cover = await drawCover(flatOf(), design(piece), data, { shelf, assets: [asset] })
    const [group] = groupsOf(
      cover.page.layers.map(l => l.layer),
      'p',
    )
    expect(JSON.stringify(group)).toContain('"asset":"a"')
    expect(
      groupsOf(
        (await draw([piece])).page.layers.map(l => l.layer),
        'p',
      ),
    ).toEqual([])
  })

  test.each(fadeSides)(
    'one that goes over into nothing (%s) does so evenly, and covers where it has not begun',
    async toward => {
      const canvas = createCanvas(60, 60)
      const ctx = canvas.getContext('2d')
      ctx.fillStyle = '#ffffff'
      ctx.fillRect(0, 0, 60, 60)
      const pictures = new Map([['a', new Uint8Array(canvas.toBuffer('image/png'))]])
      const box = { x: 0.2, y: 0.3, width: 0.6, height: 0.4 }
      const piece: CoverPiece = {
        id: 'p',
        kind: 'picture',
        panel: 'front',
        asset: 'a',
        box,
        fade: { toward, over: 0.6 },
      }
      const asset = { id: 'a', type: 'image/png' as const, width: 60, height: 60 }
      const cover = await drawCover(flatOf(), design(piece), data, { shelf, assets: [asset] })
      const { rgba, width } = await nodePorts(pictures).pixels(cover.page, 2)
      const at = boxOnFlat(cover.flat, piece)!
      const { bleed } = cover.flat
      const light = (x: number, y: number): number =>
        rgba[
          (Math.round((at.y + at.height * y + bleed.top) * 2) * width +
            Math.round((at.x + at.width * x + bleed.left) * 2)) *
            4
        ]!
      // From the side that it goes to, inwards.
      const inwards = Array.from({ length: 50 }, (_, i) => {
        const part = 0.01 + (i / 49) * (toward === 'all sides' ? 0.49 : 0.98)
        if (toward === 'foot') return light(0.5, 1 - part)
        if (toward === 'right') return light(1 - part, 0.5)
        return toward === 'head' ? light(0.5, part) : light(part, 0.5)
      })
      for (const [i, v] of inwards.slice(1).entries()) expect(v).toBeGreaterThanOrEqual(inwards[i]! - 1)
      expect(inwards[0]).toBeLessThan(80)
      expect(inwards[49]).toBe(255)
      expect(inwards[15]).toBeGreaterThan(90)
      expect(inwards[15]).toBeLessThan(210)
    },
  )
})

describe('words', () => {
  test('lines of a title are as even as its words let them be, in no more lines', async () => {
    const widths = async (piece: TextPiece): Promise<number[]> => {
      const cover = await draw([piece])
      const rows = new Map<number, [number, number]>()
      const look = (layers: readonly Layer[]): void =>
        layers.forEach(({ items, text }) => {
          for (let run = 0; text && run < text.count; run++) {
            const row = rows.get(text.baseline[run]!) ?? [Infinity, -Infinity]
            for (let i = text.start[run]!; i < text.start[run + 1]!; i++) {
              row[0] = Math.min(row[0], text.x[i]!)
              row[1] = Math.max(row[1], text.x[i]!)
            }
            rows.set(text.baseline[run]!, row)
          }
          items.forEach(i => i.kind === 'group' && look(i.layers))
        })
      look(cover.page.layers.map(l => l.layer))
      return [...rows.values()].map(([a, b]) => b - a)
    }
    // "The Long Ebb of the Carrow Light" at 30 pt takes two lines; filled from the front the second would be one word.
    const lines = await widths(words({ size: 30 }))
    expect(lines).toHaveLength(2)
    expect(Math.min(...lines) / Math.max(...lines)).toBeGreaterThan(0.6)
  })

  test('on a plate they are read on the plate; a shadow lies under them; both belong to the ground that they are held against', async () => {
    const bare = await draw([words()])
    const plated = await draw([words({ plate: { colour: '#ffffff', around: 0.4, round: true } })])
    const shaded = await draw([words({ shadow: { colour: '#000000', across: 0.03, down: 0.04 } })])
    const grounds = [bare, plated, shaded].map(
      c =>
        groupsOf(
          c.ground.layers.map(l => l.layer),
          'w',
        ).length,
    )
    expect(grounds).toEqual([0, 1, 1])
    expect(plated.pieces[0]).toMatchObject({ id: 'w', name: 'title', tooLong: false })
  })

  test('its own words, as they are called; empty ones are not set', async () => {
    const own = await draw([words({ field: 'own', words: 'A novel', name: 'what it is' })])
    expect(own.pieces[0]).toMatchObject({ text: 'A novel', name: 'what it is' })
    expect((await draw([words({ field: 'own', words: '  ' })])).pieces).toEqual([])
  })

  test('turned, they reach further than their lines: the box says how far', async () => {
    const [straight] = (await draw([words({ field: 'own', words: 'Ebb' })])).pieces
    const [turned] = (await draw([words({ field: 'own', words: 'Ebb', turn: 90 })])).pieces
    expect(turned!.box.height).toBeCloseTo(straight!.box.width, 3)
    expect(turned!.box.width).toBeCloseTo(straight!.box.height, 3)
  })
})

describe('places', () => {
  const part = fc.double({ min: 0, max: 1, noNaN: true })
  const box = fc.tuple(part, part, part, part).map(([x, y, w, h]) => {
    const [width, height] = [0.01 + 0.9 * w, 0.01 + 0.9 * h]
    return { x: x * (1 - width), y: y * (1 - height), width, height }
  })
  const anyFlat = fc
    .tuple(fc.constantFrom('paperback', 'case'), fc.integer({ min: 100, max: 480 }), fc.constantFrom('5x8in', '6x9in'))
    .map(([binding, pages, trim]) => flatOf({ binding: binding as 'paperback', pages, trim }))
  const on = fc.record({
    panel: fc.constantFrom('front', 'back', 'spine', 'sheet'),
    within: fc.constantFrom('safe', 'panel'),
  }) as fc.Arbitrary<Pick<CoverPiece, 'panel'> & { within: 'safe' | 'panel' }>

  test('a box on the flat is the same box in its area, on every panel and binding', () => {
    fc.assert(
      fc.property(anyFlat, on, box, (flat, at, b) => {
        const placed = boxOnFlat(flat, { ...at, box: b })!
        const area = areaOf(flat, at)!
        expect(placed.x).toBeGreaterThanOrEqual(area.x - 1e-6)
        expect(placed.y + placed.height).toBeLessThanOrEqual(area.y + area.height + 1e-6)
        const back = boxInArea(flat, at, placed)!
        for (const k of ['x', 'y', 'width', 'height'] as const) expect(back[k]).toBeCloseTo(b[k], 6)
      }),
      { numRuns: cases(100, 2000) },
    )
  })

  test('what is dragged out of its area is held in it', () => {
    const flat = flatOf()
    const far = boxInArea(flat, { panel: 'front' }, { x: -500, y: 2000, width: 100, height: 50 })!
    expect([far.x, far.y + far.height]).toEqual([0, 1])
  })

  test('a panel reaches to the bleed on its outer edges; a thin spine has no place for words and has one for shapes', () => {
    const thin = flatOf({ pages: 40 })
    expect(areaOf(thin, { panel: 'spine' })).toBeUndefined()
    expect(areaOf(thin, { panel: 'spine', within: 'panel' })!.width).toBeCloseTo(thin.panels.spine.width, 6)
    const front = areaOf(thin, { panel: 'front', within: 'panel' })!
    expect(front.x + front.width).toBeCloseTo(thin.width + thin.bleed.right, 6)
    expect(front.x).toBeCloseTo(thin.panels.front.x, 6)
    const coil = flatFor(profileOf('tarnbrook', shippedProfiles), {
      binding: 'coil',
      trim: 'A5',
      paper: 'white',
      pages: 120,
    })
    expect(areaOf(coil, { panel: 'spine', within: 'panel' })).toBeUndefined()
  })

  test('pieces lie in the order of the design, the last over all', async () => {
    const cover = await draw([shape({ id: 'low' }), words(), shape({ id: 'high' })])
    const roles = cover.page.layers.flatMap(l => l.layer.items.flatMap(i => (i.kind === 'group' ? [i.role] : [])))
    expect(roles.filter(r => ['low', 'w', 'high'].includes(r!))).toEqual(['low', 'w', 'high'])
  })
})
