import { zipSync } from 'fflate'
import { slugOf } from '../book'
import { type Finding, remedyWords } from '../check'
import {
  coverTemplate as drawTemplate,
  ELSEWHERE,
  type Flat,
  flatMeasures,
  type LyingSheet,
  sheetPages,
  sheetSize,
  zoneOf,
} from '../cover'
import { BLACK, pageSvg } from '../marks'
import { colourFor, dayOf, formatLength, IMAGE_PPI, type OutletProfile, printRules, type PrintSpec } from '../trade'
import { type FontShelf, TextStyle } from '../type'
import type { BlankPorts } from './blankPages'
import type { NamedFile } from './interiorFile'

/** What a template of a cover is made from. */
export interface CoverTemplateParts {
  title: string
  flat: Flat
  profile: OutletProfile
  spec: PrintSpec
  date: string
  /** Where a designer made one before: how it lies on the flat of now, and all that was found. */
  made?: { sheets: LyingSheet[]; findings: Finding[] }
}

/** The empty flat as PDF, SVG and PNG, with a sheet of settings, in one ZIP: for whoever designs the cover elsewhere. */
export async function coverTemplateFiles(
  parts: CoverTemplateParts,
  shelf: FontShelf,
  ports: BlankPorts,
): Promise<NamedFile> {
  const { title, flat, profile, date } = parts
  const style = new TextStyle({
    faces: [await shelf.face('figtree/regular')],
    size: 7.5,
    language: 'en',
    colour: BLACK,
  })
  const pages = sheetPages({ flat, page: drawTemplate(flat, style) })
  const { pdfBytes } = await import('../pdf')
  const about = { title: `${title}: template of the cover`, language: 'en', date, grey: false }
  const files: Record<string, Uint8Array> = { 'template.pdf': await pdfBytes(pages, about, await ports.pdf()) }
  for (const [i, page] of pages.entries()) {
    const name = pages.length === 1 ? 'template' : `template-${flat.sheets[i]!.name}`
    files[`${name}.svg`] = new TextEncoder().encode(pageSvg(page, about.title))
    files[`${name}.png`] = await ports.paintSheet(page, IMAGE_PPI / 72)
  }
  files['settings.txt'] = new TextEncoder().encode(settingsOf(parts))
  if (parts.made) files['changes.txt'] = new TextEncoder().encode(changesOf(flat, parts.made))
  return {
    name: `${slugOf(title, 'book')}-${flat.binding}-${profile.id}-template.zip`,
    bytes: zipSync(files, { level: 6, mtime: dayOf(date) }),
  }
}

/** A length as both sides of the sea write it. */
const both = (pt: number): string => `${formatLength(pt, 'in')} (${formatLength(pt, 'mm')})`
const by = (width: number, height: number): string => `${both(width)} wide, ${both(height)} high`

/** What is otherwise since a designer's last file: each length that was and is, and what was found in it. */
export function changesOf(flat: Flat, { sheets, findings }: NonNullable<CoverTemplateParts['made']>): string {
  const lines = sheets.flatMap(({ made, trim, bleed, off, spine }, i) => [
    ...(sheets.length > 1 ? [i ? 'Front' : 'Back'] : []),
    `Sheet with bleed: was ${by(made.width, made.height)}; is ${by(trim.width + bleed.left + bleed.right, trim.height + bleed.top + bleed.bottom)}`,
    `As it is cut: was ${by(trim.width + off.width, trim.height + off.height)}; is ${by(trim.width, trim.height)}`,
    ...(spine === undefined ? [] : [`Spine: was ${both(spine)}; is ${both(flat.panels.spine.width)}`]),
  ])
  const found = findings.filter(f => f.place.kind === 'cover' && f.place.piece === ELSEWHERE)
  const said = found.map((f, i) => `${i + 1}. ${f.message} ${remedyWords(f)}${whereOf(flat, f)}`)
  const all = [
    'What has changed',
    ...lines,
    '',
    'What was found in the last file',
    ...(said.length ? said : ['Nothing.']),
  ]
  return all.map(line => `${line}\n`).join('')
}

