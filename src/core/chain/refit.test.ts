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
const at = (pages: number, design = 'night-street') =>
  drawCover(
    flatFor(profile, { binding: 'paperback', trim: '6x9in', paper: 'cream', pages }),
    dressed(designKind(design)!),
    data,
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
/** Its spine is set in small letters, which hang. */
const LOW = 'lamp-over-tide'

test('words that no longer fit are named, and those that did not fit before are not named again', async () => {
  // 86 pages are 0.218 in, less 0.07 in at both folds: lower than the smallest letters with what hangs below them.
  const thin = refitted(await at(200, LOW), await at(86, LOW), profile)
  expect(thin.noLonger.join('; ')).toMatch(/title .*spine.*; .*author .*spine/)
  expect(refitted(await at(86, LOW), await at(86, LOW), profile).noLonger).toEqual([])
})
