import {
  bindingRules,
  IN,
  type OutletProfile,
  paperOf,
  parseTrim,
  type PrintSpec,
  printRules,
  pts,
  trimZeros,
} from '../trade'
import { type Flat, sheetSize, zoneOf } from './geometry'

export type MeasureName = 'back' | 'spine' | 'front' | 'width' | 'height' | 'spine text'

/** A length of the flat, points, and the sum that it came from. */
export interface Measure {
  name: MeasureName
  pt: number
  worked: string
}

const inches = (pt: number): string => `${trimZeros((pt / IN).toFixed(4))} in`
/** Lengths added up, those that are none left out. */
const sum = (parts: readonly (readonly [string, number])[]): string =>
  parts
    .filter(([, pt]) => pt > 0)
    .map(([what, pt]) => `${inches(pt)} ${what}`)
    .join(' + ')

/** The measures of a flat with their worked lines: what each is made of, in the words and figures of the printer's own rules. */
export function flatMeasures(profile: OutletProfile, spec: PrintSpec, flat: Flat): Measure[] {
  const rules = printRules(profile)
  const binding = bindingRules(profile, spec.binding)
  const trim = parseTrim(spec.trim)!
  const boards = spec.binding === 'case' ? binding.case : undefined
  const over = boards ? pts(boards.overhang) : 0
  const { panels, sheets } = flat
  const [first] = sheets
  const past = boards ? 'turned in' : 'bleed'
  const { rect, bleed } = first!
  const spine = panels.spine.width
  const panel = sum([
    ['of the trim', trim.width],
    ['overhang of the board', over],
  ])
  const across =
    sheets.length === 2
      ? ([[`of the ${first!.name}`, rect.width]] as const)
      : ([
          ['back', panels.back.width],
          ['spine', spine],
          ['front', panels.front.width],
        ] as const)
  const text = zoneOf(flat, 'spine text', 'spine')
  const { width, height } = sheetSize(flat)
  return [
    { name: 'back', pt: panels.back.width, worked: panel },
    ...(spine > 0 ? [spineMeasure(profile, spec, flat)] : []),
    { name: 'front', pt: panels.front.width, worked: panel },
    {
      name: 'width',
      pt: width,
      worked: sum([[`${past} left`, bleed.left], ...across, [`${past} right`, bleed.right]]),
    },
    {
      name: 'height',
      pt: height,
      worked: sum([
        [`${past} above`, bleed.top],
        ['of the trim', trim.height],
        ['overhang at head and foot', 2 * over],
        [`${past} below`, bleed.bottom],
      ]),
    },
    ...(text
      ? [
          {
            name: 'spine text' as const,
            pt: text.width,
            worked: `${inches(spine)} spine − 2 × ${rules.spineClear} clear of the folds`,
          },
        ]
      : []),
  ]
}

function spineMeasure(profile: OutletProfile, spec: PrintSpec, { pages, panels }: Flat): Measure {
  const boards = spec.binding === 'case' ? bindingRules(profile, 'case').case?.boards : undefined
  const worked = `${pages} pages × ${paperOf(profile, spec.paper).caliper}${boards ? ` + ${boards} of boards` : ''}`
  return { name: 'spine', pt: panels.spine.width, worked }
}
