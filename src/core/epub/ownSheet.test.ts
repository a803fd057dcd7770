import { describe, expect, test } from '@jest/globals'
import { strFromU8 } from 'fflate'
import { bookOf } from '../../../tests/support/core'
import { buildEpub, sheetFaults } from '.'

describe('an author’s own style sheet', () => {
  test.each([
    ['', []],
    ['p { color: #333 }\n/* { */ .letter::before { content: "}" }\n@media (max-width: 20em) { p { margin: 0 } }', []],
    ['p {\n  color: red;\n', [3]],
    ['p { }\n}', [2]],
    ['h1 { font-size: 2em }\n\np { color red; }', [3]],
    ['@import "other.css";\np { }', [1]],
    ['p { }\nh1 { background: url(x.png) }', [2]],
    ['p { direction: rtl }', [1]],
    ['.a {\n position: fixed }', [2]],
  ])('%j has faults in lines %j', (css, lines) => {
    expect([...new Set(sheetFaults(css).map(f => f.line))]).toEqual(lines)
  })

  test('goes behind the style’s own, and stays out where it would break the file', () => {
    const sheet = (css: string): string =>
      strFromU8(
        buildEpub(bookOf([['Words.']]), { date: '2026-01-01T00:00:00Z', picture: () => undefined, css }).items.find(
          i => i.id === 'css',
        )!.data,
      )
    expect(sheet('p { color: #333 }').trimEnd().endsWith('p { color: #333 }')).toBe(true)
    expect(sheet('p { color: #333')).toBe(sheet(''))
  })
})
