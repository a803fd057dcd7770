import type { Colour } from '../marks'
import type { Cmyk, Inks } from './inks'

/** The sum of inks that coated paper takes where its printer says nothing, in whole inks: 300 %. */
export const USUAL_INK_LIMIT = 3

/** Colours nearer to grey than this are taken for grey in words, parts of the scale. */
const NEUTRAL = 0.02
/** Greys of words that are darker than this are black. */
const NEARLY_BLACK = 0.12

/**
 * How one file's colours become inks: flat colours and pictures by the same way, so that they meet without a seam; black words as
 * black alone; and nowhere more ink than the paper takes.
 */
export class Separation {
  private readonly known = new Map<number, Cmyk>()

  constructor(
    readonly inks: Inks,
    /** The most ink in one place, in whole inks. */
    readonly limit: number = USUAL_INK_LIMIT,
  ) {}

  /** A flat colour of what is drawn. Ink alone stays what it is. */
  area(colour: Colour): Cmyk {
    if ('k' in colour) return [0, 0, 0, colour.k]
    const [r, g, b] = [bytes(colour.r), bytes(colour.g), bytes(colour.b)]
    const key = (r << 16) | (g << 8) | b
    let cmyk = this.known.get(key)
    if (!cmyk) {
      const [c, m, y, k] = this.pixels(Uint8Array.of(r, g, b))
      this.known.set(key, (cmyk = [c! / 255, m! / 255, y! / 255, k! / 255]))
    }
    return cmyk
  }

  /** A colour of words: greys are black ink alone, for four inks never meet on a letter’s thin strokes. */
  words(colour: Colour): Cmyk {
    if ('k' in colour) return [0, 0, 0, colour.k]
    const { r, g, b } = colour
    if (Math.max(r, g, b) - Math.min(r, g, b) > NEUTRAL) return this.area(colour)
    const light = 0.2126 * r + 0.7152 * g + 0.0722 * b
    return [0, 0, 0, light < NEARLY_BLACK ? 1 : 1 - light]
  }

  /** Pixels, three bytes each, as four inks, four bytes each. */
  pixels(rgb: Uint8Array): Uint8Array {
    const out = this.inks.separate(rgb)
    const most = Math.floor(this.limit * 255)
    for (let i = 0; i < out.length; i += 4) {
      const [c, m, y, k] = [out[i]!, out[i + 1]!, out[i + 2]!, out[i + 3]!]
      if (c + m + y + k <= most) continue
      // Black stays: the colours under it give way alike.
      const part = Math.max(0, most - k) / (c + m + y)
      out[i] = Math.floor(c * part)
      out[i + 1] = Math.floor(m * part)
      out[i + 2] = Math.floor(y * part)
    }
    return out
  }

  /** How pixels look as this press prints them: sRGB, three bytes a pixel. */
  proof(rgb: Uint8Array): Uint8Array {
    return this.inks.seen(this.pixels(rgb))
  }
}

const bytes = (part: number): number => Math.round(Math.min(1, Math.max(0, part)) * 255)
