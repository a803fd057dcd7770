import { describe, expect, test } from '@jest/globals'
import { nodePorts } from '@/cli/ports'
import { coverRules, type Subject } from '@/core/check'
import {
  type CoverDesign,
  dressed,
  designKinds,
  drawCover,
  flatFor,
  genres,
  type Palette,
  paletteNames,
  paletteRoles,
  palettes,
  recoloured,
} from '@/core/cover'
import { profileOf, shippedProfiles } from '@/core/outlets'
import { shelf } from './support/core'

const profile = profileOf('tarnbrook', shippedProfiles)
const base = {
  language: 'en-GB',
  subjects: [],
  imprint: { name: 'Saltgrass Lane Press' },
  description: 'In the harbour town of Merrow Sound the bell rings seven times on a still morning. '.repeat(7),
}
/** Short, usual, and as long as titles get, with all that a cover may say or as little. */
const books = [
  { ...base, title: 'Ebb', contributors: [{ name: 'Ida Marl', role: 'aut' as const }] },
  {
    ...base,
    title: 'The Tidewarden’s Almanac',
    subtitle: 'A mystery of the marshes',
    contributors: [{ name: 'Orla Fenwright', role: 'aut' as const }],
    series: { name: 'The Merrow Sound Mysteries', number: 1 },
  },
  {
    ...base,
    title: 'Hedgerow and Hive: A Year of Small Gardens and Large Appetites',
    subtitle: 'Forty-eight recipes, eleven walks and a calendar of what is ripe',
    contributors: [{ name: 'Bartholomew Quillfeather-Jones', role: 'aut' as const }],
    series: { name: 'The Merrow Sound Mysteries', number: 12 },
  },
]
const flats = (
  [
    ['paperback', '6x9in', 'cream', 218],
    ['paperback', '8.5x11in', 'white', 120],
    ['paperback', '5x8in', 'cream', 420],
    ['case', '5x8in', 'white', 300],
    ['coil', 'A5', 'white', 120],
    ['saddle', 'A4', 'white', 24],
  ] as const
).map(([binding, trim, paper, pages]) => flatFor(profile, { binding, trim, paper, pages, language: 'en' }))

const DEEP = !!process.env.DEEP
const { pixels } = nodePorts(new Map())

/** What is wrong with a design on a flat for a book: rule and piece. */
async function wrong(design: CoverDesign, flat: (typeof flats)[0], data: (typeof books)[0]): Promise<string[]> {
  const cover = await drawCover(flat, design, data, { isbn: '9780000001030', shelf })
  const scale = 420 / cover.ground.height
  const ground = { ...(await pixels(cover.ground, scale)), scale }
  const subject = { profile, print: { cover, ground } } as unknown as Subject
  return coverRules.flatMap(rule =>
    rule(subject).map(f => `${design.id} (${design.palette}), ${flat.binding}: ${f.message}`),
  )
}

/** Contrast of two colours (WCAG 2.2). */
function ratio(a: string, b: string): number {
  const light = (hex: string): number => {
    const [r, g, b] = [1, 3, 5].map(i => {
      const v = parseInt(hex.slice(i, i + 2), 16) / 255
      return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4
    })
    return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!
  }
  const [x, y] = [light(a), light(b)]
  return (Math.max(x, y) + 0.05) / (Math.min(x, y) + 0.05)
}

describe('palettes', () => {
  test.each(paletteNames)('%s: what is read stands out, and no two colours are the same', name => {
    const p: Palette = palettes[name]
    expect(new Set(paletteRoles.map(r => p[r])).size).toBe(paletteRoles.length)
    for (const on of [p.ground, p.light]) {
      expect(ratio(p.ink, on)).toBeGreaterThanOrEqual(7)
      expect(ratio(p.second, on)).toBeGreaterThanOrEqual(4.5)
    }
    expect(ratio(p.onPanel, p.panel)).toBeGreaterThanOrEqual(7)
    expect(ratio(p.onAccent, p.accent)).toBeGreaterThanOrEqual(4.5)
    expect(ratio(p.accent, p.ground)).toBeGreaterThanOrEqual(2)
  })
})

describe('designs', () => {
  test('there are two or more of each genre, six of them for planned books, and no two are called alike', () => {
    expect(designKinds.length).toBeGreaterThanOrEqual(24)
    for (const genre of genres) {
      const own = designKinds.filter(d => d.genres[0] === genre).length
      expect([genre, own >= (genre === 'planned pages' ? 6 : 2)]).toEqual([genre, true])
    }
    for (const key of ['id', 'name'] as const)
      expect(new Set(designKinds.map(d => d[key])).size).toBe(designKinds.length)
    for (const d of designKinds) expect(d.palettes.length).toBeGreaterThanOrEqual(4)
  })
  const draws = designKinds.flatMap(kind =>
    kind.palettes.slice(0, DEEP ? 9 : 1).map(palette => ({ kind, palette, id: kind.id })),
  )
  test.each(draws)(
    '$id in $palette reads, fits and stays clear on every binding, with titles short and long',
    async ({ kind, palette }) => {
      const design = dressed(kind, palette)
      const found: string[] = []
      // Each title meets two flats, each flat a title; all of them in deep runs.
      for (const [b, book] of books.entries())
        for (const [f, flat] of flats.entries())
          if (DEEP || f % 3 === b) found.push(...(await wrong(design, flat, book)))
      expect(found).toEqual([])
    },
  )
  test('another palette changes the palette’s colours and leaves the author’s own', () => {
    const [kind] = designKinds
    const own = dressed(kind!)
    const mine: CoverDesign = {
      ...own,
      pieces: own.pieces.map((p, i) => (i === 0 && 'colour' in p ? { ...p, colour: '#123456' } : p)),
    }
    const other = recoloured(mine, 'plum')
    expect(other.palette).toBe('plum')
    expect(other.pieces[0]).toMatchObject({ colour: '#123456' })
    expect({ ...other, pieces: other.pieces.slice(1) }).toEqual({
      ...dressed(kind!, 'plum'),
      pieces: dressed(kind!, 'plum').pieces.slice(1),
    })
    expect(recoloured(other, kind!.palettes[0])).toEqual(mine)
  })
})
