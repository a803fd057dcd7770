import { zipSync } from 'fflate'
import { BLACK, type PageMarks, pageSvg } from '../marks'
import { type Interior, templates } from '../pages'
import {
  dayOf,
  formatLength,
  formatTrim,
  insideMargin,
  type OutletProfile,
  printRules,
  type PrintSpec,
  pts,
} from '../trade'
import { type FontShelf, TextStyle } from '../type'
import type { NamedFile } from './interiorFile'
import type { DeliveryPorts } from './ports'

/** Pixels an inch of a blank leaf as a picture. */
const SHEET_PPI = 300

/** What blank pages are made from. */
export interface BlankParts {
  interior: Interior
  profile: OutletProfile
  spec: PrintSpec
  pages: number
  date: string
}

/** What blank pages ask of the world beside the rest: a canvas that paints a page with its bleed on white, as PNG. */
export interface BlankPorts extends DeliveryPorts {
  paintSheet(page: PageMarks, pixelsAPoint: number): Promise<Uint8Array>
}

/** Blank templates for an edition at its page count, as PDF, SVG and PNG in one ZIP. */
export async function blankPages(
  { interior, profile, spec, pages, date }: BlankParts,
  shelf: FontShelf,
  ports: BlankPorts,
): Promise<NamedFile> {
  const rules = printRules(profile)
  const inside = insideMargin(profile, spec.binding, pages)
  const style = new TextStyle({
    faces: [await shelf.face('figtree/regular')],
    size: 7.5,
    language: 'en',
    colour: BLACK,
  })
  const trim = formatTrim(spec.trim)
  const { width, height } = interior.spec
  const leaves = templates(
    {
      width,
      height,
      bleed: pts(rules.bleed),
      bleedsInside: rules.bleedEdges === 4,
      safe: pts(rules.safeWithBleed),
      inside,
    },
    {
      trim: `black: the trim, ${trim}`,
      bleed: `red: the bleed, ${rules.bleed} past the trim`,
      safe: `blue: what means something stays inside, ${rules.safeWithBleed} from the trim`,
      inside: `shaded: the inside margin at ${pages} pages, ${formatLength(inside, 'in')}`,
    },
    style,
  )
  const { pdfBytes } = await import('../pdf')
  const title = `Blank pages, ${trim}`
  const pdfPorts = await ports.pdf()
  const pdf = (sheets: PageMarks[]): Promise<Uint8Array> =>
    pdfBytes(sheets, { title, language: 'en', date, grey: false }, pdfPorts)
  const files: Record<string, Uint8Array> = {
    'either-side.pdf': await pdf([leaves[0]!.page]),
    'left-and-right.pdf': await pdf([leaves[2]!.page, leaves[1]!.page]),
  }
  for (const leaf of leaves) {
    const name = leaf.name.replace(' ', '-')
    files[`${name}.svg`] = new TextEncoder().encode(pageSvg(leaf.page, `${title}, ${leaf.name}`))
    files[`${name}.png`] = await ports.paintSheet(leaf.page, SHEET_PPI / 72)
  }
  const ending = trim.replace(/[^0-9A-Za-z.]+/g, '-').replace(/^-|-$/g, '')
  return { name: `blank-pages-${ending}.zip`, bytes: zipSync(files, { level: 6, mtime: dayOf(date) }) }
}
