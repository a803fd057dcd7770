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

/** Each pixel as the mean of those around it, more than once; what is clear weighs nothing. */
function blur(
  rgba: Uint8ClampedArray,
  { width, height, radius }: { width: number; height: number; radius: number },
): void {
  const line = new Float32Array(Math.max(width, height) * 4)
  for (let pass = 0; pass < PASSES; pass++) {
    for (let y = 0; y < height; y++) blurLine(rgba, line, { from: y * width * 4, step: 4, count: width, radius })
    for (let x = 0; x < width; x++) blurLine(rgba, line, { from: x * 4, step: width * 4, count: height, radius })
  }
}

function blurLine(
  rgba: Uint8ClampedArray,
  line: Float32Array,
  { from, step, count, radius }: { from: number; step: number; count: number; radius: number },
): void {
  for (let i = 0, at = from; i < count; i++, at += step) {
    const a = rgba[at + 3]! / 255
    line[i * 4] = rgba[at]! * a
    line[i * 4 + 1] = rgba[at + 1]! * a
    line[i * 4 + 2] = rgba[at + 2]! * a
    line[i * 4 + 3] = a
  }
  let [r, g, b, a] = [0, 0, 0, 0]
  const add = (i: number, sign: number): void => {
    // The outermost pixel goes on beyond the edge.
    const k = Math.max(0, Math.min(count - 1, i)) * 4
    r += sign * line[k]!
    g += sign * line[k + 1]!
    b += sign * line[k + 2]!
    a += sign * line[k + 3]!
  }
  for (let i = -radius; i <= radius; i++) add(i, 1)
  const wide = 2 * radius + 1
  for (let i = 0, at = from; i < count; i++, at += step) {
    if (a > 1e-6) {
      rgba[at] = r / a
      rgba[at + 1] = g / a
      rgba[at + 2] = b / a
    }
    rgba[at + 3] = (a / wide) * 255
    add(i + radius + 1, 1)
    add(i - radius, -1)
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
