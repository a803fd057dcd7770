import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { snippetOf } from './snippet'

const shown = (line: string, word: string): string => {
  const from = line.indexOf(word)
  const s = snippetOf(line, from, from + word.length)
  return `${s.cutBefore ? '…' : ''}${s.before}[${s.found}]${s.behind}${s.cutBehind ? '…' : ''}`
}

test('a place stands among whole words', () => {
  const line = 'The harbour lay below her as flat as a tray, and the bell hung in an iron cage at the quay.'
  expect(shown(line, 'bell')).toBe('…flat as a tray, and the [bell] hung in an iron cage at…')
  expect(shown(line, 'The')).toBe('[The] harbour lay below her as…')
  expect(shown(line, 'quay.')).toBe('…in an iron cage at the [quay.]')
  expect(shown('Short and\nwhole.', 'and')).toBe('Short [and] whole.')
})

test('of any line what is shown stands there, and the place is whole', () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 200 }), fc.nat(), fc.nat(), (line, a, b) => {
      const [from, to] = [a % (line.length + 1), b % (line.length + 1)].sort((x, y) => x - y) as [number, number]
      const s = snippetOf(line, from, to)
      const plain = line.replace(/[\n\ufffc]/g, ' ')
      expect(s.found).toBe(plain.slice(from, to))
      expect(plain.slice(0, from).endsWith(s.before)).toBe(true)
      expect(plain.slice(to).startsWith(s.behind)).toBe(true)
      expect(s.cutBefore || s.before === plain.slice(0, from)).toBe(true)
      expect(s.cutBehind || s.behind === plain.slice(to)).toBe(true)
    }),
  )
})
