import { describe, expect, test } from '@jest/globals'
import { makePuzzles, puzzleKind } from '../src/core/puzzles'
import { cases } from './support/deep'

/**
 * What `press puzzles` prints of kinds made of letters and lines, read by a program that knows docs/formats.md and none of our code: each
 * reader holds a record against the rules as they are told to a person.
 */

type Reader = (record: never) => void
const letterAt = (text: string, i: number): string => Array.from(text)[i]!
const bare = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toUpperCase()
    .replace(/[^A-Z]/g, '')
const steps: Record<string, [number, number]> = {
  E: [0, 1],
  SE: [1, 1],
  S: [1, 0],
  SW: [1, -1],
  W: [0, -1],
  NW: [-1, -1],
  N: [-1, 0],
  NE: [-1, 1],
}

interface Searched {
  rows: number
  cols: number
  cells: string[]
  words: { word: string; row: number; col: number; direction: string }[]
  message?: string
}

/** Every word where it is said to be and nowhere else; the letters of no word begin with the message. */
function searched({ rows, cols, cells, words, message }: Searched): void {
  expect(cells.map(row => Array.from(row).length)).toEqual(new Array(rows).fill(cols))
  const at = (r: number, c: number): string | undefined => (cells[r] === undefined ? undefined : letterAt(cells[r], c))
  const reads = (word: string, r: number, c: number, [down, right]: [number, number]): boolean =>
    Array.from(word).every((sign, i) => at(r + down * i, c + right * i) === sign)
  const taken = new Set<string>()
  for (const { word, row, col, direction } of words) {
    const [down, right] = steps[direction]!
    expect([word, reads(word, row, col, [down, right])]).toEqual([word, true])
    Array.from(word).forEach((_s, i) => taken.add(`${row + down * i},${col + right * i}`))
    let found = 0
    for (let r = 0; r < rows; r++)
      for (let c = 0; c < cols; c++) for (const step of Object.values(steps)) if (reads(word, r, c, step)) found++
    const both = word === Array.from(word).reverse().join('')
    expect([word, found]).toEqual([word, both ? 2 : 1])
  }
  const left = cells.flatMap((row, r) => Array.from(row).filter((sign, c) => sign !== '.' && !taken.has(`${r},${c}`)))
  if (message) expect(left.join('').startsWith(bare(message))).toBe(true)
}

interface Crossed {
  rows: number
  cols: number
  entries: { number: number; direction: 'across' | 'down'; row: number; col: number; answer: string; clue: string }[]
  given: { row: number; col: number }[]
}

/** Letters agree where words cross; the grid reads no other words; numbers run as one reads; clues do not say their answer. */
function crossed({ rows, cols, entries, given }: Crossed): string[] {
  const letters = new Map<string, string>()
  for (const { direction, row, col, answer } of entries)
    Array.from(answer).forEach((sign, i) => {
      const at = direction === 'across' ? `${row},${col + i}` : `${row + i},${col}`
      expect(letters.get(at) ?? sign).toBe(sign)
      letters.set(at, sign)
    })
  const has = (r: number, c: number): boolean => letters.has(`${r},${c}`)
  const read: string[] = []
  let number = 0
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < cols; c++) {
      if (!has(r, c)) continue
      const across = !has(r, c - 1) && has(r, c + 1)
      const down = !has(r - 1, c) && has(r + 1, c)
      if (across || down) number++
      if (across) read.push(`${number} across`)
      if (down) read.push(`${number} down`)
    }
  expect(entries.map(e => `${e.number} ${e.direction}`).sort()).toEqual(read.sort())
  for (const { answer, clue } of entries) {
    expect(clue.length).toBeGreaterThan(2)
    expect(bare(clue).length >= answer.length && clue.toUpperCase().split(/\W+/).includes(answer)).toBe(false)
  }
  for (const { row, col } of given) expect(has(row, col)).toBe(true)
  return [...letters.keys()]
}

/** All cells are reached from the first by sides. */
function together(cells: string[]): void {
  const all = new Set(cells)
  const next = [cells[0]!]
  all.delete(cells[0]!)
  while (next.length) {
    const [r, c] = next.pop()!.split(',').map(Number) as [number, number]
    for (const at of [`${r - 1},${c}`, `${r + 1},${c}`, `${r},${c - 1}`, `${r},${c + 1}`])
      if (all.delete(at)) next.push(at)
  }
  expect([...all]).toEqual([])
}

interface Coded {
  rows: number
  cols: number
  numbers: number[][]
  key: Record<string, string>
  hints: number[]
}

