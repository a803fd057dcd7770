import { type Colour, type Item, type Layer, Op, type PageMarks, type Path } from '@/core/marks'

/** How broad what is filled must be, in its narrower direction, to be a wash of tone and no line; points. */
const BROAD = 6

/** Whether all that an outline encloses is broad. */
function isBroad({ ops, xy }: Path): boolean {
  let at = 0
  let box = [Infinity, Infinity, -Infinity, -Infinity] as [number, number, number, number]
  const narrow = (): boolean => box[2] >= box[0] && Math.min(box[2] - box[0], box[3] - box[1]) < BROAD
  for (const op of ops) {
    if (op === Op.move) {
      if (narrow()) return false
      box = [Infinity, Infinity, -Infinity, -Infinity]
    }
    for (const end = at + COORDINATES[op]!; at < end; at += 2) {
      const [x, y] = [xy[at]!, xy[at + 1]!]
      box = [Math.min(box[0], x), Math.min(box[1], y), Math.max(box[2], x), Math.max(box[3], y)]
    }
  }
  return ops.length > 0 && !narrow()
}

/** By operation: move, line, quadratic, cubic, close. */
const COORDINATES = [2, 2, 4, 6, 0]

/** A page whose broad washes of black ink have the tone that `toned` makes of theirs; lines, letters and pictures stay. */
export const withWashes = (page: PageMarks, toned: (k: number) => number): PageMarks => ({
  ...page,
  layers: page.layers.map(l => ({ ...l, layer: layerWith(l.layer, toned) })),
})

function layerWith(layer: Layer, toned: (k: number) => number): Layer {
  const items = layer.items.map((item): Item => {
    if (item.kind === 'group') return { ...item, layers: item.layers.map(l => layerWith(l, toned)) }
    if (item.kind !== 'path' || !item.fill || !isGrey(item.fill) || !isBroad(item.path)) return item
    return { ...item, fill: { k: toned(item.fill.k) } }
  })
  return { ...layer, items }
}

const isGrey = (c: Colour): c is { k: number } => 'k' in c && c.k > 0 && c.k < 1
