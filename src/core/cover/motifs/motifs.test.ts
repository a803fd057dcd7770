import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cases } from '../../../../tests/support/deep'
import { type Item, pathBox, PathBuilder } from '../../marks'
import { shippedProfiles } from '../../outlets'
import { flatFor } from '../geometry'
import { sheetOf } from '../place'
import { motifItems, motifNames, motifs } from '.'
import { field, levelLines } from './field'

const profile = shippedProfiles.find(p => p.print)!
const flat = (trim: string, pages: number) =>
  flatFor(profile, { binding: 'paperback', trim, paper: profile.print!.papers[0]!.id, pages })
const colours = { light: '#e59f2c', dark: '#0f2730', accent: '#2c5a66' }
const drawn = (kind: string, more: { seed?: number; values?: Record<string, number> } = {}, on = flat('6x9in', 240)) =>
  motifItems({ ground: { colour: '#15343d' }, motif: { kind, ...colours, ...more } }, on)

const paths = (items: readonly Item[]): Extract<Item, { kind: 'path' }>[] =>
  items.flatMap(i => (i.kind === 'path' ? [i] : i.kind === 'group' ? i.layers.flatMap(l => paths(l.items)) : []))
const points = (items: readonly Item[]): number => paths(items).reduce((n, p) => n + p.path.xy.length, 0)
const said = (items: readonly Item[]): string =>
  JSON.stringify(paths(items).map(p => [...p.path.xy].map(v => Math.round(v * 100))))

describe('grounds', () => {
  test('there are at least fifteen that draw something, and all say their values', () => {
    expect(motifNames.filter(n => paths(drawn(n)).length > 1).length).toBeGreaterThanOrEqual(15)
    for (const { says, values, name, colours } of Object.values(motifs)) {
      expect(
        [...says.matchAll(/\{([^}]+)\}/g)]
          .map(m => m[1])
          .filter(n => n !== 'kind')
          .sort(),
      ).toEqual(Object.keys(values).sort())
      expect(says).toContain('{kind}')
      expect(name).toMatch(/^[a-z ]+$/)
      expect(Object.values(colours).every(c => c.length > 2)).toBe(true)
      for (const v of Object.values(values)) expect([v.least <= v.usual, v.usual <= v.most]).toEqual([true, true])
    }
    expect(new Set(Object.values(motifs).map(m => m.name)).size).toBe(motifNames.length)
  })

  test.each(motifNames.filter(n => n !== 'plain'))(
    '%s: within its limits always drawn, finite, and cut at the bleed',
    kind => {
      const values = fc.record(
        Object.fromEntries(
          Object.entries(motifs[kind]!.values).map(([name, { least, most }]) => [
            name,
            fc.double({ min: least, max: most, noNaN: true }),
          ]),
        ),
      )
      fc.assert(
        fc.property(values, fc.nat(), fc.constantFrom('5x8in', '6x9in', '8.5x11in'), (v, seed, trim) => {
          const on = flat(trim, 120)
          const items = drawn(kind, { seed, values: v as Record<string, number> }, on)
          expect(paths(items).every(p => p.path.xy.every(Number.isFinite))).toBe(true)
          const [ground, group] = items
          const sheet = sheetOf(on)
          const edge = [sheet.x, sheet.y, sheet.x + sheet.width, sheet.y + sheet.height]
          expect(ground?.kind === 'path' && pathBox(ground.path)).toEqual(edge.map(Math.fround))
          expect(group?.kind === 'group' && group.clip && pathBox(group.clip)).toEqual(edge.map(Math.fround))
          // A ground is part of a file that is sent: no value makes it a burden.
          expect(points(items)).toBeLessThan(1_500_000)
        }),
        { numRuns: cases(6, 60) },
      )
    },
  )

  test('what falls by chance falls the same from the same seed, and otherwise from another', () => {
    for (const kind of motifNames.filter(n => motifs[n]!.scattered)) {
      const five = said(drawn(kind, { seed: 5 }))
      expect(said(drawn(kind, { seed: 5 }))).toBe(five)
      expect(said(drawn(kind, { seed: 6 }))).not.toBe(five)
    }
  })

  test('what is regular keeps its place on the front when the spine grows', () => {
    for (const kind of ['stripes', 'dots', 'scales', 'knots', 'rays']) {
      const onFront = (pages: number): string[] => {
        const on = flat('6x9in', pages)
        const { x, width } = on.panels.front
        const places = paths(drawn(kind, {}, on)).flatMap(p => {
          const out: string[] = []
          for (let i = 0; i < p.path.xy.length; i += 2) {
            const at = p.path.xy[i]! - x
            const down = p.path.xy[i + 1]!
            if (at > width * 0.2 && at < width * 0.8 && down > 0 && down < on.height)
              out.push(`${at.toFixed(1)} ${down.toFixed(1)}`)
          }
          return out
        })
        return [...new Set(places)].sort()
      }
      expect(onFront(400)).toEqual(onFront(120))
    }
  })

  test('level lines part what is higher from what is lower', () => {
    let n = 7
    const chance = (): number => (n = (n * 16807) % 2147483647) / 2147483647
    const area = { x: 0, y: 0, width: 200, height: 150 }
    const land = field(area, 5, 70, chance)
    expect(Math.min(...land.heights)).toBeCloseTo(0, 6)
    expect(Math.max(...land.heights)).toBeCloseTo(1, 6)
    const out = new PathBuilder()
    levelLines(land, 0.5, out)
    const { xy } = out.build()
    expect(xy.length).toBeGreaterThan(40)
    const height = (x: number, y: number): number => {
      const [i, j] = [Math.floor(x / 5), Math.floor(y / 5)]
      const at = (dx: number, dy: number): number => land.heights[(j + dy) * land.across + i + dx]!
      const [u, v] = [x / 5 - i, y / 5 - j]
      return (at(0, 0) * (1 - u) + at(1, 0) * u) * (1 - v) + (at(0, 1) * (1 - u) + at(1, 1) * u) * v
    }
    for (let i = 0; i < xy.length; i += 2)
      if (xy[i]! > 5 && xy[i]! < 190 && xy[i + 1]! > 5 && xy[i + 1]! < 140)
        expect(Math.abs(height(xy[i]!, xy[i + 1]!) - 0.5)).toBeLessThan(0.08)
  })
})
