import { performance } from 'node:perf_hooks'
import { fontSource, nodePorts } from '@/cli/ports'
import { dressed, designKinds, drawCover, flatFor, frontPage, lampOverTide, sheetPages } from '@/core/cover'
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
const inks = await ports.inks()
const pixels = new Uint8Array(3 * 4_000_000).map((_, i) => (i * 37) % 256)
said('four million pixels as inks', await middle(async () => inks.separate(pixels)), 500)