interface Enciphered {
  plain: string
  cipher: string
  key: Record<string, string>
  hints: string[]
}

interface Dotted {
  width: number
  height: number
  dots: [number, number][]
}

/** Whether two lines have a point in common. */
function meet(a: [number, number], b: [number, number], c: [number, number], d: [number, number]): boolean {
  const side = (p: [number, number], q: [number, number], r: [number, number]): number =>
    Math.sign((q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]))
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0
}

const readers: Record<string, { sets: object[]; read: Reader }> = {
  'word-search': {
    sets: [{}, { message: 'saying' }, { outline: 'turn', rows: 22, cols: 22 }, { hollow: 'bare', rows: 18, cols: 18 }],
    read: searched,
  },
  'number-search': { sets: [{}], read: searched },
  crossword: { sets: [{}], read: (r: Crossed) => together(crossed(r)) },
  'lattice-crossword': {
    sets: [{}, { rows: 7, cols: 7, crossing: 'all' }],
    read: (r: Crossed) => {
      const cells = crossed(r)
      together(cells)
      // Turned by half it is the same lattice.
      const turned = cells.map(at => at.split(',').map(Number)).map(([y, x]) => `${r.rows - 1 - y!},${r.cols - 1 - x!}`)
      expect(turned.sort()).toEqual(cells.sort())
    },
  },
  codeword: {
    sets: [{}],
    read: ({ rows, cols, numbers, key, hints }: Coded) => {
      expect(numbers.map(row => row.length)).toEqual(new Array(rows).fill(cols))
      const used = new Set(numbers.flat().filter(n => n > 0))
      expect([...used].sort((a, b) => a - b)).toEqual([...used].map((_n, i) => i + 1))
      expect(new Set(Object.values(key)).size).toBe(Object.keys(key).length)
      for (const n of used) expect(key[n]).toMatch(/^[A-Z]$/)
      for (const n of hints) expect(used.has(n)).toBe(true)
    },
  },
  cryptogram: {
    sets: [{}, { band: 'gentle' }],
    read: ({ plain, cipher, key, hints }: Enciphered) => {
      expect(Array.from(cipher, sign => key[sign] ?? sign).join('')).toBe(plain)
      expect(new Set(Object.values(key)).size).toBe(Object.keys(key).length)
      for (const [from, to] of Object.entries(key)) expect(from).not.toBe(to)
      for (const sign of hints) expect(plain).toContain(sign)
    },
  },
  'word-ladder': {
    sets: [{}, { letters: 3 }],
    read: ({ ladders }: { ladders: { words: string[] }[] }) => {
      for (const { words } of ladders) {
        expect(new Set(words).size).toBe(words.length)
        words.slice(1).forEach((word, i) => {
          const changed = Array.from(word).filter((sign, k) => sign !== letterAt(words[i]!, k)).length
          expect([words[i], word, changed]).toEqual([words[i], word, 1])
        })
      }
    },
  },
  'word-scramble': {
    sets: [{}],
    read: ({ words }: { words: { word: string; mixed: string }[] }) => {
      const sorted = (w: string): string => Array.from(w).sort().join('')
      for (const { word, mixed } of words) {
        expect(sorted(mixed)).toBe(sorted(word))
        expect(mixed).not.toBe(word)
      }
    },
  },
  'dot-to-dot': {
    sets: [{ band: 'gentle' }, { band: 'hard' }],
    read: ({ width, height, dots }: Dotted) => {
      expect(Math.max(width, height)).toBeCloseTo(1, 3)
      for (const [x, y] of dots) expect(x >= 0 && y >= 0 && x <= width && y <= height).toBe(true)
      dots.forEach((from, i) => {
        const to = dots[(i + 1) % dots.length]!
        for (let k = i + 2; k < dots.length; k++)
          expect(meet(from, to, dots[k]!, dots[(k + 1) % dots.length]!)).toBe(false)
      })
    },
  },
}

describe.each(Object.entries(readers))('%s', (id, { sets, read }) => {
  test.each(sets.map(s => [JSON.stringify(s), s] as const))(
    '%s: what is printed keeps its rules',
    async (_said, set) => {
      const kind = puzzleKind(id)!
      const { record } = await kind.work()
      for (const { puzzle } of await makePuzzles(kind, { ...kind.plain, ...set }, { seed: 11, count: cases(4, 100) }))
        read(JSON.parse(JSON.stringify(record(puzzle))) as never)
    },
  )
})
