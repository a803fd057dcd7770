/** What of a picture is left out at each side, as parts of its height and width; its file stays whole. */
export interface Crop {
  top: number
  right: number
  bottom: number
  left: number
}

/** At least this part of a picture is shown, each way. */
const LEAST_SHOWN = 0.05

/** Whether a value is a crop that leaves something to see. */
export function isCrop(v: unknown): v is Crop {
  if (!v || typeof v !== 'object' || Object.keys(v).length !== 4) return false
  const { top, right, bottom, left } = v as Record<string, unknown>
  return (
    [top, right, bottom, left].every(n => typeof n === 'number' && n >= 0 && n < 1) &&
    (top as number) + (bottom as number) <= 1 - LEAST_SHOWN &&
    (left as number) + (right as number) <= 1 - LEAST_SHOWN
  )
}

/** A side of a crop set, held so that something is left to see; none where nothing is left out. */
export function withSide(crop: Crop | null | undefined, side: keyof Crop, part: number): Crop | null {
  const now = crop ?? { top: 0, right: 0, bottom: 0, left: 0 }
  const other = { top: now.bottom, bottom: now.top, left: now.right, right: now.left }[side]
  // In thousandths; what is left is never rounded away.
  const most = Math.floor((1 - LEAST_SHOWN - other) * 1000) / 1000
  const held = Math.max(0, Math.min(most, Math.round(part * 1000) / 1000))
  const next = { ...now, [side]: held }
  return Object.values(next).some(n => n > 0) ? next : null
}

/** The size of what is shown of a picture, in its own pixels, and where that begins. */
export function shownOf(
  { width, height }: { width: number; height: number },
  crop: Crop | null | undefined,
): { x: number; y: number; width: number; height: number } {
  const { top, right, bottom, left } = crop ?? { top: 0, right: 0, bottom: 0, left: 0 }
  return { x: left * width, y: top * height, width: width * (1 - left - right), height: height * (1 - top - bottom) }
}
