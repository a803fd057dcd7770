import { expect, test } from '@jest/globals'
import { wordOf } from '@/core/activity'
import type { Asset } from '@/core/book'
import { withMade } from './cleaning'

const asset = (id: string, more: Partial<Asset> = {}): Asset => ({
  id,
  type: 'image/png',
  width: 8,
  height: 8,
  ...more,
})
const how = { dark: 0.5, thicken: 0, specks: 60 }

test('what was made of a drawing stands beside it, once for each way of cleaning', () => {
  const once = withMade([asset('a')], { id: 'a', word: wordOf(how), asset: asset('x', { made: true }) })
  expect(once).toEqual([asset('a', { cleaned: [{ how: '0.5/0/60', id: 'x' }] }), asset('x', { made: true })])
  const again = withMade(once, { id: 'a', word: wordOf(how), asset: asset('y', { made: true }) })
  expect(again[0]!.cleaned).toEqual([{ how: '0.5/0/60', id: 'y' }])
  const thicker = withMade(again, { id: 'a', word: wordOf({ ...how, thicken: 1 }), asset: asset('z', { made: true }) })
  expect(thicker[0]!.cleaned!.map(c => c.id)).toEqual(['y', 'z'])
  expect(thicker.map(a => a.id)).toEqual(['a', 'x', 'y', 'z'])
})

test('two drawings that come out the same share what was made; one that was clean already is never hidden or replaced', () => {
  const blank = asset('x', { made: true })
  const both = [asset('a'), asset('b')].reduce(
    (all, { id }) => withMade(all, { id, word: wordOf(how), asset: blank }),
    [asset('a'), asset('b')],
  )
  expect(both.map(a => [a.id, a.cleaned?.[0]?.id])).toEqual([
    ['a', 'x'],
    ['b', 'x'],
    ['x', undefined],
  ])
  const same = withMade([asset('a', { name: 'mine' })], {
    id: 'a',
    word: wordOf(how),
    asset: asset('a', { made: true }),
  })
  expect(same).toEqual([asset('a', { name: 'mine', cleaned: [{ how: '0.5/0/60', id: 'a' }] })])
})