/** From the left edge of the sheet and from its top. */
const whereOf = ({ bleed }: Flat, { place }: Finding): string =>
  place.kind === 'cover' && place.area
    ? ` It lies ${both(Math.max(0, place.area.x + bleed.left))} from the left edge of the sheet and ${both(Math.max(0, place.area.y + bleed.top))} from its top.`
    : ''

/** The sheet of settings: all that a designer's program is told, and what the printer asks of the file. */
export function settingsOf({ title, flat, profile, spec }: CoverTemplateParts): string {
  const rules = printRules(profile)
  const sheet = sheetSize(flat)
  const { bleed, panels } = flat
  const [apart] = flat.sheets.length === 2 ? flat.sheets : []
  const drift = zoneOf(flat, 'drift', 'spine')
  const px = (pt: number): number => Math.round((pt / 72) * IMAGE_PPI)
  const safe = zoneOf(flat, 'safe', 'front')!
  const text = zoneOf(flat, 'spine text', 'spine')
  const barcode = zoneOf(flat, 'barcode', 'back')
  const strip = flat.zones.find(z => z.kind === 'hinge' || z.kind === 'holes')
  const past = flat.binding === 'case' ? 'Turned in' : 'Bleed'
  const lines: (readonly [string, string])[] = [
    ['Book', title],
    ['Printer', profile.name],
    ['Binding', `${flat.binding}, ${flat.pages} pages on ${spec.paper}`],
    [
      'Pages of the file',
      `${apart ? 'two, back and front, each' : 'one,'} of ${by(sheet.width, sheet.height)}; no spreads, no printer’s marks`,
    ],
    ['At 300 pixels an inch', `${px(sheet.width)} by ${px(sheet.height)} pixels`],
    [
      past,
      `${both(bleed.top)} above, ${both(bleed.bottom)} below, ${both(bleed.right)} at the fore edges${apart ? `, ${both(apart.bleed.right)} along the holes` : ''}`,
    ],
    [
      'Worked',
      flatMeasures(profile, spec, flat)
        .map(m => `${m.name} = ${m.worked}`)
        .join('; '),
    ],
    ['Panels', `back and front ${by(panels.front.width, panels.front.height)}`],
    [
      'Spine',
      panels.spine.width > 0
        ? `${both(panels.spine.width)} wide, from ${both(bleed.left + panels.spine.x)} from the left edge of the sheet`
        : 'none',
    ],
    [
      'Words on the spine',
      text
        ? `at most ${both(text.width)} high, read ${flat.spineReads}, ${rules.spineClear} clear of both folds`
        : `none under ${rules.spineTextFrom} pages`,
    ],
    [
      'Words on the front',
      `at least ${both(safe.y)} from head, foot and outer edge, ${both(safe.x - panels.front.x)} from the spine’s side`,
    ],
    ...(drift
      ? [['At the folds', `a fold may lie ${both(drift.width / 2)} beside its place: no ground changes there`] as const]
      : []),
    ...(strip
      ? [
          [
            strip.kind === 'hinge' ? 'Hinge' : 'Along the holes',
            `${both(strip.rect.width)} bare on each panel`,
          ] as const,
        ]
      : []),
    [
      'Barcode',
      barcode
        ? `${flat.barcodeBy === 'printer' ? 'the printer places its own: ' : ''}leave ${by(barcode.width, barcode.height)} clear, ${both(barcode.x + bleed.left)} from the left edge of the sheet and ${both(barcode.y + bleed.top)} from its top`
        : 'the printer places its own',
    ],
    ['Fonts', 'embedded, or turned into outlines'],
    ['Pictures', `${IMAGE_PPI} pixels an inch at their size; under ${rules.leastPpi} they are refused`],
    [
      'Colour',
      colourFor(profile) === 'rgb'
        ? 'RGB with the profile sRGB; black words as black alone'
        : `CMYK, at most ${rules.inkLimit ?? 300} % of ink in one place; black words as black alone`,
    ],
    ['Transparency', rules.pdf === 'plain' ? 'as you like' : 'flattened'],
    ['File', `PDF, at most ${rules.coverMb} MB; take the layer of this template out before it is made`],
  ]
  const width = Math.max(...lines.map(([name]) => name.length))
  return lines.map(([name, words]) => `${name.padEnd(width)}  ${words}\n`).join('')
}
