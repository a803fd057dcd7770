import { type Item, LayerBuilder, type Layer, PathBuilder } from '../marks'
import { Fault, MM } from '../trade'
import { type Face, setFrag, TextStyle } from '../type'
import { BARCODE } from './geometry'

const BLACK = { k: 1 }
const WHITE = { k: 0 }
/** Quiet zones in modules: eleven at the left, seven at the right. */
const QUIET_LEFT = 11
const BAR_HEIGHT = 22.85 * MM
/** Guard bars reach five modules further down. */
const GUARD = 5

/** An EAN-13 as vector bars at nominal size with its figures, on white; the layer's origin is the symbol's top left. */
export async function barcodeLayer(isbn: string, face: Face): Promise<Layer> {
  if (!/^97[89]\d{10}$/.test(isbn)) throw new Fault('isbn', 'The barcode wants an ISBN of thirteen figures.')
  const out = new LayerBuilder()
  const m = BARCODE.module
  const white: Item = {
    kind: 'path',
    path: new PathBuilder().rect(0, 0, BARCODE.width, BARCODE.height).build(),
    fill: WHITE,
  }
  out.add(white)
  const bars = new PathBuilder()
  for (const { at, width } of await encode(isbn)) {
    const guard = at < 3 || (at >= 45 && at < 50) || at >= 92
    bars.rect((QUIET_LEFT + at) * m, 0, width * m, BAR_HEIGHT + (guard ? GUARD * m : 0) - 0.2 * MM)
  }
  out.add({ kind: 'path', path: bars.build(), fill: BLACK })
  const size = 8.6
  const style = new TextStyle({ faces: [face], size, features: ['tnum', 'lnum'], language: 'en', colour: BLACK })
  const place = { section: '', block: '' }
  const y = BAR_HEIGHT + 2.75 * MM
  // Each figure is centred under its seven modules; the first stands in the left quiet zone.
  const figure = (d: string, centre: number): void => {
    const f = style.frag(d)
    setFrag(out, f, { x: centre * m - f.width / 2, y, place })
  }
  figure(isbn[0]!, 5)
  for (let i = 0; i < 6; i++) {
    figure(isbn[1 + i]!, QUIET_LEFT + 3 + i * 7 + 3.5)
    figure(isbn[7 + i]!, QUIET_LEFT + 50 + i * 7 + 3.5)
  }
  return out.build()
}

/** The bars of a symbol in modules from its left edge, as the encoding library draws them at one unit a module. */
async function encode(isbn: string): Promise<{ at: number; width: number }[]> {
  // Loaded with the first cover that has a barcode: the library is large, and no page waits for it.
  const bwip = await import('bwip-js/generic')
  const bars: { at: number; width: number }[] = []
  const nothing = (): void => undefined
  return bwip.ean13<{ at: number; width: number }[]>(
    { bcid: 'ean13', text: isbn, includetext: false, scale: 1 },
    {
      scale: () => [1, 1],
      measure: () => ({ width: 0, ascent: 0, descent: 0 }),
      // A bar is a line through its middle.
      line: (x, _y0, _x1, _y1, width) => bars.push({ at: Math.floor(x - width / 2), width }),
      init: nothing,
      polygon: nothing,
      hexagon: nothing,
      ellipse: nothing,
      fill: nothing,
      text: nothing,
      end: () => bars,
    },
  )
}
