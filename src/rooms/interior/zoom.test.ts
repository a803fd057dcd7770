import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { partInView, scaleOf, zoomBy, zoomSteps, zoomWords } from './zoom'

describe('zoom', () => {
  test('steps grow to the last and shrink back to the whole spread, from any fit', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 3, noNaN: true }), fit => {
        let zoom = 0
        const up = [scaleOf(zoom, fit)]
        for (let i = 0; i < zoomSteps.length; i++) up.push(scaleOf((zoom = zoomBy(zoom, 1, fit)), fit))
        expect(up).toEqual([...up].sort((a, b) => a - b))
        expect(zoom).toBe(16)
        for (let i = 0; i < zoomSteps.length; i++) {
          const next = zoomBy(zoom, -1, fit)
          expect(scaleOf(next, fit)).toBeLessThanOrEqual(scaleOf(zoom, fit))
          zoom = next
        }
        expect(zoom).toBe(0)
      }),
    )
    expect([zoomWords(2, 1), zoomWords(0, 1)]).toEqual(['200 %', '75 %'])
  })
  test('a part covers what is in view, stays on the page, and a small scroll leaves it as it is', () => {
    const page = { width: 396, height: 612 }
    const place = fc.record({ x: fc.integer({ min: 0, max: 8000 }), y: fc.integer({ min: 0, max: 12000 }) })
    fc.assert(
      fc.property(place, fc.constantFrom(8, 16), ({ x, y }, zoom) => {
        const scale = scaleOf(zoom, 1)
        const view = {
          x: Math.min(x, page.width * scale - 700),
          y: Math.min(y, page.height * scale - 500),
          width: 690,
          height: 500,
        }
        const part = partInView(page, scale, 1, view)!
        expect(part.x * scale).toBeLessThanOrEqual(view.x)
        expect(part.y * scale).toBeLessThanOrEqual(view.y)
        expect((part.x + part.width) * scale).toBeGreaterThanOrEqual(view.x + view.width - 1e-6)
        expect((part.y + part.height) * scale).toBeGreaterThanOrEqual(view.y + view.height - 1e-6)
        expect(Math.min(part.x, part.y)).toBeGreaterThanOrEqual(0)
        expect([part.x + part.width <= page.width, part.y + part.height <= page.height]).toEqual([true, true])
        expect(part.width * part.height * scale * scale).toBeLessThan(2048 * 2048)
      }),
    )
    // A page beside the view has no part; one that is no great picture is painted whole.
    expect(partInView(page, scaleOf(16, 1), 1, { x: -2000, y: 0, width: 690, height: 500 })).toBeUndefined()
    expect(partInView(page, scaleOf(2, 1), 1, { x: -2000, y: 0, width: 690, height: 500 })).toEqual({
      x: 0,
      y: 0,
      width: 396,
      height: 612,
    })
    const parts = [0, 60, 120].map(dy =>
      partInView(page, scaleOf(16, 1), 1, { x: 3000, y: 4200 + dy, width: 690, height: 500 }),
    )
    expect(new Set(parts.map(p => JSON.stringify(p))).size).toBeLessThan(3)
  })
})
