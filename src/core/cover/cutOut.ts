import type { PictureCut } from '../book'

/** A picture's pixels, four bytes each, row by row. */
export interface PicturePixels {
  width: number
  height: number
  rgba: Uint8Array | Uint8ClampedArray
}

/** The same with what a brush and a chosen colour say. */
export interface CutOut extends Omit<PictureCut, 'strokes'> {
  /** The ground's colour; that of the picture's rim where none is said. */
  ground?: readonly [r: number, g: number, b: number]
  /** Where the author's brush says otherwise: whatever is within its radius of its line stays, or goes. Pixels. */
  strokes?: readonly Stroke[] | undefined
}

interface Stroke {
  points: readonly (readonly [x: number, y: number])[]
  radius: number
  keeps: boolean
}

const GONE = 1
/** How far around what is cut a colour may have the ground's light on it, pixels beyond the soft edge. */
const SPILL = 2

/** The colour that most of a picture's rim has: the middle of each channel along it. */
export function rimColour({ width, height, rgba }: PicturePixels): [number, number, number] {
  const counts = [new Uint32Array(256), new Uint32Array(256), new Uint32Array(256)]
  let n = 0
  const count = (x: number, y: number): void => {
    const at = (y * width + x) * 4
    for (let c = 0; c < 3; c++) counts[c]![rgba[at + c]!]!++
    n++
  }
  for (let x = 0; x < width; x++) {
    count(x, 0)
    count(x, height - 1)
  }
  for (let y = 1; y < height - 1; y++) {
    count(0, y)
    count(width - 1, y)
  }
  const middle = (of: Uint32Array): number => {
    let seen = 0
    for (let v = 0; v < 256; v++) if ((seen += of[v]!) * 2 >= n) return v
    return 255
  }
  return [middle(counts[0]!), middle(counts[1]!), middle(counts[2]!)]
}

/** A picture without its ground: new pixels, the ground's light taken from what is left at the edge. */
export function cutOut(
  picture: PicturePixels,
  { ground = rimColour(picture), tolerance, soft, holes, strokes = [] }: CutOut,
): PicturePixels {
  const { width, height, rgba } = picture
  const most = Math.max(0, Math.min(1, tolerance)) * 255
  const off = distances(rgba, ground)
  const gone = new Uint8Array(width * height)
  if (holes === 'opened') for (let i = 0; i < gone.length; i++) gone[i] = off[i]! <= most ? GONE : 0
  else flood(gone, off, { width, height, most })
  for (const s of strokes) brush(gone, s, { width, height })
  const out = new Uint8ClampedArray(rgba)
  for (let i = 0; i < gone.length; i++) if (gone[i]) out[i * 4 + 3] = 0
  soften(out, gone, { width, height, soft: Math.max(0, soft), ground })
  return { width, height, rgba: out }
}

/** How far each pixel's colour is from the ground's, by the channel that is furthest. */
function distances(rgba: PicturePixels['rgba'], [r, g, b]: readonly [number, number, number]): Uint8Array {
  const off = new Uint8Array(rgba.length / 4)
  for (let i = 0, k = 0; i < off.length; i++, k += 4) {
    const [dr, dg, db] = [Math.abs(rgba[k]! - r), Math.abs(rgba[k + 1]! - g), Math.abs(rgba[k + 2]! - b)]
    off[i] = Math.max(dr, dg, db)
  }
  return off
}

/** Takes what is like the ground and hangs together with the rim, row by row. */
function flood(
  gone: Uint8Array,
  off: Uint8Array,
  { width, height, most }: { width: number; height: number; most: number },
): void {
  const open = (i: number): boolean => !gone[i] && off[i]! <= most
  const waiting: number[] = []
  const seed = (i: number): void => void (open(i) && waiting.push(i))
  for (let x = 0; x < width; x++) {
    seed(x)
    seed((height - 1) * width + x)
  }
  for (let y = 0; y < height; y++) {
    seed(y * width)
    seed(y * width + width - 1)
  }
  for (let i = waiting.pop(); i !== undefined; i = waiting.pop()) {
    if (!open(i)) continue
    const row = i - (i % width)
    let [from, to] = [i, i]
    while (from > row && open(from - 1)) from--
    while (to < row + width - 1 && open(to + 1)) to++
    gone.fill(GONE, from, to + 1)
    for (const next of [from - width, from + width]) {
      if (next < 0 || next >= gone.length) continue
      // One seed for each stretch of the row beside.
      for (let x = 0; x <= to - from; x++)
        if (open(next + x) && (x === to - from || !open(next + x + 1))) waiting.push(next + x)
    }
  }
}

