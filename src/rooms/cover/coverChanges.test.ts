import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cases } from '../../../tests/support/deep'
import type { CoverPiece } from '@/core/book'
import { type CoverDesign, lampOverTide, rows, shippedDesigns } from '@/core/cover'
import {
  added,
  copied,
  grouped,
  inReadingOrder,
  laid,
  newPieces,
  outlined,
  pasted,
  pictured,
  redesigned,
  togetherWith,
  withBoxes,
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
    // A cover of an earlier version does not say whose a piece is: what its design does not have is the author's.
    const unsaid = { ...own.design, pieces: own.design.pieces.map(({ own: _own, ...p }) => p as CoverPiece) }
    expect(ids(redesigned(unsaid, rows))).toEqual([...ids(rows), own.id])
  })

  test('what the author added is never lost to a design that has a piece of its name, nor a design’s own carried along', () => {
    const notebook = shippedDesigns.find(d => d.id === 'bound-notebook')!
    const line = added(lampOverTide, 'line', 'front')
    expect(ids(notebook)).toContain(line.id)
    const worn = redesigned(line.design, notebook)
    expect(worn.pieces).toHaveLength(notebook.pieces.length + 1)
    expect(new Set(ids(worn)).size).toBe(worn.pieces.length)
    // One kept under another id: what it consists of is the design's, until something is added to it.
    const kept = { ...notebook, id: 'own-notebook' }
    expect(redesigned(kept, lampOverTide)).toEqual(lampOverTide)
    const more = added(kept, 'star', 'front')
    expect(ids(redesigned(more.design, lampOverTide))).toEqual([...ids(lampOverTide), more.id])
  })

  test('whatever is worn one after the other, what was added stays and nothing else', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...newPieces), { minLength: 1, maxLength: 5 }),
        fc.array(fc.constantFrom(...shippedDesigns), { minLength: 1, maxLength: 6 }),
        (what, designs) => {
          const begun = what.reduce((d, w) => added(d, w, 'front').design, lampOverTide)
          const worn = designs.reduce(redesigned, begun)
          const last = designs.at(-1)!
          expect(worn.pieces.filter(p => p.own)).toHaveLength(what.length)
          expect(worn.pieces.filter(p => !p.own)).toEqual(last.pieces)
          expect(new Set(ids(worn)).size).toBe(worn.pieces.length)
        },
      ),
      { numRuns: cases(60, 600) },
    )
  })

  test('pieces of another cover come under ids of their own, out of their group', () => {
    const group = grouped(lampOverTide, ['title', 'author'], true)
    const from = group.pieces.filter(p => p.group)
    expect(from.map(p => p.id)).toEqual(['title', 'author'])
    expect(togetherWith(group.pieces, 'author')).toEqual(['title', 'author'])
    expect(togetherWith(group.pieces, 'series')).toEqual(['series'])
    const { design, ids: made } = pasted(rows, from)
    expect(made).toHaveLength(2)
    expect(new Set(ids(design)).size).toBe(design.pieces.length)
    expect(design.pieces.filter(p => made.includes(p.id)).every(p => p.group === undefined && p.own)).toBe(true)
    expect(grouped(group, ['title', 'author'], false)).toEqual(lampOverTide)
    // A second group is another one.
    const two = grouped(group, ['series', 'subtitle'], true)
    expect(new Set(two.pieces.map(p => p.group).filter(Boolean)).size).toBe(2)
  })

  test('several pieces are moved and taken out in one step; others stay as they are', () => {
    const box = { x: 0.1, y: 0.2, width: 0.3, height: 0.1 }
    const moved = withBoxes(lampOverTide, new Map([['title', box]]))
    expect(moved.pieces.find(p => p.id === 'title')!.box).toEqual(box)
    expect(without(moved, ['title'])).toEqual(without(lampOverTide, ['title']))
    expect(ids(without(lampOverTide, ['title', 'author']))).toEqual(
      ids(lampOverTide).filter(i => i !== 'title' && i !== 'author'),
    )
  })

  test('an outline of the author’s is a piece as others are', () => {
    const { design, id } = outlined(lampOverTide, 'M0 0L1000 0L500 1000Z', 'front')
    expect(design.pieces.at(-1)).toMatchObject({ id, kind: 'shape', form: 'own', own: true })
  })

  test('pieces are read from the head down', () => {
    const front = lampOverTide.pieces.filter(p => p.panel === 'front')
    expect(inReadingOrder([...front].reverse()).map(p => p.id)).toEqual(['series', 'title', 'subtitle', 'author'])
  })
})
