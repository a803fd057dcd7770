import { expect, test } from '@jest/globals'
import { bookOf } from '../../../tests/support/core'
import { turnedTexts, withoutTurns } from '.'

test('signs that turn the direction of a title are shown, and can be taken out; right-to-left letters are none', () => {
  const data = {
    ...bookOf([['x']]).data,
    title: 'Tides \u202eexe.\u202c',
    contributors: [{ name: 'O\u2066rla', role: 'aut' }],
  }
  expect(turnedTexts(data)).toEqual(['Tides ⟨U+202E⟩exe.⟨U+202C⟩', 'O⟨U+2066⟩rla'])
  expect(withoutTurns(data)).toMatchObject({ title: 'Tides exe.', contributors: [{ name: 'Orla' }] })
  expect(turnedTexts({ ...data, title: 'ספר', contributors: [] })).toEqual([])
})
