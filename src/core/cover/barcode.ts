import * as bwip from 'bwip-js/generic'
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
export function barcodeLayer(isbn: string, face: Face): Layer {
  if (!/^97[89]\d{10}$/.test(isbn)) throw new Fault('isbn', 'The barcode wants an ISBN of thirteen figures.')
  // The encoder gives the widths of bars and spaces in turn, a bar first.
  const [symbol] = bwip.raw('ean13', isbn, '') as unknown as { sbs: number[] }[]
  const out = new LayerBuilder()
  const m = BARCODE.module
  const white: Item = { kind: 'path', path: new PathBuilder().rect(0, 0, BARCODE.width, BARCODE.height).build(), fill: WHITE }
  out.add(white)
  const bars = new PathBuilder()
  let at = 0
  symbol!.sbs.forEach((w, i) => {
    if (i % 2 === 0) {
      const guard = at < 3 || (at >= 45 && at < 50) || at >= 92
      bars.rect((QUIET_LEFT + at) * m, 0, w * m, BAR_HEIGHT + (guard ? GUARD * m : 0) - 0.2 * MM)
    }
    at += w
  })
  out.add({ kind: 'path', path: bars.build(), fill: BLACK })
  const size = 8.6
  const style = new TextStyle([face], size, ['tnum', 'lnum'], 'en', BLACK)
  const place = { section: '', block: '' }
  const y = BAR_HEIGHT + 2.75 * MM
  // Each figure is centred under its seven modules; the first stands in the left quiet zone.
  const figure = (d: string, centre: number): void => {
    const f = style.frag(d)
    setFrag(out, f, 1, centre * m - f.width / 2, y, place)
  }
  figure(isbn[0]!, 5)
  for (let i = 0; i < 6; i++) {
    figure(isbn[1 + i]!, QUIET_LEFT + 3 + i * 7 + 3.5)
    figure(isbn[7 + i]!, QUIET_LEFT + 50 + i * 7 + 3.5)
  }
  return out.build()
}
