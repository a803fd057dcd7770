import { type CoverForm, type CoverPiece, isWords } from '../book'
import { boxOnFlat, type Cover, type Flat, nameOf, type Rect, zoneOf } from '../cover'
import { formatLength } from '../trade'
import type { Finding } from './finding'
import type { Rule } from './pageRules'

/** Forms whose sides are those of their box. */
const straight: readonly CoverForm[] = ['rectangle', 'frame', 'line', 'ribbon']

/** Whether a piece ends in straight lines along its box: what is turned or round ends nowhere in a line with an edge. */
function endsStraight(piece: CoverPiece): boolean {
  if (isWords(piece) || piece.turn) return false
  switch (piece.kind) {
    case 'shape':
      return straight.includes(piece.form)
    case 'picture':
      return (piece.mask ?? 'rectangle') === 'rectangle'
    case 'repeat':
      return true
    case 'ornament':
    case 'logo':
      return false
  }
}

/** Where what is not words ends on the flat. */
const endings = ({ design, flat }: Cover): { id: string; name: string; box: Rect }[] =>
  design.pieces.filter(endsStraight).flatMap(p => {
    const box = boxOnFlat(flat, p)
    return box ? [{ id: p.id, name: nameOf(p), box }] : []
  })

/** The edges of the sheets as they are cut, and how far art must reach past each. */
const cuts = ({ sheets }: Flat) =>
  sheets.flatMap(({ rect: { x, y, width, height }, bleed }) => [
    { edge: 'left' as const, at: x, past: x - bleed.left },
    { edge: 'right' as const, at: x + width, past: x + width + bleed.right },
    { edge: 'top' as const, at: y, past: y - bleed.top },
    { edge: 'bottom' as const, at: y + height, past: y + height + bleed.bottom },
  ])

const sideOf = (box: Rect, edge: 'left' | 'right' | 'top' | 'bottom'): number =>
  ({ left: box.x, right: box.x + box.width, top: box.y, bottom: box.y + box.height })[edge]

/** Nothing that is seen ends where the printer folds or cuts: folds drift, and what stops at the trim shows a line of paper. */
export const coverEdges: Rule = s => {
  const cover = s.print?.cover
  if (!cover) return []
  const { flat } = cover
  const folds = flat.zones.filter(z => z.kind === 'fold').map(z => z.rect.x)
  const drift = (zoneOf(flat, 'drift', 'spine')?.width ?? 0) / 2
  return endings(cover).flatMap(({ id, name, box }): Finding[] => {
    const place = { kind: 'cover' as const, piece: id }
    const cut = cuts(flat).find(c => {
      const past = (sideOf(box, c.edge) - c.at) * Math.sign(c.past - c.at)
      const bleed = Math.abs(c.past - c.at)
      return bleed > 0 && past > -CUT && past < bleed - HAIR
    })
    if (cut)
      return [
        {
          rule: 'bleed',
          severity: 'mend',
          place,
          amount: formatLength(Math.abs(cut.past - sideOf(box, cut.edge)), 'in'),
          message: `The ${name} ends at the ${cut.edge} edge, where the sheet is cut: a line of the ground may show there.`,
          remedy: 'reach past the edge',
        },
      ]
    const fold = folds.find(x => [box.x, box.x + box.width].some(side => Math.abs(side - x) < drift))
    return fold === undefined
      ? []
      : [
          {
            rule: 'fold',
            severity: 'remark',
            place,
            amount: formatLength(drift, 'in'),
            message: `The ${name} ends at a fold, which may lie ${formatLength(drift, 'in')} beside its place.`,
            remedy: 'reach over the fold',
          },
        ]
  })
}

/** So much short of the bleed is none, points. */
const HAIR = 0.3
/** Nearer to the trim than this, inside of it, is taken for meant to reach it, points. */
const CUT = 2
