import { expect, test } from '@jest/globals'
import { shelf } from '../../../tests/support/core'
import { drawCover, dressed, designKind, flatFor } from '../cover'
import { profileOf, shippedProfiles } from '../outlets'
import { refitted } from './refit'

const profile = profileOf('ostrevane', shippedProfiles)
const data = {
  title: 'The Tidewarden’s Almanac',
  contributors: [{ name: 'Orla Fenwright', role: 'aut' }],
  language: 'en',
  imprint: { name: 'Saltgrass' },
  subjects: [],
}
const at = (pages: number, title = data.title) =>
  drawCover(
    flatFor(profile, { binding: 'paperback', trim: '6x9in', paper: 'cream', pages }),
    dressed(designKind('night-street')!),
    { ...data, title },
    { isbn: '9780000001030', shelf },
  )

test('a cover that fits as before says how its spine moves, and nothing else', async () => {
  const { spine, noLonger } = refitted(await at(218), await at(262), profile)
  expect((spine.to - spine.from) / 72).toBeCloseTo(44 * 0.00254, 5)
  expect(noLonger).toEqual([])
})
test('words of a spine that grows too thin are named', async () => {
  const { noLonger } = refitted(await at(120), await at(60), profile)
  expect(noLonger).toEqual([
    'The title has no place on the spine any more.',
    'The author has no place on the spine any more.',
  ])
})
test('words that no longer fit are named; those that did not fit before are not named again', async () => {
  const long = 'A Very Long Title Indeed That Goes On And On '.repeat(4)
  const wide = refitted(await at(600, long), await at(86, long), profile)
  expect(wide.noLonger.join()).toContain('title is too long for its place on the spine')
  expect(refitted(await at(86, long), await at(90, long), profile).noLonger).toEqual([])
})