/** Dabs along a line, so near to each other that its sides are straight. */
function brush(gone: Uint8Array, { points, radius, keeps }: Stroke, size: { width: number; height: number }): void {
  for (const [i, [x, y]] of points.entries()) {
    const [fromX, fromY] = points[i - 1] ?? [x, y]
    const dabs = Math.max(1, Math.ceil(Math.hypot(x - fromX, y - fromY) / Math.max(1, radius / 4)))
    for (let n = 1; n <= dabs; n++) {
      const part = n / dabs
      dab(gone, { x: fromX + (x - fromX) * part, y: fromY + (y - fromY) * part, radius, keeps }, size)
    }
  }
}

function dab(
  gone: Uint8Array,
  { x, y, radius, keeps }: { x: number; y: number; radius: number; keeps: boolean },
  { width, height }: { width: number; height: number },
): void {
  for (let v = Math.max(0, Math.floor(y - radius)); v <= Math.min(height - 1, Math.ceil(y + radius)); v++) {
    const reach = radius * radius - (v - y) ** 2
    if (reach < 0) continue
    const wide = Math.sqrt(reach)
    const from = Math.max(0, Math.ceil(x - wide))
    const to = Math.min(width - 1, Math.floor(x + wide))
    if (to >= from) gone.fill(keeps ? 0 : GONE, v * width + from, v * width + to + 1)
  }
}

/** Lets the edge of what is left go over into nothing, and takes the ground's light from it. */
function soften(
  out: Uint8ClampedArray,
  gone: Uint8Array,
  {
    width,
    height,
    soft,
    ground,
  }: { width: number; height: number; soft: number; ground: readonly [number, number, number] },
): void {
  const reach = Math.ceil(soft) + SPILL
  const near = nearness(gone, { width, height, reach })
  for (let i = 0; i < gone.length; i++) {
    const far = near[i]!
    if (!far || far > reach) continue
    const k = i * 4
    const share = soft > 0 ? Math.min(1, (far - 0.5) / soft) : 1
    const alpha = (out[k + 3]! / 255) * share
    // What is seen there is the thing and the ground through it: the thing alone is what is left when the ground's part goes.
    const own = Math.max(0.35, Math.min(1, (far - 0.5) / (soft + SPILL)))
    for (let c = 0; c < 3; c++) out[k + c] = (out[k + c]! - (1 - own) * ground[c]!) / own
    out[k + 3] = Math.round(alpha * 255)
  }
}

/** Steps from each pixel that is left to the nearest that is gone, as far as `reach`; 0 for what is gone, and for what is further. */
function nearness(
  gone: Uint8Array,
  { width, height, reach }: { width: number; height: number; reach: number },
): Uint8Array {
  const near = new Uint8Array(gone.length)
  let edge: number[] = []
  for (let i = 0; i < gone.length; i++) {
    if (gone[i]) continue
    const x = i % width
    if (
      (x > 0 && gone[i - 1]) ||
      (x < width - 1 && gone[i + 1]) ||
      gone[i - width] ||
      (i + width < gone.length && gone[i + width])
    ) {
      near[i] = 1
      edge.push(i)
    }
  }
  for (let step = 2; step <= reach && edge.length; step++) {
    const next: number[] = []
    for (const i of edge) {
      const x = i % width
      const y = (i - x) / width
      for (const j of [
        x > 0 ? i - 1 : -1,
        x < width - 1 ? i + 1 : -1,
        y > 0 ? i - width : -1,
        y < height - 1 ? i + width : -1,
      ])
        if (j >= 0 && !gone[j] && !near[j]) {
          near[j] = step
          next.push(j)
        }
    }
    edge = next
  }
  return near
}
