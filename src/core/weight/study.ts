import type { Pixels } from '../pdf'

/** One quality as it was tried on a picture's samples. */
export interface Try {
  /** Of JPEG, 1 to 100. */
  quality: number
  /** SSIM, to 1. */
  likeness: number
  /** Of the samples. */
  bytes: number
}

/** What is known of a picture before it is written: what kind it is, and what became of its samples. Grows as more is tried. */
export interface Study {
  /** As it goes into an ebook, pixels. */
  width: number
  height: number
  /** Light and dark alone. */
  grey: boolean
  /** Some of it lets the ground through. */
  clear: boolean
  /** Drawn: most of it is flat. */
  drawn: boolean
  /** Pixels of the whole over those of the samples. */
  times: number
  tries: Try[]
}

/** Side of a sample, pixels: whole blocks of a JPEG, halved colour included. */
const SIDE = 64
/** Samples to a side of the square that they are tried in. */
const ACROSS = 4
/** Differences of a grey's channels that a scanner or an earlier JPEG leaves, of 255. */
const TINT = 3
/** Of a drawing, so much at least is as what is left of it. */
const FLAT = 0.5

/** Looks at a picture's pixels. */
export function studyOf(pixels: Pixels, samples: Pixels): Study {
  const { width, height } = pixels
  return {
    width,
    height,
    grey: isGrey(pixels),
    clear: isClear(pixels),
    drawn: flatness(pixels) >= FLAT,
    times: (width * height) / (samples.width * samples.height),
    tries: [],
  }
}

function isGrey({ rgba }: Pixels): boolean {
  for (let i = 0; i < rgba.length; i += 4) {
    const [r, g, b] = [rgba[i]!, rgba[i + 1]!, rgba[i + 2]!]
    if (Math.max(r, g, b) - Math.min(r, g, b) > TINT) return false
  }
  return true
}

function isClear({ rgba }: Pixels): boolean {
  for (let i = 3; i < rgba.length; i += 4) if (rgba[i] !== 255) return true
  return false
}

/** The part of its pixels that are as the one to their left; of every fourth row. */
function flatness({ width, height, rgba }: Pixels): number {
  let [flat, all] = [0, 0]
  for (let y = 0; y < height; y += 4)
    for (let x = 1; x < width; x++, all++) {
      const i = (y * width + x) * 4
      if (rgba[i] === rgba[i - 4] && rgba[i + 1] === rgba[i - 3] && rgba[i + 2] === rgba[i - 2]) flat++
    }
  return all ? flat / all : 1
}

/**
 * Samples of a picture, side by side in one square: half of them spread evenly from its plainest places to its busiest, half where it
 * has most to lose. A small picture is its own sample.
 */
export function samplesOf(pixels: Pixels): Pixels {
  const side = SIDE * ACROSS
  if (pixels.width <= side || pixels.height <= side) return pixels
  const places = placesOf(pixels)
  const wanted = ACROSS * ACROSS
  const half = wanted / 2
  const spread = Array.from({ length: half }, (_, i) => places[Math.floor((i * (places.length - half)) / half)]!)
  const chosen = [...spread, ...places.slice(-half)]
  const rgba = new Uint8ClampedArray(side * side * 4)
  for (const [i, { x, y }] of chosen.entries()) {
    const to = { x: (i % ACROSS) * SIDE, y: Math.floor(i / ACROSS) * SIDE }
    for (let row = 0; row < SIDE; row++) {
      const from = ((y + row) * pixels.width + x) * 4
      rgba.set(pixels.rgba.subarray(from, from + SIDE * 4), ((to.y + row) * side + to.x) * 4)
    }
  }
  return { width: side, height: side, rgba }
}

interface Place {
  x: number
  y: number
  /** How much its lightness varies. */
  busy: number
}

/** Places for samples over the whole picture, the plainest first. */
function placesOf({ width, height, rgba }: Pixels): Place[] {
  const out: Place[] = []
  const step = (all: number): number => Math.max(SIDE, Math.floor(all / 12 / 16) * 16)
  for (let y = 0; y + SIDE <= height; y += step(height))
    for (let x = 0; x + SIDE <= width; x += step(width)) {
      let [sum, squares, n] = [0, 0, 0]
      for (let v = 0; v < SIDE; v += 4)
        for (let u = 0; u < SIDE; u += 4) {
          const light = rgba[((y + v) * width + x + u) * 4 + 1]!
          sum += light
          squares += light * light
          n++
        }
      out.push({ x, y, busy: squares / n - (sum / n) ** 2 })
    }
  return out.sort((a, b) => a.busy - b.busy)
}
