import { expect, test } from '@jest/globals'
import type { Asset } from '@/core/book'
import { withCleaned } from './cleaning'

const asset = (id: string, more: Partial<Asset> = {}): Asset => ({
  id,
  type: 'image/png',
  width: 8,
  height: 8,
  ...more,
})
const how = { dark: 0.5, thicken: 0, specks: 60 }

test('what was made of a drawing stands beside it, once for each way of cleaning', () => {
  const once = withCleaned([asset('a')], { id: 'a', how, asset: asset('x', { made: true }) })
  expect(once).toEqual([asset('a', { cleaned: [{ how: '0.5/0/60', id: 'x' }] }), asset('x', { made: true })])
  const again = withCleaned(once, { id: 'a', how, asset: asset('y', { made: true }) })
  expect(again[0]!.cleaned).toEqual([{ how: '0.5/0/60', id: 'y' }])
  const thicker = withCleaned(again, { id: 'a', how: { ...how, thicken: 1 }, asset: asset('z', { made: true }) })
  expect(thicker[0]!.cleaned!.map(c => c.id)).toEqual(['y', 'z'])
  expect(thicker.map(a => a.id)).toEqual(['a', 'x', 'y', 'z'])
})

test('two drawings that come out the same share what was made; one that was clean already is never hidden or replaced', () => {
  const blank = asset('x', { made: true })
  const both = [asset('a'), asset('b')].reduce(
    (all, { id }) => withCleaned(all, { id, how, asset: blank }),
    [asset('a'), asset('b')],
  )
  expect(both.map(a => [a.id, a.cleaned?.[0]?.id])).toEqual([
    ['a', 'x'],
    ['b', 'x'],
    ['x', undefined],
  ])
  const same = withCleaned([asset('a', { name: 'mine' })], { id: 'a', how, asset: asset('a', { made: true }) })
  expect(same).toEqual([asset('a', { name: 'mine', cleaned: [{ how: '0.5/0/60', id: 'a' }] })])
})
