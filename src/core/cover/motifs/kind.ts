import { type Colour, type Item, type Path, type PathMark } from '../../marks'
import type { Flat } from '../geometry'
import type { Rect } from '../rect'

/** A number of a motif that can be set: its limits and what it usually is. */
export interface MotifValue {
  least: number
  most: number
  usual: number
  /** Shown as parts of a hundred of the front's width; else as it is. */
  share?: boolean
}

/** Its colours, as they are called in a design. */
export type MotifColour = 'light' | 'dark' | 'accent'

/** What a motif is drawn with. Lengths are in points on the flat. */
export interface MotifDrawing {
  flat: Flat
  /** The whole sheet to the bleed: nothing is seen outside it. */
  sheet: Rect
  front: Rect
  ground: Colour
  light: Colour
  dark: Colour
  accent: Colour
  /** A value as it is set. */
  value: (name: string) => number
  /** The same, of one that is a share, in points. */
  length: (name: string) => number
  /** 0 to 1, the same row for the same seed. */
  chance: () => number
}

/** A way of filling the ground of a cover. All are ours, drawn in plain colours: no press has to flatten a transparency. */
export interface MotifKind {
  /** What it is called: "waves". */
  name: string
  /** How it and its values are said: "{kind}, {height} high and {length} long". */
  says: string
  values: Record<string, MotifValue>
  /** The colours it draws with, beside the ground's, and what each is on it. */
  colours: Partial<Record<MotifColour, string>>
  /** It falls by chance. */
  scattered?: boolean
  draw: (d: MotifDrawing) => Item[]
}

export const filled = (path: Path, fill: Colour): PathMark => ({ kind: 'path', path, fill })
