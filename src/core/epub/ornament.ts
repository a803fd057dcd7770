import { LayerBuilder, pathBox, pathData } from '../marks'
import { drawOrnament, type OrnamentName } from '../ornaments'
import { joined, type Markup, xml } from '../trade'

/** Units of a drawing to the em. */
const EM = 100
const tidy = (n: number): number => Math.round(n * 100) / 100

/** An ornament drawn in the text's own colour, so that it is seen by night too; `size`: its em as part of the text's. Undefined for none. */
export function ornamentSvg(kind: OrnamentName, size: number): Markup | undefined {
  const out = new LayerBuilder()
  drawOrnament(out, kind, 0, 0, EM)
  const paths = out.build().items.flatMap(i => (i.kind === 'path' ? [i.path] : []))
  if (!paths.length) return undefined
  const boxes = paths.map(pathBox)
  const [left, top] = [Math.min(...boxes.map(b => b[0])), Math.min(...boxes.map(b => b[1]))]
  const [right, bottom] = [Math.max(...boxes.map(b => b[2])), Math.max(...boxes.map(b => b[3]))]
  const [width, height] = [right - left, bottom - top]
  const drawn = joined(paths.map(p => xml`<path d="${pathData(p)}"/>`))
  return xml`<svg xmlns="http://www.w3.org/2000/svg" class="ornament" viewBox="${tidy(left)} ${tidy(top)} ${tidy(width)} ${tidy(height)}" style="width: ${tidy((width / EM) * size)}em; height: ${tidy((height / EM) * size)}em" fill="currentColor" aria-hidden="true">${drawn}</svg>`
}
