import type { Item, Layer } from './marks'
import { transformPath } from './path'

/**
 * A layer drawn larger or smaller about its origin: letters, lines and pictures themselves, so that whoever measures what stands on a
 * page finds it as it prints.
 */
export function scaled(layer: Layer, by: number): Layer {
  if (by === 1) return layer
  const items = layer.items.map((item): Item => scaledItem(item, by))
  const t = layer.text
  if (!t) return { items }
  const times = (values: Float32Array): Float32Array => values.map(v => v * by)
  return { items, text: { ...t, size: times(t.size), baseline: times(t.baseline), x: times(t.x) } }
}

function scaledItem(item: Item, by: number): Item {
  if (item.kind === 'image')
    return { ...item, x: item.x * by, y: item.y * by, width: item.width * by, height: item.height * by }
  if (item.kind === 'path') {
    const path = transformPath(item.path, by, by, 0, 0)
    return { ...item, path, ...(item.stroke && { stroke: { ...item.stroke, width: item.stroke.width * by } }) }
  }
  const [a, b, c, d, x, y] = item.transform ?? [1, 0, 0, 1, 0, 0]
  return {
    ...item,
    transform: [a, b, c, d, x * by, y * by],
    ...(item.clip && { clip: transformPath(item.clip, by, by, 0, 0) }),
    layers: item.layers.map(l => scaled(l, by)),
  }
}
