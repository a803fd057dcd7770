import { setFrag } from '../../../type'
import type { DrawnPage } from '../../kind'

/** The least size of a label that does not fit its column, points. */
const LEAST = 6.5

/** A label in a column: its box across, and its baseline. */
export interface Label {
  words: string
  x: number
  width: number
  y: number
}

/**
 * Labels of one line, all of one size. Where one is wider than its column all are set smaller alike; below the least size a long one is set
 * narrower. In a column too narrow for its padding the words get half of it.
 */
export async function labelsOf(
  { out, place, print, styleOf }: Pick<DrawnPage<object, unknown>, 'out' | 'place' | 'print' | 'styleOf'>,
  labels: readonly Label[],
  { pad, size: usual, face }: { pad: number; size: number; face: string },
): Promise<void> {
  const roomOf = ({ width }: Label): number => Math.max(width / 2, width - 2 * pad)
  const most = usual * print
  const full = await styleOf(face, most)
  const fits = labels.map(l => roomOf(l) / Math.max(1, full.frag(l.words || ' ').width))
  const style = await styleOf(face, Math.max(LEAST, most * Math.min(1, ...fits)))
  for (const label of labels) {
    if (!label.words) continue
    const frag = style.frag(label.words)
    const room = roomOf(label)
    setFrag(out, frag, {
      x: label.x + (label.width - room) / 2,
      y: label.y,
      place,
      scale: Math.min(1, room / frag.width),
    })
  }
}
