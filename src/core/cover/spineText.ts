import { primaryTag } from '../book'
import type { Rect } from './rect'

/** Which way the words of a spine run when the book stands upright. */
export type SpineReads = 'down' | 'up'

/** Language areas whose spines are read from the foot up; elsewhere they run down, as ISO 6357 has them. */
const UP = new Set(['ca', 'cs', 'de', 'el', 'es', 'fr', 'hu', 'it', 'pl', 'pt', 'ro', 'sk'])

export const spineReads = (language: string): SpineReads => (UP.has(primaryTag(language)) ? 'up' : 'down')

/** The transform that turns what is set in a spine's zone, its x along the words, onto the flat. */
export const spineTransform = (zone: Rect, reads: SpineReads): [number, number, number, number, number, number] =>
  reads === 'down' ? [0, 1, -1, 0, zone.x + zone.width, zone.y] : [0, -1, 1, 0, zone.x, zone.y + zone.height]

/** A box in such a zone as it lies on the flat: `x` along the words from their beginning, `y` from the side that their heads point to. */
export const spineBox = (zone: Rect, { x, y, width, height }: Rect, reads: SpineReads): Rect =>
  reads === 'down'
    ? { x: zone.x + zone.width - y - height, y: zone.y + x, width: height, height: width }
    : { x: zone.x + y, y: zone.y + zone.height - x - width, width: height, height: width }

/** The same the other way. */
export const fromSpineBox = (zone: Rect, on: Rect, reads: SpineReads): Rect => {
  const [along, across] =
    reads === 'down'
      ? [on.y - zone.y, zone.x + zone.width - on.x - on.width]
      : [zone.y + zone.height - on.y - on.height, on.x - zone.x]
  return { x: along, y: across, width: on.height, height: on.width }
}
