import { parseArgs } from 'node:util'
import { flatFor, sheetSize } from '@/core/cover'
import { homeOutlet, printMoney, profileOf, shippedProfiles } from '@/core/outlets'
import {
  bindingRules,
  type BindingKind,
  Fault,
  inUnit,
  insideMargin,
  parseTrim,
  type PrintSpec,
  roundPages,
  specProblems,
  spineThickness,
} from '@/core/trade'
import { whole } from './whole'

/** `press cost …`: spine, wrap, inside margin, cost, least price and royalty, as JSON. */
export function runCost(args: string[]): void {
  const { values } = parseArgs({
    args,
    options: {
      outlet: { type: 'string' },
      trim: { type: 'string' },
      paper: { type: 'string' },
      ink: { type: 'string' },
      pages: { type: 'string' },
      price: { type: 'string' },
      binding: { type: 'string' },
    },
  })
  const profile = profileOf(
    values.outlet ?? homeOutlet({ kind: 'paperback', outlets: [] }, shippedProfiles),
    shippedProfiles,
  )
  const trim = parseTrim(values.trim ?? '6x9in')
  if (!trim)
    throw new Fault('trim', `“${(values.trim ?? '').slice(0, 40)}” is no trim: write it like 6x9in, 156x234mm or A5.`)
  const ink = values.ink ?? 'black'
  if (ink !== 'black' && ink !== 'colour') throw new Fault('ink', 'The ink is black or colour.')
  const binding = values.binding ?? 'paperback'
  if (!['paperback', 'coil', 'saddle', 'case'].includes(binding))
    throw new Fault('binding', 'The binding is paperback, coil, saddle or case.')
  const made = whole(values.pages, 'pages', 1, 10000)
  const price = values.price === undefined ? undefined : whole(values.price, 'price', 0, 1e8)
  const spec: PrintSpec = { binding: binding as BindingKind, trim: trim.id, paper: values.paper ?? 'cream', ink }
  const problems = specProblems(profile, spec, { pages: made }).map(p => p.message)
  if (problems.length) throw new Fault('specification', problems[0]!)
  const pages = roundPages(made, bindingRules(profile, spec.binding).pageMultiple)
  const flat = flatFor(profile, { ...spec, pages })
  const sheet = sheetSize(flat)
  const spine = spineThickness(profile, spec, pages)
  const money = printMoney(profile, spec, pages, price)
  process.stdout.write(
    JSON.stringify(
      {
        outlet: profile.id,
        ...spec,
        pages,
        spinePt: r(spine),
        spineIn: r(inUnit(spine, 'in')),
        spineText: flat.spineText,
        wrap: {
          widthPt: r(sheet.width),
          heightPt: r(sheet.height),
          widthIn: r(inUnit(sheet.width, 'in')),
          heightIn: r(inUnit(sheet.height, 'in')),
        },
        insideMarginPt: r(insideMargin(profile, spec.binding, pages)),
        insideMarginIn: r(inUnit(insideMargin(profile, spec.binding, pages), 'in')),
        currency: money.currency,
        cost: money.cost,
        leastPrice: money.leastPrice,
        ...(price === undefined ? {} : { price, royalty: money.earnings[0]?.royalty ?? 0 }),
        channels: money.earnings,
      },
      null,
      2,
    ) + '\n',
  )
}

const r = (x: number): number => Math.round(x * 1e5) / 1e5
