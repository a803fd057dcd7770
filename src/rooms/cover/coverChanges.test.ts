import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cases } from '../../../tests/support/deep'
import { type CoverDesign, lampOverTide, rows } from '@/core/cover'
import {
  added,
  copied,
  inReadingOrder,
  laid,
  newPieces,
  pictured,
  redesigned,
  withPiece,
  without,
} from './coverChanges'

const ids = ({ pieces }: CoverDesign): string[] => pieces.map(p => p.id)
const panel = fc.constantFrom('front', 'back', 'spine', 'sheet') as fc.Arbitrary<'front'>
/** Whatever an author does, one step after the other. */
const steps = fc.array(
  fc.oneof(
    fc.tuple(fc.constantFrom(...newPieces), panel).map(
      ([what, on]) =>
        (d: CoverDesign) =>
          added(d, what, on).design,
    ),
    panel.map(on => (d: CoverDesign) => pictured(d, 'a', on).design),
    fc.nat(30).map(n => (d: CoverDesign) => copied(d, d.pieces[n % Math.max(1, d.pieces.length)]?.id ?? '').design),
    fc.nat(30).map(n => (d: CoverDesign) => without(d, [d.pieces[n % Math.max(1, d.pieces.length)]?.id ?? ''])),
    fc.tuple(fc.nat(30), fc.constantFrom(1 as const, -1 as const)).map(
      ([n, by]) =>
        (d: CoverDesign) =>
          laid(d, d.pieces[n % Math.max(1, d.pieces.length)]?.id ?? '', by),
    ),
  ),
  { maxLength: 25 },
)

describe('changes of a cover', () => {
  test('whatever is done, every piece keeps an id of its own and stays in its area', () => {
    fc.assert(
      fc.property(steps, all => {
        const design = all.reduce((d, step) => step(d), lampOverTide)
        expect(new Set(ids(design)).size).toBe(design.pieces.length)
        for (const { box } of design.pieces) {
          expect(box.x).toBeGreaterThanOrEqual(0)
          expect(box.x + box.width).toBeLessThanOrEqual(1 + 1e-9)
          expect(box.y + box.height).toBeLessThanOrEqual(1 + 1e-9)
        }
      }),
      { numRuns: cases(100, 2000) },
    )
  })

  test('what is added is in the hand and lies over all; a picture lies under the words', () => {
    const { design, id } = added(lampOverTide, 'star', 'back')
    expect(ids(design).at(-1)).toBe(id)
    expect(design.pieces.at(-1)).toMatchObject({ kind: 'shape', form: 'star', panel: 'back' })
    const under = pictured(design, 'a', 'front')
    expect(ids(under.design)[0]).toBe(under.id)
  })

  test('a piece is laid a step further, and stays where nothing lies beyond', () => {
    const order = ids(lampOverTide)
    expect(ids(laid(lampOverTide, order[0]!, 1)).slice(0, 2)).toEqual([order[1], order[0]])
    expect(ids(laid(lampOverTide, order[0]!, -1))).toEqual(order)
    expect(ids(laid(lampOverTide, order.at(-1)!, 1))).toEqual(order)
  })

  test('a value that is undefined goes', () => {
    const turned = withPiece(lampOverTide, 'title', { turn: 12, name: 'the name' })
    expect(turned.pieces.find(p => p.id === 'title')).toMatchObject({ turn: 12, name: 'the name' })
    const back = withPiece(turned, 'title', { turn: undefined, name: undefined })
    expect(back).toEqual(lampOverTide)
  })

  test('another design keeps what the author put on the cover, and the picture', () => {
    const own = added({ ...lampOverTide, picture: { asset: 'a', over: 'front' } }, 'badge', 'front')
    const other = redesigned(own.design, rows)
    expect(ids(other)).toEqual([...ids(rows), own.id])
    expect(other).toMatchObject({ id: rows.id, motif: rows.motif, picture: { asset: 'a' } })
    expect(redesigned(other, lampOverTide)).toEqual(own.design)
  })

  test('pieces are read from the head down', () => {
    const front = lampOverTide.pieces.filter(p => p.panel === 'front')
    expect(inReadingOrder([...front].reverse()).map(p => p.id)).toEqual(['series', 'title', 'subtitle', 'author'])
  })
})
