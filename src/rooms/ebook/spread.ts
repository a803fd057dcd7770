import type { ReadingCopy } from '@/workers/answers/reading'
import type { Device } from './devices'

type Size = Pick<Device, 'width' | 'height'>
type Read = Pick<ReadingCopy, 'spine' | 'sides' | 'fixed'>

/** The fixed page that lies beside one, on a screen that is wide enough for two (EPUB 3.3, 8.2.2.6); undefined where it lies alone. */
export function facing(
  { spine, sides, fixed }: Read,
  path: string,
  device: Pick<Device, 'columns'>,
): string | undefined {
  if (!fixed || device.columns !== 2) return undefined
  const side = sides.get(path)
  const by = side === 'left' ? 1 : side === 'right' ? -1 : 0
  const other = by ? spine[spine.indexOf(path) + by] : undefined
  return other !== undefined && sides.get(other) === (side === 'left' ? 'right' : 'left') ? other : undefined
}

/** The page that is read after what is seen, or before it; undefined at the ends. */
export function beyond(
  { spine }: Pick<Read, 'spine'>,
  seen: readonly (string | undefined)[],
  by: 1 | -1,
): string | undefined {
  const at = seen.flatMap(p => (p === undefined ? [] : [spine.indexOf(p)]))
  return spine[by > 0 ? Math.max(...at) + 1 : Math.min(...at) - 1]
}

/** Where a page lies on a screen: what flows fills it; what is fixed is shown whole, times `fits`, `left` and `top` from the screen's corner. */
export interface Placed {
  shown: Size
  fits: number
  left: number
  top: number
}

/** Places a page on a screen: one that is fixed in the middle, or on a wide screen on its side of the middle. */
export function placeOn(
  screen: Pick<Device, 'width' | 'height' | 'columns'>,
  { fixed, sides }: Read,
  path: string,
): Placed {
  if (!fixed) return { shown: screen, fits: 1, left: 0, top: 0 }
  const side = screen.columns === 2 ? (sides.get(path) ?? 'center') : 'center'
  const room = side === 'center' ? screen.width : screen.width / 2
  const fits = Math.min(room / fixed.width, screen.height / fixed.height)
  const wide = fixed.width * fits
  const middle = screen.width / 2
  const left = side === 'left' ? middle - wide : side === 'right' ? middle : middle - wide / 2
  return { shown: fixed, fits, left, top: (screen.height - fixed.height * fits) / 2 }
}
