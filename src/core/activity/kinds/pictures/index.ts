import { fields } from '../../../trade'
import { aKind } from '../../kind'
import { rounded } from '../../looks/frame'
import { Lines, toneControl, toneField } from '../../ruling'

const { amount, list, one, shape, text } = fields

interface PictureValues {
  pictures: string[]
  fit: 'within' | 'fill'
  frame: 'none' | 'line' | 'round'
  line: number
  tone: number
}

/** Radius of a round frame's corners, points. */
const ROUND = 14
/** A cross in place of a picture that is not there. */
const MISSING = 0.5

/** A picture a page: to colour, to look at, to tell a story by. */
export const pictures = aKind<PictureValues, undefined>({
  id: 'pictures',
  name: 'Pictures',
  says: 'a picture of yours a page',
  family: 'read',
  schema: () =>
    shape({
      pictures: list(text(80).required(), 600).required(),
      fit: one('within', 'fill').required(),
      frame: one('none', 'line', 'round').required(),
      line: amount(0.25, 8).required(),
      tone: toneField(),
    }) as never,
  plain: { pictures: [], fit: 'within', frame: 'none', line: 1, tone: 1 },
  sentence: '{pictures}, {fit} its page, {frame}, lines {line} thick and {tone} dark.',
  controls: {
    pictures: { as: 'pictures', says: 'Pictures' },
    fit: {
      as: 'choice',
      says: 'How a picture stands',
      choices: [
        { value: 'within', words: 'whole within' },
        { value: 'fill', words: 'filling' },
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
  },
  alike: false,
  pagesFor: ({ pictures: all }) => all.length,
  make: () => undefined,
  draw({ out, params, index, room, top, assets, place }) {
    const { frame, line, tone, fit } = params
    const inset = frame === 'none' ? 0 : line / 2
    const box = { x: inset, y: top + inset, width: room.width - 2 * inset, height: room.height - top - 2 * inset }
    const id = params.pictures[index]
    const asset = id === undefined ? undefined : assets?.get(id)
    if (!asset) {
      // Its place is kept and seen: a picture that is gone is no blank page.
      const { x, y, width, height } = box
      const cross: [number, number][][] = [
        [
          [x, y],
          [x + width, y + height],
        ],
        [
          [x + width, y],
          [x, y + height],
        ],
      ]
      const lines = new Lines().box(x, y, width, height)
      for (const ends of cross) lines.along(ends)
      lines.into(out, MISSING)
      return
    }
    const ratio = asset.width / asset.height
    const across = fit === 'fill' ? Math.max(box.width, box.height * ratio) : Math.min(box.width, box.height * ratio)
    const size = { width: across, height: across / ratio }
    // Of what is left free a little more stands below: the eye's middle is higher than a ruler's.
    const at = {
      x: box.x + (box.width - size.width) / 2,
      y: box.y + (box.height - size.height) * (fit === 'fill' ? 0.5 : 0.42),
    }
    const shown = fit === 'fill' ? box : { ...at, ...size }
    const edge = rounded(shown.x, shown.y, shown.width, shown.height, frame === 'round' ? ROUND : 0).build()
    const image = { kind: 'image' as const, asset: id!, ...at, ...size, alt: asset.name ?? '', place }
    if (fit === 'fill' || frame === 'round') out.add({ kind: 'group', clip: edge, layers: [{ items: [image] }] })
    else out.add(image)
    if (frame !== 'none') out.add({ kind: 'path', path: edge, stroke: { colour: { k: tone }, width: line } })
  },
})
