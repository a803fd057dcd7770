import { type Colour, LayerBuilder, type Layer, type PageMarks, PathBuilder, rgb } from '../marks'
import { formatLength } from '../trade'
import { setWords, type TextStyle } from '../type'
import { type Flat, sheetSize, type Zone } from './geometry'
import { sheetOf } from './place'
import type { Rect } from './rect'
import { spineTransform } from './spineText'

const BLEED = rgb('#b4432f')
const TRIM: Colour = { k: 1 }
const SAFE = rgb('#2f6b7a')
const SHADE = rgb('#efe2c8')

/** How a zone is drawn, and what its line is called in the key. */
const zones: Record<Zone['kind'], { colour: Colour; filled?: true }> = {
  safe: { colour: SAFE },
  'spine text': { colour: SAFE },
  barcode: { colour: TRIM },
  fold: { colour: TRIM },
  drift: { colour: SHADE, filled: true },
  hinge: { colour: SHADE, filled: true },
  holes: { colour: SHADE, filled: true },
}

/** The empty flat with its zones, for whoever designs it elsewhere: every line is named and measured on it. `style` sets the words. */
export function coverTemplate(flat: Flat, style: TextStyle): PageMarks {
  const out = new LayerBuilder(32, 512)
  const box = ({ x, y, width, height }: Rect, colour: Colour): void =>
    out.add({ kind: 'path', path: new PathBuilder().rect(x, y, width, height).build(), stroke: { colour, width: 0.5 } })
  const area = ({ x, y, width, height }: Rect, fill: Colour): void =>
    out.add({ kind: 'path', path: new PathBuilder().rect(x, y, width, height).build(), fill })
  for (const z of flat.zones) if (zones[z.kind].filled) area(z.rect, zones[z.kind].colour)
  for (const { rect, bleed } of flat.sheets) {
    const sheet = sheetOf({ ...rect, bleed })
    // Its line lies on the sheet, to be seen.
    box({ x: sheet.x + 0.25, y: sheet.y + 0.25, width: sheet.width - 0.5, height: sheet.height - 0.5 }, BLEED)
    box(rect, TRIM)
  }
  for (const z of flat.zones) if (!zones[z.kind].filled) box(z.rect, zones[z.kind].colour)
  for (const panel of ['back', 'front'] as const) words(out, flat, panel, style)
  return {
    width: flat.width,
    height: flat.height,
    bleed: flat.bleed,
    layers: [out.build(), ...spineWords(flat, style)].map(layer => ({ layer, x: 0, y: 0 })),
    label: 'template',
    side: 'recto',
  }
}

const place = { section: '', block: '' }
const inches = (pt: number): string => formatLength(pt, 'in')

/** What a panel is, and on the front what the lines are. */
function words(out: LayerBuilder, flat: Flat, panel: 'back' | 'front', style: TextStyle): void {
  const { width, height } = flat.panels[panel]
  const safe = flat.zones.find(z => z.kind === 'safe' && z.panel === panel)!.rect
  const { bleed } = flat.sheets[0]!
  const even = new Set(Object.values(bleed)).size === 1
  const lines = [`${panel}: ${inches(width)} wide, ${inches(height)} high`]
  if (panel === 'front') {
    const past = flat.binding === 'case' ? 'turned in' : 'bleed'
    lines.push(
      `red: the whole sheet, ${inches(sheetSize(flat).width)} by ${inches(sheetSize(flat).height)}, with ${even ? `${inches(bleed.top)} ${past} on each edge` : `what is cut: ${inches(bleed.top)} above, ${inches(bleed.bottom)} below, ${inches(flat.bleed.right)} at the fore edge${flat.sheets.length === 2 ? `, ${inches(bleed.right)} at the holes` : ''}`}`,
      `black: ${flat.binding === 'case' ? 'the edge of the boards' : 'the trim'}${flat.panels.spine.width > 0 ? ', and the folds beside the spine' : ''}`,
      'blue: what means something stays inside',
    )
    for (const z of flat.zones.filter(z => z.panel === 'front' && zones[z.kind].filled))
      lines.push(`shaded: ${z.kind}, ${inches(z.rect.width)} wide; nothing that is read stands there`)
    const drift = flat.zones.find(z => z.kind === 'drift')
    if (drift)
      lines.push(
        `shaded at the fold: it may lie ${inches(drift.rect.width / 2)} to either side; let nothing change there`,
      )
  } else if (flat.zones.some(z => z.kind === 'barcode'))
    lines.push('the black box below is the barcode’s: leave it clear')
  for (const [i, line] of lines.entries())
    setWords(out, line.split(' '), style, { x: safe.x + 8, y: safe.y + 16 + i * style.size * 1.5, place })
}

/** The measure of the spine along it, where there is room. */
function spineWords(flat: Flat, style: TextStyle): Layer[] {
  const zone = flat.zones.find(z => z.kind === 'spine text')?.rect
  if (!zone || zone.width < style.size) return []
  const out = new LayerBuilder(2, 64)
  const line = `spine: ${inches(flat.panels.spine.width)} at ${flat.pages} pages; its words read ${flat.spineReads}`
  setWords(out, line.split(' '), style, { x: 8, y: zone.width / 2 + style.size * 0.35, place })
  return [{ items: [{ kind: 'group', transform: spineTransform(zone, flat.spineReads), layers: [out.build()] }] }]
}
