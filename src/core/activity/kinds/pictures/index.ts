import { fields } from '../../../trade'
import type { Asset } from '../../../book'
import { aKind } from '../../kind'
import { cleanedFrom, type Cleaning, plainCleaning } from './cleaning'
import { rounded } from '../../looks/frame'
import { PathBuilder } from '../../../marks'
import { overEdge, placePicture } from '../../placePicture'
import { toneControl, toneField } from '../../ruling'

const { amount, list, one, shape, text, whole } = fields

interface PictureValues {
  pictures: string[]
  fit: 'within' | 'fill' | 'bleed'
  frame: 'none' | 'line' | 'round'
  line: number
  tone: number
  /** Drawings are printed as they are, or their lines cleaned for colouring. */
  lines?: 'as' | 'clean'
  dark?: number
  thicken?: number
  specks?: number
}

/** Radius of a round frame's corners, points. */
const ROUND = 14
/** The drawing of the sample, its share of the page, its line in points. */
const EXAMPLE = 'butterfly'
const EXAMPLE_SHARE = 0.8
const EXAMPLE_LINE = 1.25

/** A picture a page: to colour, to look at, to tell a story by. */
export const pictures = aKind<PictureValues, undefined>({
  id: 'pictures',
  name: 'Pictures',
  says: 'a picture of yours a page',
  family: 'read',
  schema: () =>
    shape({
      pictures: list(text(80).required(), 600).required(),
      fit: one('within', 'fill', 'bleed').required(),
      frame: one('none', 'line', 'round').required(),
      line: amount(0.25, 8).required(),
      tone: toneField(),
      lines: one('as', 'clean'),
      dark: amount(0.05, 0.95),
      thicken: amount(0, 6),
      specks: whole(0, 5000),
    }) as never,
  plain: { pictures: [], fit: 'within', frame: 'none', line: 1, tone: 1, lines: 'as', ...plainCleaning },
  sentence:
    '{pictures}, {fit}, {frame}, its line {line} thick and {tone} dark. Drawings are {lines}[lines=clean:: all that is darker than {dark} becomes black, lines {thicken} thicker, what has fewer than {specks} dots goes].',
  controls: {
    pictures: { as: 'pictures', says: 'Pictures' },
    fit: {
      as: 'choice',
      says: 'How a picture stands',
      choices: [
        { value: 'within', words: 'whole within its page' },
        { value: 'fill', words: 'filling its page' },
        { value: 'bleed', words: 'over the edge of its leaf' },
      ],
    },
    frame: {
      as: 'choice',
      says: 'Frame',
      choices: [
        { value: 'none', words: 'without a frame' },
        { value: 'line', words: 'in a frame' },
        { value: 'round', words: 'in a frame with round corners' },
      ],
    },
    line: { as: 'length', says: 'Thickness of the frame', least: 0.25, most: 6, step: 0.25 },
    tone: toneControl,
    lines: {
      as: 'choice',
      says: 'Lines of drawings',
      choices: [
        { value: 'as', words: 'printed as they are' },
        { value: 'clean', words: 'cleaned for colouring' },
      ],
    },
    dark: { as: 'share', says: 'Darker than', least: 0.1, most: 0.9, step: 0.05 },
    thicken: { as: 'length', says: 'Lines thicker by', least: 0, most: 4, step: 0.25 },
    specks: { as: 'count', says: 'Specks under so many dots', least: 0, most: 2000 },
  },
  bleeds: ({ fit }) => fit === 'bleed',
  alike: false,
  pagesFor: ({ pictures: all }) => all.length,
  madeFrom: ({ pictures: all }, _made, index) => all[index],
  make: () => undefined,
  draw({ out, params, index, room, leaf, top, assets, place }) {
    const { frame, line, tone, fit } = params
    const inset = frame === 'none' ? 0 : line / 2
    const over = fit === 'bleed'
    const box = over
      ? overEdge(leaf)
      : { x: inset, y: top + inset, width: room.width - 2 * inset, height: room.height - top - 2 * inset }
    const id = shownOf(params, index, assets)
    const asset = id === undefined ? undefined : assets?.get(id)
    const round = frame === 'round' ? ROUND : 0
    const { x, y, width, height } = placePicture(out, box, {
      id,
      asset,
      fit: over ? 'fill' : fit,
      round: over ? 0 : round,
      place,
    })
    if (!asset || over || frame === 'none') return
    const edge = rounded(x, y, width, height, round).build()
    out.add({ kind: 'path', path: edge, stroke: { colour: { k: tone }, width: line } })
  },
  // A drawing to colour in its frame.
  async example({ out, room, top }) {
    const { silhouettes } = await import('../../../silhouettes')
    const box = { x: 0, y: top, width: room.width, height: room.height - top }
    const drawing = silhouettes().find(s => s.id === EXAMPLE) ?? silhouettes()[0]!
    const unit = Math.min(box.width / drawing.width, box.height / drawing.height) * EXAMPLE_SHARE
    const [x, y] = [box.x + (box.width - drawing.width * unit) / 2, box.y + (box.height - drawing.height * unit) / 2]
    const path = new PathBuilder()
    for (const ring of drawing.rings) {
      ring.forEach(([px, py], i) =>
        i ? path.line(x + px * unit, y + py * unit) : path.move(x + px * unit, y + py * unit),
      )
      path.close()
    }
    const stroke = { colour: { k: 1 }, width: EXAMPLE_LINE }
    out.add({ kind: 'path', path: path.build(), stroke })
    out.add({ kind: 'path', path: rounded(box.x, box.y, box.width, box.height, ROUND).build(), stroke })
  },
})

/** The picture that is printed on a page: its cleaned form where that is asked for and there, else itself. */
function shownOf(
  params: PictureValues,
  index: number,
  assets: ReadonlyMap<string, Asset> | undefined,
): string | undefined {
  const id = params.pictures[index]
  if (id === undefined || params.lines !== 'clean') return id
  const cleaned = cleanedFrom(assets?.get(id), cleaningOf(params))
  // What was made may be gone: the drawing itself is printed then.
  return cleaned !== undefined && assets?.has(cleaned) ? cleaned : id
}

export const cleaningOf = ({ dark, thicken, specks }: Partial<Cleaning>): Cleaning => ({
  dark: dark ?? plainCleaning.dark,
  thicken: thicken ?? plainCleaning.thicken,
  specks: specks ?? plainCleaning.specks,
})
