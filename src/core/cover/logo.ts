import { type Asset, isWords, type PanelName, type TitleData } from '../book'
import type { Item, Layer } from '../marks'
import { IMAGE_PPI } from '../trade'
import type { CoverDesign } from './designs'
import { type Flat, zoneOf } from './geometry'
import type { Rect } from './rect'

/** Height of a logo on a back, points; it is at most twice as wide. */
const ON_BACK = 40
/** Between a logo and what stands by it, points. */
const GAP = 8
/** Part of the spine's clear width that it takes, and how much longer than that it may be. */
const ON_SPINE = 0.86
const LONGEST = 1.6

/** Where the imprint's logo stands on a flat; on the spine only where text may. */
export interface LogoPlaces {
  asset: Asset
  spine?: Rect
  back?: Rect
}

/** The logo at the foot of the spine, and over the imprint's name on the back, clear of the barcode; where a piece of the design is the logo, it alone. Undefined where the book has none. */
export function logoPlaces(
  flat: Flat,
  design: CoverDesign,
  data: TitleData,
  { assets, barcode }: { assets: readonly Asset[]; barcode: Rect | undefined },
): LogoPlaces | undefined {
  const asset = assets.find(a => a.id === data.imprint.logo)
  if (!asset) return undefined
  const placed = (panel: PanelName): boolean => design.pieces.some(p => p.kind === 'logo' && p.panel === panel)
  const zone = zoneOf(flat, 'spine text', 'spine')
  const safe = zoneOf(flat, 'safe', 'back')
  return {
    asset,
    ...(zone && !placed('spine') ? { spine: onSpine(zone, asset) } : {}),
    ...(safe && !placed('back') ? { back: onBack(safe, asset, design, barcode) } : {}),
  }
}

/** As large as it may be within a width and a height, and as its pixels allow in print. */
function sizeOf(asset: Asset, width: number, height: number): { width: number; height: number } {
  const scale = Math.min(width / asset.width, height / asset.height, 72 / IMAGE_PPI)
  return { width: asset.width * scale, height: asset.height * scale }
}

function onSpine(zone: Rect, asset: Asset): Rect {
  const size = sizeOf(asset, zone.width * ON_SPINE, zone.width * LONGEST)
  return { x: zone.x + (zone.width - size.width) / 2, y: zone.y + zone.height - size.height, ...size }
}

function onBack(safe: Rect, asset: Asset, { pieces }: CoverDesign, barcode: Rect | undefined): Rect {
  const size = sizeOf(asset, ON_BACK * 2, ON_BACK)
  const name = pieces.filter(isWords).find(p => p.panel === 'back' && p.field === 'imprint')
  const { x, y, height } = name?.box ?? { x: 0, y: 1, height: 0 }
  // A name at the foot of its box is one line there.
  const line = name?.vertical === 'bottom' ? Math.min(height * safe.height, name.size * 2) : height * safe.height
  const top = safe.y + (y + height) * safe.height - line
  const rect = { x: safe.x + x * safe.width, y: top - GAP - size.height, ...size }
  if (!barcode || !meets(rect, barcode)) return rect
  // The barcode has its corner: it stands beside that.
  return { ...rect, x: barcode.x + barcode.width + GAP, y: safe.y + safe.height - size.height }
}

const meets = (a: Rect, b: Rect): boolean =>
  a.x < b.x + b.width + GAP && a.x + a.width > b.x - GAP && a.y < b.y + b.height + GAP && a.y + a.height > b.y - GAP

/** The flat with what the text of the spine has left of its zone: the logo has its foot. */
export const besideLogo = (flat: Flat, logo: Rect): Flat => ({
  ...flat,
  zones: flat.zones.map(z =>
    z.kind === 'spine text' ? { ...z, rect: { ...z.rect, height: logo.y - GAP - z.rect.y } } : z,
  ),
})

/** The logo as it is drawn. */
export const logoLayer = ({ asset, spine, back }: LogoPlaces): Layer => ({
  items: [spine, back].flatMap((r): Item[] => (r ? [{ kind: 'image', asset: asset.id, ...r }] : [])),
})
