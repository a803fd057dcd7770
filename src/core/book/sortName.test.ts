import { expect, test } from '@jest/globals'
import { derivedSortName, sortNameOf } from '.'

test.each([
  ['Orla Fenwright', 'Fenwright, Orla'],
  ['Ludwig van Beekhof', 'Beekhof, Ludwig van'],
  ['A. B. Marl', 'Marl, A. B.'],
  ['Orla  Fenwright Jr.', 'Fenwright, Orla, Jr.'],
  ['Élodie Quincamp-Roux', 'Quincamp-Roux, Élodie'],
  ['Tolley', undefined],
  ['', undefined],
  ['Marl, Ada', undefined],
  ['Saltgrass Lane Press', undefined],
  ['The Editors', undefined],
  ['Ada and Ned Marl', undefined],
  ['Crew 77', undefined],
])('“%s” sorts as %s', (name, sorted) => expect(derivedSortName(name)).toBe(sorted))

test('what the author says goes before', () => {
  expect(sortNameOf({ name: 'Ludwig van Beekhof', sortName: 'Van Beekhof, Ludwig' })).toBe('Van Beekhof, Ludwig')
  expect(sortNameOf({ name: 'Orla Fenwright', sortName: ' ' })).toBe('Fenwright, Orla')
})
