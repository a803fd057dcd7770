import type { Asset, Run } from '../../../book'

/** How lines of a drawing are cleaned for colouring. */
export interface Cleaning {
  /** What is darker becomes black, the rest paper; a share of black (0) to white (1). */
  dark: number
  /** Lines become so much thicker, points on a page that the picture is as wide as. */
  thicken: number
  /** What stands by itself and has fewer dots goes; dots of a print with 300 to the inch. */
  specks: number
}

export const plainCleaning: Cleaning = { dark: 0.5, thicken: 0, specks: 60 }

/** How a picture was cleaned, in a word that is kept. */
export const wordOf = ({ dark, thicken, specks }: Cleaning): string => `${dark}/${thicken}/${specks}`

/** What was made of a picture by cleaning it so; undefined where it is still to be. */
export const cleanedFrom = (picture: Pick<Asset, 'cleaned'> | undefined, how: Cleaning): string | undefined =>
  picture?.cleaned?.find(c => c.how === wordOf(how))?.id

/** Pixels, four bytes each. */
export interface CleanPixels {
  width: number
  height: number
  rgba: Uint8ClampedArray<ArrayBuffer>
}

/** Width that a picture is thought to be printed at, points: between the margins of a usual page. */
const PRINTED = 432
const DOTS_A_POINT = 300 / 72
/** How gently lines end, in shares of grey about the threshold, and pixels about a thickened edge. */
const SOFT = 0.08

/**
 * Lines of a drawing in black on white: greys are told apart at a threshold, specks go, lines are thickened evenly on both sides. Edges
 * stay smooth. Linear in the number of pixels.
 */
export function cleanLines(
  { width, height, rgba }: { width: number; height: number; rgba: Uint8Array | Uint8ClampedArray },
  { dark, thicken, specks }: Cleaning,
): CleanPixels {
  const grey = greyOf(rgba, width * height)
  const ink = Uint8Array.from(grey, v => (v < dark ? 1 : 0))
  const pixelsAPoint = width / PRINTED
  removeSpecks(ink, width, (specks * pixelsAPoint ** 2) / DOTS_A_POINT ** 2)
  const out = new Uint8ClampedArray(width * height * 4).fill(255)
  const more = (thicken / 2) * pixelsAPoint
  const far = more > 0 ? distances(ink, width, height) : undefined
  for (let i = 0; i < ink.length; i++) {
    // Beyond a line the distance to it decides, on it and at its edge its own grey.
    const tone = far
      ? Math.min(1, Math.max(0, Math.sqrt(far[i]!) - more))
      : nearInk(ink, i, width)
        ? Math.min(1, Math.max(0, (grey[i]! - dark + SOFT) / (2 * SOFT)))
        : 1
    out[4 * i] = out[4 * i + 1] = out[4 * i + 2] = tone * 255
  }
  return { width, height, rgba: out }
}

/** Tones 0 to 1 over white paper, as the eye weighs colours. */
function greyOf(rgba: Uint8Array | Uint8ClampedArray, count: number): Float32Array {
  const grey = new Float32Array(count)
  for (let i = 0, k = 0; i < count; i++, k += 4) {
    const a = rgba[k + 3]! / 255
    grey[i] = ((0.299 * rgba[k]! + 0.587 * rgba[k + 1]! + 0.114 * rgba[k + 2]!) / 255) * a + 1 - a
  }
  return grey
}

/** Whether a pixel is ink or lies beside it. */
const nearInk = (ink: Uint8Array, i: number, width: number): boolean =>
  !!(ink[i] || ink[i - 1] || ink[i + 1] || ink[i - width] || ink[i + width])

/** Takes out what hangs together, corners counted, and has fewer pixels. */
function removeSpecks(ink: Uint8Array, width: number, least: number): void {
  if (least <= 1) return
  const seen = new Uint8Array(ink.length)
  const stack: number[] = []
  for (let start = 0; start < ink.length; start++) {
    if (!ink[start] || seen[start]) continue
    const part: number[] = []
    stack.push(start)
    seen[start] = 1
    while (stack.length) {
      const i = stack.pop()!
      // Of what is large enough only the way on is kept.
      if (part.length < least) part.push(i)
      const x = i % width
      for (let dy = -1; dy <= 1; dy++)
        for (let dx = -1; dx <= 1; dx++) {
          const j = i + dy * width + dx
          if (x + dx < 0 || x + dx >= width || j < 0 || j >= ink.length || !ink[j] || seen[j]) continue
          seen[j] = 1
          stack.push(j)
        }
    }
    if (part.length < least) for (const i of part) ink[i] = 0
  }
}

/**
 * The square of each pixel's distance to the nearest ink (Felzenszwalb and Huttenlocher, "Distance transforms of sampled functions", 2012):
 * lower envelopes of parabolas, first down the columns, then along the rows.
 */
function distances(ink: Uint8Array, width: number, height: number): Float32Array {
  const field = Float32Array.from(ink, v => (v ? 0 : FAR))
  const most = Math.max(width, height)
  const line: Envelope = {
    from: new Float32Array(most),
    at: new Int32Array(most),
    edge: new Float64Array(most + 1),
  }
  for (let x = 0; x < width; x++) along(field, line, { start: x, step: width, count: height })
  for (let y = 0; y < height; y++) along(field, line, { start: y * width, step: 1, count: width })
  return field
}

const FAR = 1e12

interface Envelope {
  from: Float32Array
  at: Int32Array
  edge: Float64Array
}

function along(
  field: Float32Array,
  { from, at, edge }: Envelope,
  { start, step, count }: { start: number; step: number; count: number },
): void {
  for (let q = 0; q < count; q++) from[q] = field[start + q * step]!
  let k = 0
  at[0] = 0
  edge[0] = -Infinity
  edge[1] = Infinity
  const meets = (q: number, v: number): number => (from[q]! + q * q - (from[v]! + v * v)) / (2 * q - 2 * v)
  for (let q = 1; q < count; q++) {
    let s = meets(q, at[k]!)
    while (s <= edge[k]!) s = meets(q, at[--k]!)
    at[++k] = q
    edge[k] = s
    edge[k + 1] = Infinity
  }
  k = 0
  for (let q = 0; q < count; q++) {
    while (edge[k + 1]! < q) k++
    field[start + q * step] = (q - at[k]!) ** 2 + from[at[k]!]!
  }
}

/** The pictures of a run that are still to be cleaned as it asks, by their ids. */
export function uncleaned(
  { kind, params }: Run,
  how: Cleaning,
  assets: readonly Pick<Asset, 'id' | 'type' | 'cleaned'>[],
): string[] {
  if (kind !== 'pictures' || params.lines !== 'clean') return []
  const open = assets.filter(a => a.type !== 'application/pdf' && !cleanedFrom(a, how))
  const ids = new Set(open.map(a => a.id))
  return [...new Set(params.pictures as string[])].filter(id => ids.has(id))
}
