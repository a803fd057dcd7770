import type { PictureTone } from '../book'
import { rgb } from '../marks'
import type { PicturePixels } from './cutOut'

/**
 * A picture in other tones, in this order: blurred, its light, contrast and warmth moved, its colours taken, tinted, grained. What is
 * clear stays so.
 */
export function toned(picture: PicturePixels, tone: PictureTone): PicturePixels {
  const { width, height } = picture
  const rgba = new Uint8ClampedArray(picture.rgba)
  const across = Math.round(((tone.blur ?? 0) * Math.max(width, height)) / PASSES)
  if (across > 0) blur(rgba, { width, height, radius: across })
  recolour(rgba, tone)
  if (tone.grain) grained(rgba, width, tone.grain)
  return { width, height, rgba }
}

/** Boxes laid over each other so often are as good as a bell. */
const PASSES = 3

interface Box {
  width: number
  height: number
  radius: number
}

/** Each pixel as the mean of those around it, more than once; what is clear weighs nothing. */
function blur(rgba: Uint8ClampedArray, box: Box): void {
  const clear = mayBeSeenThrough(rgba)
  if (clear) weigh(rgba, (v, a) => (v * a) / 255)
  const beside = new Uint8ClampedArray(rgba.length)
  for (let pass = 0; pass < PASSES; pass++) {
    blurAcross(rgba, beside, box)
    blurDown(beside, rgba, box)
  }
  if (clear) weigh(rgba, (v, a) => (a ? (v * 255) / a : 0))
}

function mayBeSeenThrough(rgba: Uint8ClampedArray): boolean {
  for (let k = 3; k < rgba.length; k += 4) if (rgba[k]! < 255) return true
  return false
}

function weigh(rgba: Uint8ClampedArray, by: (v: number, alpha: number) => number): void {
  for (let k = 0; k < rgba.length; k += 4) for (let c = 0; c < 3; c++) rgba[k + c] = by(rgba[k + c]!, rgba[k + 3]!)
}

/** The outermost pixels go on beyond the edges. */
const inside = (i: number, count: number): number => Math.max(0, Math.min(count - 1, i))

function blurAcross(from: Uint8ClampedArray, to: Uint8ClampedArray, { width, height, radius }: Box): void {
  const share = 1 / (2 * radius + 1)
  for (let y = 0; y < height; y++) {
    const row = y * width * 4
    let [r, g, b, a] = [0, 0, 0, 0]
    for (let i = -radius; i <= radius; i++) {
      const k = row + inside(i, width) * 4
      r += from[k]!
      g += from[k + 1]!
      b += from[k + 2]!
      a += from[k + 3]!
    }
    for (let x = 0, k = row; x < width; x++, k += 4) {
      to[k] = r * share
      to[k + 1] = g * share
      to[k + 2] = b * share
      to[k + 3] = a * share
      const next = row + inside(x + radius + 1, width) * 4
      const last = row + inside(x - radius, width) * 4
      r += from[next]! - from[last]!
      g += from[next + 1]! - from[last + 1]!
      b += from[next + 2]! - from[last + 2]!
      a += from[next + 3]! - from[last + 3]!
    }
  }
}

/** Row by row, with a sum for each column: memory is read as it lies. */
function blurDown(from: Uint8ClampedArray, to: Uint8ClampedArray, { width, height, radius }: Box): void {
  const share = 1 / (2 * radius + 1)
  const sums = new Int32Array(width * 4)
  const add = (y: number, sign: 1 | -1): void => {
    const row = inside(y, height) * width * 4
    for (let i = 0; i < sums.length; i++) sums[i] = sums[i]! + sign * from[row + i]!
  }
  for (let y = -radius; y <= radius; y++) add(y, 1)
  for (let y = 0; y < height; y++) {
    const row = y * width * 4
    for (let i = 0; i < sums.length; i++) to[row + i] = sums[i]! * share
    add(y + radius + 1, 1)
    add(y - radius, -1)
  }
}

