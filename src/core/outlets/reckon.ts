import {
  type BindingKind,
  bindingRules,
  bindingName,
  div,
  exact,
  Fault,
  type Ink,
  insideMargin,
  type OutletProfile,
  type PrintSpec,
  roundHalfUp,
  roundPages,
  specProblems,
  spineThickness,
} from '../trade'
import { flatFor, sheetSize } from '../cover'
import { type Earning, printMoney } from './royalty'

/** A book that is not here, as far as a printer asks. Paper is what is wished for: an outlet that lacks it offers another. */
export interface Wish {
  binding: BindingKind
  trim: string
  paper: string
  ink: Ink
  pages: number
  /** Minor units of `currency`. */
  price?: number
  /** What the price is in; each outlet's own where absent. */
  currency?: string
}

/** What one outlet makes of a wish: figures, or the plain reasons why it cannot. Lengths in points, money in minor units. */
export type Reckoning =
  | { outlet: OutletProfile; problems: string[] }
  | {
      outlet: OutletProfile
      problems: []
      pages: number
      paper: string
      paperName: string
      otherPaper: boolean
      spine: number
      spineText: boolean
      wrap: { width: number; height: number }
      inside: number
      cost: number
      leastPrice: number
      earnings: Earning[]
    }

/** The wished price in an outlet's own currency, by its table of rates; undefined where it has none for it. */
function priceAt(outlet: OutletProfile, { price, currency = outlet.currency }: Wish): number | undefined {
  if (price === undefined || currency === outlet.currency) return price
  const rate = outlet.exchange?.[currency]
  return rate && Number(rate) ? Number(roundHalfUp(div(exact(BigInt(price)), exact(rate)))) : undefined
}

/** Spine, wrap, margin, cost, least price and royalty of a wish at an outlet. */
export function reckon(outlet: OutletProfile, wish: Wish): Reckoning {
  try {
    const rules = bindingRules(outlet, wish.binding)
    const papers = outlet.print!.papers
    const paper = papers.find(p => p.id === wish.paper) ?? papers[0]!
    const spec: PrintSpec = { binding: wish.binding, trim: wish.trim, paper: paper.id, ink: wish.ink }
    const problems = specProblems(outlet, spec, { pages: wish.pages }).map(p => p.message)
    if (problems.length) return { outlet, problems }
    const pages = roundPages(wish.pages, rules.pageMultiple)
    const flat = flatFor(outlet, { ...spec, pages })
    const price = priceAt(outlet, wish)
    const money = printMoney(outlet, spec, pages, price)
    return {
      outlet,
      problems: [],
      pages,
      paper: paper.id,
      paperName: paper.name,
      otherPaper: paper.id !== wish.paper,
      spine: spineThickness(outlet, spec, pages),
      spineText: flat.spineText,
      wrap: sheetSize(flat),
      inside: insideMargin(outlet, wish.binding, pages),
      cost: money.cost,
      leastPrice: money.leastPrice,
      earnings: price === undefined ? [] : money.earnings,
    }
  } catch (e) {
    if (e instanceof Fault)
      return {
        outlet,
        problems: [outlet.print ? `${outlet.name} does not bind ${bindingName(wish.binding)}.` : e.message],
      }
    throw e
  }
}
