import type { Run } from '../book'
import { type Layer, LayerBuilder, PathBuilder } from '../marks'
import { type FontShelf, setFrag, TextStyle } from '../type'

/** Room of a planned page between its margins, points. Rulings are drawn with the room's left top at the origin. */
export interface Room {
  width: number
  height: number
}

const HAIRLINE = 0.5
const DOT = 0.55
const HEADING = { size: 13, height: 26 }
const COLUMN = { size: 8.5, least: 6.5, height: 20, pad: 4 }

/** How many spacings fit, and what is left over: it is shared by both ends, so that the ruling fills the room evenly. */
export function evenly(length: number, spacing: number): { count: number; start: number } {
  const count = Math.max(0, Math.floor(length / spacing + 1e-6))
  return { count, start: (length - count * spacing) / 2 }
}

/**
 * The layer of a run's pages; all pages of the run share it. Rulings stand at the same heights on recto and verso and are
 * symmetric across, so that they lie line on line on both sides of a leaf.
 */
export async function rulingLayer(run: Run, room: Room, language: string, shelf: FontShelf): Promise<Layer> {
  const out = new LayerBuilder()
  const place = { section: `run:${run.id}`, block: 'page' }
  let top = 0
  if (run.heading) {
    const style = await styleOf('fraunces/bold', HEADING.size, language, shelf)
    const words = style.frag(run.heading)
    setFrag(out, words, 1, Math.max(0, (room.width - words.width) / 2), HEADING.size, place)
    top = HEADING.height
  }
  const height = room.height - top
  if (run.kind === 'lined') {
    const { count, start } = evenly(height, run.spacing)
    const lines = new PathBuilder()
    for (let i = 0; i <= count; i++) lines.rect(0, top + start + i * run.spacing - HAIRLINE / 2, room.width, HAIRLINE)
    out.add({ kind: 'path', path: lines.build(), fill: { k: run.tone } })
  } else if (run.kind === 'dot') {
    const across = evenly(room.width, run.spacing)
    const down = evenly(height, run.spacing)
    const dots = new PathBuilder()
    for (let j = 0; j <= down.count; j++)
      for (let i = 0; i <= across.count; i++)
        dots.circle(across.start + i * run.spacing, top + down.start + j * run.spacing, DOT)
    out.add({ kind: 'path', path: dots.build(), fill: { k: run.tone } })
  } else if (run.kind === 'log') await logTable(out, run, room, top, language, shelf, place)
  return out.build()
}

/** A table to write into: columns by share, rows of one height, a headed first row. */
async function logTable(
  out: LayerBuilder,
  run: Run,
  room: Room,
  top: number,
  language: string,
  shelf: FontShelf,
  place: { section: string; block: string },
): Promise<void> {
  const columns = run.columns?.length ? run.columns : [{ name: '', share: 1 }]
  const whole = columns.reduce((n, c) => n + c.share, 0) || 1
  const rows = evenly(room.height - top - COLUMN.height, run.spacing)
  const y0 = top + rows.start * 2
  const foot = y0 + COLUMN.height + rows.count * run.spacing
  const lines = new PathBuilder()
  lines.rect(0, y0, room.width, HAIRLINE * 2)
  for (let i = 0; i <= rows.count; i++)
    lines.rect(0, y0 + COLUMN.height + i * run.spacing - HAIRLINE / 2, room.width, HAIRLINE)
  const full = await styleOf('figtree/bold', COLUMN.size, language, shelf)
  // Where one heading is wider than its column all are set smaller alike; below the least size a long one is set narrower.
  const fits = columns.map(
    c => ((c.share / whole) * room.width - 2 * COLUMN.pad) / Math.max(1, full.frag(c.name || ' ').width),
  )
  const size = Math.max(COLUMN.least, COLUMN.size * Math.min(1, ...fits))
  const style = await styleOf('figtree/bold', size, language, shelf)
  let x = 0
  for (const [i, c] of columns.entries()) {
    const width = (c.share / whole) * room.width
    if (i) lines.rect(x - HAIRLINE / 2, y0, HAIRLINE, foot - y0)
    const words = style.frag(c.name || ' ')
    if (c.name)
      setFrag(
        out,
        words,
        Math.min(1, (width - 2 * COLUMN.pad) / words.width),
        x + COLUMN.pad,
        y0 + COLUMN.height - 6,
        place,
      )
    x += width
  }
  out.add({ kind: 'path', path: lines.build(), fill: { k: run.tone } })
}

async function styleOf(face: string, size: number, language: string, shelf: FontShelf): Promise<TextStyle> {
  return new TextStyle([await shelf.face(face), await shelf.face('eb-garamond/regular')], size, ['lnum'], language, {
    k: 1,
  })
}
