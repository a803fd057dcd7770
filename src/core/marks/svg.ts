import { rgb } from 'd3-color'
import { type Colour, type Layer, type PageMarks } from './marks'
import { joined, type Markup, xml } from '../trade'
import { Op, type Path } from './path'

export const num = (v: number): string => String(Math.round(v * 1000) / 1000)
export const paint = (c: Colour): string => {
  const { r, g, b } = 'k' in c ? { r: 1 - c.k, g: 1 - c.k, b: 1 - c.k } : c
  return rgb(r * 255, g * 255, b * 255).formatHex()
}

/** A path's data, every point through scale and shift. */
function data(p: Path, sx: number, sy: number, dx: number, dy: number): string {
  let out = ''
  let k = 0
  for (const op of p.ops) {
    const n = op === Op.close ? 0 : op === Op.cubic ? 3 : op === Op.quad ? 2 : 1
    out += op === Op.close ? 'Z' : op === Op.move ? 'M' : op === Op.line ? 'L' : op === Op.quad ? 'Q' : 'C'
    for (let i = 0; i < n; i++, k += 2)
      out += `${i ? ' ' : ''}${num(p.xy[k]! * sx + dx)} ${num(p.xy[k + 1]! * sy + dy)}`
  }
  return out
}

/** A path as the data of an SVG path, where it stands. */
export const pathData = (path: Path): string => data(path, 1, 1, 0, 0)

/**
 * A page as SVG 1.1 in its true size, bleed included: paths, and text as outlines, so that it looks the same where its fonts
 * are not. Drawings only, turned or not: pictures and what is clipped are not written, and asking for them is an error.
 */
export function pageSvg(page: PageMarks, title: string): string {
  const { bleed: b } = page
  const width = page.width + b.left + b.right
  const height = page.height + b.top + b.bottom
  const drawn = (l: Layer, x: number, y: number): Markup[] => {
    const body: Markup[] = []
    for (const item of l.items) {
      if (item.kind === 'image' || (item.kind === 'group' && (item.clip || item.opacity !== undefined)))
        throw new Error('only drawings are written as SVG')
      if (item.kind === 'group') {
        const [a, c, e, f, dx, dy] = item.transform ?? [1, 0, 0, 1, 0, 0]
        const inner = item.layers.flatMap(i => drawn(i, 0, 0))
        body.push(xml`<g transform="matrix(${[a, c, e, f, x + dx, y + dy].map(num).join(' ')})">${joined(inner)}</g>`)
        continue
      }
      body.push(
        xml`<path d="${data(item.path, 1, 1, x, y)}" fill="${item.fill ? paint(item.fill) : 'none'}"${item.stroke && xml` stroke="${paint(item.stroke.colour)}" stroke-width="${num(item.stroke.width)}"${item.stroke.round && xml` stroke-linejoin="round"`}`}/>`,
      )
    }
    const t = l.text
    for (let r = 0; t && r < t.count; r++) {
      const face = t.faces[t.face[r]!]!
      const em = t.size[r]! / face.unitsPerEm
      let d = ''
      for (let g = t.start[r]!; g < t.start[r + 1]!; g++)
        d += data(face.outline(face.pairGlyph(t.glyphs[g]!)), em * t.stretch[r]!, -em, x + t.x[g]!, y + t.baseline[r]!)
      if (d) body.push(xml`<path d="${d}" fill="${paint(t.colours[t.colour[r]!]!)}"/>`)
    }
    return body
  }
  const body = page.layers.flatMap(p => drawn(p.layer, p.x + b.left, p.y + b.top))
  return String(
    xml`<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${num(width)}pt" height="${num(height)}pt" viewBox="0 0 ${num(width)} ${num(height)}">\n<title>${title}</title>\n${joined(body, '\n')}\n</svg>\n`,
  )
}
