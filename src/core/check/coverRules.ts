import { areaOf, type CoverGround, ELSEWHERE, flatFor, type SetPiece, toRgb } from '../cover'
import { type Edges, visitPage } from '../marks'
import { printedPpi } from '../pages'
import { formatLength, parseIsbn, printRules } from '../trade'
import { coarse } from './coarse'
import { rgbContrast } from './colour'
import type { Finding } from './finding'
import { missing } from './missing'
import { byPlay } from './play'
import type { Rule } from './pageRules'

const onCover = (piece: string): Finding['place'] => ({ kind: 'cover', piece })

/** The cover is as wide as the interior now asks. */
export const spine: Rule = s => {
  const cover = s.print?.cover
  if (!s.print || !cover) return []
  const { spec, interior } = s.print
  const { language } = s.book.data
  const now = flatFor(s.profile, { ...spec, pages: interior.pages.length, language })
  const off = Math.abs(now.width - cover.flat.width)
  const severity = byPlay(s.profile, off)
  if (!severity) return []
  return [
    {
      rule: 'spine',
      severity,
      place: onCover('spine'),
      amount: formatLength(off, 'in'),
      message: `The cover was drawn for ${cover.flat.pages} pages; there are ${now.pages} now, and the wrap is ${formatLength(off, 'in')} off.`,
      remedy: 'refit the cover',
    },
  ]
}

/** Every character on the cover has a glyph. */
export const coverGlyphs: Rule = s =>
  (s.print?.cover?.pieces ?? []).flatMap(p => [...new Set(p.missing)].map(text => missing(text, onCover(p.id))))

/** The box of a piece is the letters' own; what is round reaches a hair over it, points. */
const OPTICAL = 0.5

/** Pieces stand inside their panel's safe zone, the spine's clear of the folds. */
export const coverSafe: Rule = s => {
  const cover = s.print?.cover
  if (!cover) return []
  const out: Finding[] = []
  for (const p of cover.pieces) {
    const zone = areaOf(cover.flat, { panel: p.panel, within: 'safe' })
    if (!zone) {
      out.push({
        rule: 'cover safe zone',
        severity: 'stop',
        place: onCover(p.id),
        message: 'There is text on a spine that is too thin for it.',
        remedy: 'bare the spine',
      })
      continue
    }
    const off = Math.max(
      zone.x - p.box.x,
      zone.y - p.box.y,
      p.box.x + p.box.width - zone.x - zone.width,
      p.box.y + p.box.height - zone.y - zone.height,
    )
    const severity = byPlay(s.profile, off - OPTICAL)
    if (severity)
      out.push({
        rule: 'cover safe zone',
        severity,
        place: onCover(p.id),
        amount: formatLength(off, 'in'),
        message: `The ${p.name} stands ${formatLength(off, 'in')} outside the safe zone of the ${p.panel}.`,
        remedy: 'move the box inward',
      })
  }
  return out
}

/** Pictures of the cover have pixels enough for their printed size. */
export const coverResolution: Rule = s => {
  const cover = s.print?.cover
  if (!cover) return []
  const least = printRules(s.profile).leastPpi
  const sizes = new Map(s.book.assets.map(a => [a.id, a]))
  return cover.page.layers.flatMap((placed): Finding[] => {
    const [piece] = placed.layer.items
    // What was made elsewhere is looked over by rules of its own.
    if (piece?.kind === 'group' && piece.role === ELSEWHERE) return []
    const out: Finding[] = []
    visitPage({ ...cover.page, layers: [placed] }, v => {
      const asset = 'item' in v && v.item.kind === 'image' ? sizes.get(v.item.asset) : undefined
      if (!asset || !('item' in v) || v.item.kind !== 'image') return
      const found = coarse(printedPpi(asset, v.item), least)
      const role = piece?.kind === 'group' ? piece.role : undefined
      if (found) out.push({ rule: 'cover resolution', place: onCover(role ?? 'ground'), ...found })
    })
    return out
  })
}

