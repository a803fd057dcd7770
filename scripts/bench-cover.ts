import { performance } from 'node:perf_hooks'
import { fontSource, nodePorts } from '@/cli/ports'
import { dressed, designKinds, drawCover, flatFor, frontPage, lampOverTide, sheetPages, treated } from '@/core/cover'
import { pressPdf } from '@/core/delivery'
import type { FileColour } from '@/core/trade'
import { profileOf, shippedProfiles } from '@/core/outlets'
import { FontShelf } from '@/core/type'

/** Refits a cover, writes its wrap, draws a front of every design; prints what each took as lines of JSON. */
const profile = profileOf('tarnbrook', shippedProfiles)
const shelf = new FontShelf(fontSource)
const ports = nodePorts(new Map())
const data = {
  title: 'The Tidewarden’s Almanac',
  subtitle: 'A mystery of the marshes',
  contributors: [{ name: 'Orla Fenwright', role: 'aut' }],
  language: 'en-GB',
  imprint: { name: 'Saltgrass Lane Press' },
  subjects: [],
  description: 'In the harbour town of Merrow Sound the bell rings seven times on a still morning. '.repeat(7),
}
const flatOf = (pages: number) => flatFor(profile, { binding: 'paperback', trim: '6x9in', paper: 'cream', pages })
const draw = (pages: number) => drawCover(flatOf(pages), lampOverTide, data, { isbn: '9780000001030', shelf })
const about = { title: 'cover', language: 'en', date: '2026-11-29T00:00:00Z' }
const said = (says: string, ms: number, budgetMs: number): void =>
  void process.stdout.write(JSON.stringify({ says, ms, budgetMs }) + '\n')
/** Milliseconds of the middle of five, after one that is not counted: a room is open when something moves. */
async function middle(work: (turn: number) => Promise<unknown>): Promise<number> {
  const took: number[] = []
  for (let turn = 0; turn < 6; turn++) {
    const start = performance.now()
    await work(turn)
    took.push(performance.now() - start)
  }
  return took.slice(1).sort((a, b) => a - b)[2]!
}

said('a cover refitted to another count of pages', await middle(turn => draw(200 + 2 * turn)), 100)
const cover = await draw(218)
for (const colour of ['rgb', 'cmyk'] satisfies FileColour[])
  said(
    `its wrap as a PDF, ${colour}`,
    await middle(() => pressPdf(sheetPages(cover), { profile, grey: false, colour }, about, ports)),
    2000,
  )
said(
  `a front of each of ${designKinds.length} designs, 168 pixels high`,
  await middle(async () => {
    for (const kind of designKinds) {
      const page = frontPage(await drawCover(flatOf(218), dressed(kind), data, { shelf }))
      await ports.pixels(page, 168 / page.height)
    }
  }),
  1500,
)
/** A photograph of 24 megapixels on a plain ground. */
const photo = { width: 6000, height: 4000, rgba: new Uint8ClampedArray(96_000_000) }
for (let y = 0, k = 0; y < photo.height; y++)
  for (let x = 0; x < photo.width; x++, k += 4) {
    const inside = Math.hypot((x - 3000) / 2200, (y - 2000) / 1500) < 1
    const fine = (x * 7 + y * 13) % 9
    photo.rgba.set(inside ? [180 + fine, 60 + fine, 40 + fine, 255] : [244 - (fine % 3), 241, 234, 255], k)
  }
const cut = { tolerance: 0.12, soft: 2, holes: 'kept' } as const
said('24 megapixels cut from their ground', await middle(async () => treated(photo, { cut })), 1000)
const tone = { light: 0.1, contrast: 0.2, grain: 0.2, colours: { dark: '#15343d', light: '#fffefb' } }
said('24 megapixels in other tones', await middle(async () => treated(photo, { tone })), 1500)
const inks = await ports.inks()
const pixels = new Uint8Array(3 * 4_000_000).map((_, i) => (i * 37) % 256)
said('four million pixels as inks', await middle(async () => inks.separate(pixels)), 500)
