import { expect, test } from '@jest/globals'
import { createCanvas } from '@napi-rs/canvas'
import { cellsOf, coverOf, likeness } from './cover'
import { outlineChoices } from './choices'
import { seeded } from '../trade'
import { makePuzzles, puzzleKinds } from '../puzzles'
import { silhouetteFor, silhouetteInTurn } from './choose'
import { mirrored, silhouettes } from './silhouette'

test('sixty silhouettes and more, each named, each a choice', () => {
  const all = silhouettes()
  expect(all.length).toBeGreaterThanOrEqual(60)
  expect(outlineChoices.map(o => o.value)).toEqual(['none', 'turn', 'own', ...all.map(s => s.id)])
  for (const { id, width, height, rings } of all) {
    expect([id, Math.max(width, height)]).toEqual([id, 1])
    expect([id, rings.every(r => r.length > 2)]).toEqual([id, true])
  }
})

test('covers a grid as a drawing of it does', () => {
  for (const shape of silhouettes().filter((_s, i) => i % 12 === 0)) {
    const [rows, cols, fine] = [12, 16, 10]
    const { share } = coverOf(shape, rows, cols)
    const canvas = createCanvas(cols * fine, rows * fine)
    const g = canvas.getContext('2d')
    const unit = Math.min(cols / shape.width, rows / shape.height) * fine
    g.translate((cols * fine - shape.width * unit) / 2, (rows * fine - shape.height * unit) / 2)
    g.beginPath()
    for (const ring of shape.rings) {
      ring.forEach(([x, y], i) => (i ? g.lineTo(x * unit, y * unit) : g.moveTo(x * unit, y * unit)))
      g.closePath()
    }
    g.fill('evenodd')
    const { data } = g.getImageData(0, 0, cols * fine, rows * fine)
    for (let at = 0; at < rows * cols; at++) {
      let sum = 0
      for (let y = 0; y < fine; y++)
        for (let x = 0; x < fine; x++)
          sum += data[4 * ((Math.floor(at / cols) * fine + y) * cols * fine + (at % cols) * fine + x) + 3]! / 255
      expect(Math.abs(share[at]! - sum / fine ** 2)).toBeLessThan(0.2)
    }
  }
})

test('a finer grid reads better than a coarse one; mirrored it covers as much', () => {
  let better = 0
  const some = silhouettes().filter((_s, i) => i % 4 === 0)
  for (const shape of some) {
    const [coarse, fine] = [likeness(shape, 8, 8), likeness(shape, 30, 30)]
    expect(fine).toBeGreaterThan(0.5)
    expect(Math.max(coarse, fine)).toBeLessThanOrEqual(1)
    if (fine > coarse) better++
    const count = (cells: Uint8Array): number => cells.reduce((n, c) => n + c, 0)
    const [own, other] = [count(cellsOf(coverOf(shape, 20, 20))), count(cellsOf(coverOf(mirrored(shape), 20, 20)))]
    expect(Math.abs(own - other)).toBeLessThanOrEqual(2)
  }
  expect(better).toBeGreaterThan(some.length * 0.9)
})

test('those that are chosen come in turn, mostly even where chance may take another; without any all that ship may come', () => {
  const named = ['jar', 'bird', 'no such', 'leaf']
  const at = (index: number): string | undefined =>
    silhouetteFor({ outline: 'turn', outlines: named }, { index, run: 5 }, () => false)?.id
  expect([0, 1, 2, 3].map(at)).toEqual(['jar', 'bird', 'leaf', 'jar'])
  const picked = (of: string[], index: number): string[] =>
    Array.from({ length: 60 }, (_, seed) => silhouetteInTurn(of, index, seeded(seed)).id)
  const turns = picked(named, 1)
  expect(turns.filter(id => id === 'bird').length).toBeGreaterThan(45)
  expect(turns.every(id => named.includes(id))).toBe(true)
  expect(new Set(picked([], 1)).size).toBeGreaterThan(20)
})

test.each(['dot-to-dot', 'shade-by-number', 'picture-logic'])('%s shows the silhouettes that are chosen', async id => {
  const kind = puzzleKinds.find(k => k.id === id)!
  const outlines = ['butterfly', 'heart', 'bell']
  const made = await makePuzzles(kind, { ...kind.plain, outlines }, { seed: 4, count: 6 })
  const records = await Promise.all(made.map(async m => JSON.stringify((await kind.work()).record(m.puzzle))))
  expect(new Set(records).size).toBe(6)
  if (id !== 'picture-logic')
    for (const { puzzle } of made) expect(outlines).toContain((puzzle as { name: string }).name.toLowerCase())
})