/** What each value of a channel becomes: lighter or darker as a lamp makes it, then further from the middle or nearer to it. */
function curve({ light = 0, contrast = 0 }: PictureTone, warmer: number): Uint8ClampedArray {
  const out = new Uint8ClampedArray(256)
  const steep = contrast >= 0 ? 1 + 1.6 * contrast : 1 + contrast
  for (let v = 0; v < 256; v++) {
    const lit = (v / 255) ** (2 ** (-1.4 * light))
    out[v] = Math.round(255 * (0.5 + (lit - 0.5) * steep) * (1 + warmer))
  }
  return out
}

/** Light as an eye weighs it (Rec. ITU-R BT.709), of 256 parts. */
const RED = 54
const GREEN = 183
const BLUE = 19

function recolour(rgba: Uint8ClampedArray, tone: PictureTone): void {
  const { warmth = 0, colours, tint } = tone
  const [r, g, b] = [curve(tone, 0.18 * warmth), curve(tone, 0), curve(tone, -0.18 * warmth)]
  const scale = colours === 'greys' ? between('#000000', '#ffffff') : colours && between(colours.dark, colours.light)
  const ink = tint && tinted(tint.colour)
  const strength = tint?.strength ?? 0
  for (let k = 0; k < rgba.length; k += 4) {
    let [x, y, z] = [r[rgba[k]!]!, g[rgba[k + 1]!]!, b[rgba[k + 2]!]!]
    const lit = (x * RED + y * GREEN + z * BLUE) >> 8
    if (scale) [x, y, z] = [scale[lit * 3]!, scale[lit * 3 + 1]!, scale[lit * 3 + 2]!]
    if (ink) {
      x += (ink[lit * 3]! - x) * strength
      y += (ink[lit * 3 + 1]! - y) * strength
      z += (ink[lit * 3 + 2]! - z) * strength
    }
    rgba[k] = x
    rgba[k + 1] = y
    rgba[k + 2] = z
  }
}

const channels = (hex: string): [number, number, number] => {
  const { r, g, b } = rgb(hex) as { r: number; g: number; b: number }
  return [r * 255, g * 255, b * 255]
}

/** From a colour to another by light: three bytes for each of its 256 steps. */
function between(dark: string, light: string): Uint8ClampedArray {
  const [from, to] = [channels(dark), channels(light)]
  return scaleOf((v, c) => from[c]! + ((to[c]! - from[c]!) * v) / 255)
}

/** From black by way of a colour to white, by light. */
function tinted(colour: string): Uint8ClampedArray {
  const own = channels(colour)
  return scaleOf((v, c) => (v < 128 ? (own[c]! * v) / 128 : own[c]! + ((255 - own[c]!) * (v - 128)) / 127))
}

function scaleOf(at: (v: number, channel: number) => number): Uint8ClampedArray {
  const out = new Uint8ClampedArray(256 * 3)
  for (let v = 0; v < 256; v++) for (let c = 0; c < 3; c++) out[v * 3 + c] = at(v, c)
  return out
}

/** Grains across a picture, whatever its pixels: as large on every print. */
const GRAINS = 1400

/** Lighter and darker grains by chance, the same for the same picture. */
function grained(rgba: Uint8ClampedArray, width: number, strength: number): void {
  const side = Math.max(1, Math.round(width / GRAINS))
  const across = Math.ceil(width / side)
  const row = new Float32Array(across)
  const rows = rgba.length / 4 / width
  for (let y = 0; y < rows; y++) {
    if (y % side === 0) for (let i = 0; i < across; i++) row[i] = (chance(i, y / side) - 0.5) * strength * 110
    for (let x = 0, k = y * width * 4; x < width; x++, k += 4) {
      const by = row[Math.floor(x / side)]!
      rgba[k] = rgba[k]! + by
      rgba[k + 1] = rgba[k + 1]! + by
      rgba[k + 2] = rgba[k + 2]! + by
    }
  }
}

/** A number from 0 to 1 that a place always has. */
function chance(x: number, y: number): number {
  let h = Math.imul(x + 1, 0x9e3779b1) ^ Math.imul(y + 1, 0x85ebca6b)
  h = Math.imul(h ^ (h >>> 15), 0x2c1b3c6d)
  h = Math.imul(h ^ (h >>> 12), 0x297a2d39)
  return ((h ^ (h >>> 15)) >>> 0) / 2 ** 32
}
