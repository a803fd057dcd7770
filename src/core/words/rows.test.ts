import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { columnsOf, rowsOf } from './rows'

test('a table is read by its names and numbers, whatever parts its columns', () => {
  for (const sign of ['\t', ';', ',']) {
    const text = [
      ['name', 'task'],
      ['Anna', 'sweep'],
      ['Bert', 'mend'],
    ]
      .map(r => r.join(sign))
      .join('\n')
    expect(rowsOf(text)).toEqual([
      { row: 'Anna · sweep', 1: 'Anna', 2: 'sweep', name: 'Anna', task: 'sweep' },
      { row: 'Bert · mend', 1: 'Bert', 2: 'mend', name: 'Bert', task: 'mend' },
    ])
    expect(columnsOf(text)).toEqual(['name', 'task'])
  }
})

test('lines that are no table are kept whole, commas and all', () => {
  const text = 'Bread, butter, and time\nWhat do you miss?\n\n'
  expect(rowsOf(text).map(r => r.row)).toEqual(['Bread, butter, and time', 'What do you miss?'])
  expect(columnsOf(text)).toEqual([])
})

test('no line is lost, whatever stands in it', () => {
  const line = fc.stringMatching(/^[a-z ]{0,9}[a-z]$/)
  fc.assert(
    fc.property(fc.array(line, { minLength: 1, maxLength: 9 }), lines => {
      expect(rowsOf(lines.join('\n')).map(r => r.row)).toEqual(lines.map(l => l.trim()).filter(Boolean))
    }),
  )
})
