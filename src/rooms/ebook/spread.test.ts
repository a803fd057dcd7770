import { describe, expect, test } from '@jest/globals'
import { type Device, devices } from './devices'
import { columnsOn } from './readerStyle'
import { beyond, facing, placeOn } from './spread'

const spine = ['cover', 'p1', 'p2', 'p3', 'p4']
const sides = new Map<string, 'left' | 'right'>([
  ['p1', 'right'],
  ['p2', 'left'],
  ['p3', 'right'],
  ['p4', 'left'],
])
const copy = { spine, sides, fixed: { width: 500, height: 800 } }
const wide = { width: 1000, height: 700, columns: 2 as const }
const tall: Pick<Device, 'width' | 'height' | 'columns'> = { width: 700, height: 1000 }

describe('fixed pages on a wide screen', () => {
  test('lie beside each other, left and right; a first and a last one, and a cover, alone', () => {
    expect(spine.map(p => facing(copy, p, wide))).toEqual([undefined, undefined, 'p3', 'p2', undefined])
    expect(spine.map(p => facing(copy, p, tall))).toEqual(Array(5).fill(undefined))
    expect(facing({ spine, sides, fixed: undefined }, 'p2', wide)).toBeUndefined()
  })
  test('are turned two at a time where two are seen', () => {
    expect([beyond(copy, ['p2', 'p3'], 1), beyond(copy, ['p3', 'p2'], -1)]).toEqual(['p4', 'p1'])
    expect([beyond(copy, ['p4', undefined], 1), beyond(copy, ['cover', undefined], -1)]).toEqual([undefined, undefined])
  })
  test('are whole, touch in the middle, and lie within the screen', () => {
    const [left, right, alone] = ['p2', 'p3', 'cover'].map(p => placeOn(wide, copy, p)) as [
      ReturnType<typeof placeOn>,
      ReturnType<typeof placeOn>,
      ReturnType<typeof placeOn>,
    ]
    expect(left.fits).toBe(700 / 800)
    expect([left.left + 500 * left.fits, right.left]).toEqual([500, 500])
    expect(alone.left + (500 * alone.fits) / 2).toBe(500)
    for (const p of [left, right, alone]) {
      expect(p.left).toBeGreaterThanOrEqual(0)
      expect(p.left + 500 * p.fits).toBeLessThanOrEqual(1000)
      expect(p.top).toBe(0)
    }
    expect(placeOn(wide, { spine, sides, fixed: undefined }, 'p2')).toEqual({ shown: wide, fits: 1, left: 0, top: 0 })
  })
})

test('what flows stands in two columns where letters are not too large for them', () => {
  const tablet = devices.find(d => d.columns === 2)!
  const columns = (size: 'small' | 'usual' | 'large' | 'very large'): number =>
    columnsOn(tablet, { margins: 'usual', size })
  expect((['small', 'usual', 'large', 'very large'] as const).map(columns)).toEqual([2, 2, 2, 1])
  expect(columnsOn(tablet, { margins: 'wide', size: 'large' })).toBe(1)
  for (const d of devices.filter(x => !x.columns)) expect(columnsOn(d, { margins: 'narrow', size: 'small' })).toBe(1)
})