/** All text fits its box. */
export const coverFits: Rule = s =>
  (s.print?.cover?.pieces ?? [])
    .filter(p => p.tooLong)
    .map(p => ({
      rule: 'cover text',
      severity: 'stop' as const,
      place: onCover(p.id),
      amount: `${p.text.length} characters`,
      message: `The ${p.name} is too long for its place on the ${p.panel}.`,
      remedy: 'shorten the piece',
    }))

/** Text stands out from its ground: 3 : 1 at least (WCAG 2.2, large text). The ground is what is seen there: colour, ornament, picture. */
export const contrast: Rule = s => {
  const { cover, ground } = s.print ?? {}
  if (!cover || !ground) return []
  return cover.pieces.flatMap((p): Finding[] => {
    const ratio = contrastOn(ground, cover.flat.bleed, p)
    return ratio >= LEAST_CONTRAST
      ? []
      : [
          {
            rule: 'contrast',
            severity: 'mend',
            place: onCover(p.id),
            amount: `${ratio.toFixed(1)} : 1`,
            message: `The ${p.name} is hard to read on its ground (${ratio.toFixed(1)} : 1; 3 : 1 is the least).`,
            remedy: 'change the colour',
          },
        ]
  })
}

const LEAST_CONTRAST = 3
/** A part of the ground so small may be like the letters: a glint, a line of an ornament. */
const GLINTS = 0.08

/** The contrast that a piece has with all of the ground under its words but the few glints that it has least with. */
function contrastOn({ width, height, rgba, scale }: CoverGround, bleed: Edges, p: SetPiece): number {
  const within = (v: number, most: number): number => Math.max(0, Math.min(most, Math.round(v * scale)))
  const colour = toRgb(p.colour)
  const ratios: number[] = []
  for (const box of p.spots ?? [p.box]) {
    const [x0, x1] = [within(box.x + bleed.left, width), within(box.x + box.width + bleed.left, width)]
    const [y0, y1] = [within(box.y + bleed.top, height), within(box.y + box.height + bleed.top, height)]
    for (let y = y0; y < Math.max(y1, y0 + 1) && y < height; y++)
      for (let x = x0; x < x1; x++) {
        const at = (y * width + x) * 4
        ratios.push(rgbContrast(colour, { r: rgba[at]! / 255, g: rgba[at + 1]! / 255, b: rgba[at + 2]! / 255 }))
      }
  }
  // What stands outside the sheet is found by another rule.
  if (!ratios.length) return Infinity
  return ratios.sort((a, b) => a - b)[Math.floor(ratios.length * GLINTS)]!
}

/** A print book has an ISBN that is one, and its barcode stands clear of everything. */
export const barcode: Rule = s => {
  if (!s.print) return []
  const { isbn, cover } = s.print
  if (!isbn)
    return [
      {
        rule: 'barcode',
        severity: 'mend',
        place: { kind: 'data', field: 'isbn' },
        message: 'This edition has no ISBN, so its cover has no barcode.',
        remedy: 'enter the ISBN',
      },
    ]
  if (!parseIsbn(isbn))
    return [
      {
        rule: 'barcode',
        severity: 'stop',
        place: { kind: 'data', field: 'isbn' },
        amount: isbn,
        message: 'The ISBN is not one: its check figure is wrong.',
        remedy: 'compare the ISBN',
      },
    ]
  const box = cover?.barcode
  if (!box) return []
  return cover.pieces
    .filter(
      p =>
        p.panel === 'back' &&
        p.box.x < box.x + box.width &&
        p.box.x + p.box.width > box.x &&
        p.box.y < box.y + box.height &&
        p.box.y + p.box.height > box.y,
    )
    .map(p => ({
      rule: 'barcode',
      severity: 'stop' as const,
      place: onCover(p.id),
      message: `The ${p.name} runs into the barcode.`,
      remedy: 'clear the barcode',
    }))
}
