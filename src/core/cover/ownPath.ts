import SvgPath from 'svgpath'
import { elements, parseXml, type XmlElement } from '../files'
import { pathBox, pathFromSvg } from '../marks'
import { Fault } from '../trade'

/** Side of the square that an own outline is kept in. */
const SIDE = 1000
/** Characters of an outline that is still one, and no tracing of a photograph. */
const MOST = 200_000

/**
 * The outline of an SVG (all its paths and plain shapes as one), with arcs and short forms written out as M L Q C Z, as large as a square
 * of 1000 lets it be, in its middle. Throws a Fault where there is none.
 */
export function outlineOfSvg(bytes: Uint8Array): string {
  const root = parseXml(bytes, 'The drawing')
  if (local(root) !== 'svg') throw new Fault('no-svg', 'This is no SVG drawing.')
  const parts: string[] = []
  collect(root, '', parts)
  const d = parts.join('')
  const box = pathBox(pathFromSvg(d))
  const [width, height] = [box[2] - box[0], box[3] - box[1]]
  if (!(width > 0 && height > 0))
    throw new Fault('no-outline', 'There is no outline in this drawing: only paths and shapes are taken.')
  const scale = SIDE / Math.max(width, height)
  const out = new SvgPath(d)
    .translate(-box[0], -box[1])
    .scale(scale)
    .translate((SIDE - width * scale) / 2, (SIDE - height * scale) / 2)
    .round(1)
    .toString()
  if (out.length > MOST)
    throw new Fault('large-outline', 'This outline has too many points for a cover: draw it more simply.')
  return out
}

const local = ({ name }: XmlElement): string => name.replace(/^.*:/, '')

/** What is never drawn where it stands. */
const UNSEEN = new Set(['defs', 'clipPath', 'mask', 'symbol', 'pattern', 'marker', 'metadata', 'title', 'desc'])

function collect(of: XmlElement, around: string, out: string[]): void {
  const transform = `${around} ${of.attrs.transform ?? ''}`.trim()
  const d = dataOf(of)
  if (d) {
    const path = new SvgPath(d)
    const error = (path as unknown as { err?: string }).err
    if (error) throw new Fault('path', `An outline in this drawing is damaged: ${error}.`)
    out.push(plain(path.transform(transform).abs().unshort().unarc()))
  }
  for (const child of elements(of)) if (!UNSEEN.has(local(child))) collect(child, transform, out)
}

/** Lines along an axis written as lines: an outline that is turned has none. */
function plain(path: InstanceType<typeof SvgPath>): string {
  return path
    .iterate(([c, v], _i, x, y) => (c === 'H' ? [['L', Number(v), y]] : c === 'V' ? [['L', x, Number(v)]] : undefined))
    .toString()
}

/** The outline of an element as path data; none of what is no shape. */
function dataOf(of: XmlElement): string | undefined {
  const n = (name: string, usual = 0): number => Number.parseFloat(of.attrs[name] ?? '') || usual
  switch (local(of)) {
    case 'path':
      return of.attrs.d
    case 'rect':
      return `M${n('x')} ${n('y')}h${n('width')}v${n('height')}h${-n('width')}Z`
    case 'circle':
      return ellipse(n('cx'), n('cy'), n('r'), n('r'))
    case 'ellipse':
      return ellipse(n('cx'), n('cy'), n('rx'), n('ry'))
    case 'polygon':
    case 'polyline':
      return of.attrs.points?.trim() ? `M${of.attrs.points.trim()}Z` : undefined
    default:
      return undefined
  }
}

const ellipse = (cx: number, cy: number, rx: number, ry: number): string =>
  `M${cx - rx} ${cy}A${rx} ${ry} 0 1 0 ${cx + rx} ${cy}A${rx} ${ry} 0 1 0 ${cx - rx} ${cy}Z`
