import { expect, test } from '@jest/globals'
import { shippedProfiles } from '@/core/outlets'
import { differences } from './variants'

const [one, two] = shippedProfiles.filter(p => p.ebook).map(p => ({ ...p, ebook: { ...p.ebook! } })) as [
  (typeof shippedProfiles)[number],
  (typeof shippedProfiles)[number],
]

test('files for other outlets are told by what they have and lack', () => {
  const here = {
    ...one,
    ebook: { ...one.ebook!, coverPage: true, contentsPage: true, faces: true, linksTo: undefined },
  }
  const there = {
    ...two,
    ebook: { ...two.ebook!, coverPage: false, contentsPage: true, faces: false, linksTo: undefined },
  }
  expect(differences(here, [here, there], { faces: true }, {})).toEqual([
    `${there.name}’s has no page with its cover and no face`,
  ])
  expect(differences(here, [here, there], {}, { links: true })).toEqual([`${there.name}’s has no page with its cover`])
  expect(differences(there, [here], { faces: true }, {})).toEqual([
    `${here.name}’s has a page with its cover and a face`,
  ])
  expect(differences(here, [{ ...here, id: 'elsewhere' }], { faces: true }, {})).toEqual([])
  const closed = { ...there, ebook: { ...there.ebook, linksTo: [] } }
  expect(differences(there, [closed], {}, { links: true })).toEqual([])
  expect(differences(there, [{ ...closed, id: 'elsewhere' }], {}, { links: true })).toEqual([
    `${there.name}’s has no link to other shops`,
  ])
  expect(differences(there, [{ ...closed, id: 'elsewhere' }], {}, {})).toEqual([])
  const mute = { ...there, ebook: { ...there.ebook, plays: undefined } }
  const heard = { ...there, id: 'elsewhere', ebook: { ...there.ebook, plays: ['sound' as const] } }
  expect(differences(mute, [heard], {}, { sound: true, film: true })).toEqual([`${there.name}’s has a sound`])
  expect(differences(heard, [mute], {}, { sound: true })).toEqual([`${there.name}’s has no sound`])
  expect(differences(heard, [mute], {}, {})).toEqual([])
})
