import type { DesignPiece } from '../../book'
import { LayerBuilder } from '../../marks'
import type { DrawnPage } from '../kind'
import { designOf } from './registry'

type DesignPage = Pick<
  DrawnPage<object, unknown>,
  'out' | 'room' | 'place' | 'styleOf' | 'look' | 'assets' | 'print' | 'language' | 'index'
> & { fields?: Readonly<Record<string, string>> }

/** Draws one placed piece where it stands in its page's room. What nothing knows the kind of leaves its place free. */
export async function drawDesign(piece: DesignPiece, page: DesignPage): Promise<void> {
  const kind = designOf(piece.kind)
  if (!kind) return
  const own = new LayerBuilder()
  const { width: wide, height: high } = page.room
  const [x, y, width, height] = [piece.x * wide, piece.y * high, piece.width * wide, piece.height * high]
  const fields = { n: String(page.index + 1), ...page.fields }
  await kind.draw({ ...page, out: own, params: piece.params, width, height, fields })
  page.out.add({ kind: 'group', transform: [1, 0, 0, 1, x, y], layers: [own.build()] })
}
