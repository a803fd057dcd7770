import { type Item, LayerBuilder, type Layer, PathBuilder } from '../marks'
import { Fault, MM } from '../trade'
import { type Face, setFrag, TextStyle } from '../type'
import { ADD_ON, BARCODE } from './geometry'

const BLACK = { k: 1 }
const WHITE = { k: 0 }
/** Quiet zones in modules: eleven at the left, seven at the right. */
const QUIET_LEFT = 11
const BAR_HEIGHT = 22.85 * MM
/** Guard bars reach five modules further down. */
const GUARD = 5

/** A list price, minor units. */
export interface ListPrice {
  amount: number
  currency: string
}

/** What a barcode says: the ISBN, and five figures beside it. */
export interface BarcodeWords {
  isbn: string
  addOn?: string | undefined
}

/** The first figure of a priced add-on by currency, as the trade's five-figure supplement has them. */
const addOnFigure: Record<string, string> = { GBP: '0', AUD: '3', NZD: '4', USD: '5', CAD: '6' }
/** No price is said. */
const UNPRICED = '90000'
/** The highest price that four figures say; it stands for all above it too. */
const MOST = 9999

/** The five figures of a price; 90000 where there is none, or none for its currency. */
export function addOnOf(price: ListPrice | undefined): string {
  const figure = price && addOnFigure[price.currency]
  return figure ? figure + String(Math.min(MOST, price.amount)).padStart(4, '0') : UNPRICED
}

/** An EAN-13 as vector bars at nominal size with its figures, on white, and its add-on beside it; the layer's origin is the symbol's top left. */
export async function barcodeLayer({ isbn, addOn }: BarcodeWords, face: Face): Promise<Layer> {
  if (!/^97[89]\d{10}$/.test(isbn)) throw new Fault('isbn', 'The barcode wants an ISBN of thirteen figures.')
  const out = new LayerBuilder()
  const m = BARCODE.module
  const white: Item = {
    kind: 'path',
    path: new PathBuilder().rect(0, 0, addOn ? BARCODE.withAddOn : BARCODE.width, BARCODE.height).build(),
    fill: WHITE,
  }
  out.add(white)
  const bars = new PathBuilder()
  for (const { at, width } of await encode('ean13', isbn)) {
    const guard = at < 3 || (at >= 45 && at < 50) || at >= 92
    bars.rect((QUIET_LEFT + at) * m, 0, width * m, BAR_HEIGHT + (guard ? GUARD * m : 0) - 0.2 * MM)
  }
  const beside = QUIET_LEFT + 95 + ADD_ON.gap
  const headroom = 3.5 * MM
  for (const { at, width } of addOn ? await encode('ean5', addOn) : [])
    bars.rect((beside + at) * m, headroom, width * m, BAR_HEIGHT + GUARD * m - 0.2 * MM - headroom)
  out.add({ kind: 'path', path: bars.build(), fill: BLACK })
  const size = 8.6
  const style = new TextStyle({ faces: [face], size, features: ['tnum', 'lnum'], language: 'en', colour: BLACK })
  const place = { section: '', block: '' }
  // Each figure is centred under its seven modules; the first stands in the left quiet zone.
  const figure = (d: string, centre: number, y = BAR_HEIGHT + 2.75 * MM): void => {
    const f = style.frag(d)
    setFrag(out, f, { x: centre * m - f.width / 2, y, place })
  }
  figure(isbn[0]!, 5)
  for (let i = 0; i < 6; i++) {
    figure(isbn[1 + i]!, QUIET_LEFT + 3 + i * 7 + 3.5)
    figure(isbn[7 + i]!, QUIET_LEFT + 50 + i * 7 + 3.5)
  }
  // Those of the add-on stand over it: a guard of four modules, then nine a figure.
  for (const [i, d] of [...(addOn ?? '')].entries()) figure(d, beside + 4 + i * 9 + 3.5, headroom - 0.6 * MM)
  return out.build()
}

/** The bars of a symbol in modules from its left edge, as the encoding library draws them at one unit a module. */
async function encode(symbol: 'ean13' | 'ean5', text: string): Promise<{ at: number; width: number }[]> {
  // Loaded with the first cover that has a barcode: the library is large, and no page waits for it.
  const bwip = await import('bwip-js/generic')
  const bars: { at: number; width: number }[] = []
  const nothing = (): void => undefined
  return bwip[symbol]<{ at: number; width: number }[]>(
    { bcid: symbol, text, includetext: false, scale: 1 },
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
