/** What a press makes of colours, by its profile: four inks from the colours of a screen, and back. Eight bits a channel, 255 is all of an ink. */
export interface Inks {
  /** As its profile calls it. */
  name: string
  /** The ICC profile itself, for files to carry. */
  profile: Uint8Array
  /** sRGB, three bytes a pixel, as four inks, four bytes a pixel. */
  separate(rgb: Uint8Array): Uint8Array
  /** How inks look on its paper: sRGB. */
  seen(cmyk: Uint8Array): Uint8Array
}

/** Parts of cyan, magenta, yellow and black, 0 to 1. */
export type Cmyk = readonly [number, number, number, number]
