import type { Layer, PathMark } from '@/core/marks'
import { transformPath } from '@/core/marks/path'

/** The paths of a layer and of its groups, where they stand on it; what is cut to a shape counts as that shape. */
export const pathsOn = ({ items }: Layer): PathMark[] =>
  items.flatMap((item): PathMark[] => {
    if (item.kind === 'path') return [item]
    if (item.kind === 'image') return []
    const [, , , , dx, dy] = item.transform ?? [1, 0, 0, 1, 0, 0]
    const inner = item.clip ? [{ kind: 'path' as const, path: item.clip }] : item.layers.flatMap(pathsOn)
    return inner.map(p => ({ ...p, path: transformPath(p.path, 1, 1, dx, dy) }))
  })

/** What a piece of a page draws, as it stands in itself. */
export function pieceOn({ items }: Layer, id: string): Layer {
  for (const item of items)
    if (item.kind === 'group') {
      if (item.piece?.id === id) return item.layers[0]!
      const found = item.layers.map(l => pieceOn(l, id)).find(l => l.items.length || l.text)
      if (found) return found
    }
  return { items: [] }
}
