import { type Flat, flatMeasures } from '../cover'
import type { EbookMoney, PrintMoney } from '../outlets'
import { bindingRules, costLine, type Exact, type OutletProfile, type PrintSpec, toNumber } from '../trade'

/** Figures worked out in a line each, for whoever asks how they came about. By the figure's name. */
export type Worked = Record<string, string>

/** What lines of a print edition are worked from. */
export interface PrintWorking {
  /** Pages as printed. */
  pages: number
  flat: Flat
  money: PrintMoney
}

/** The lines of a print edition's spine, wrap, cost and royalty: each is the sum that was done, with the rates it was done with. */
export function workedPrint(profile: OutletProfile, spec: PrintSpec, { pages, flat, money }: PrintWorking): Worked {
  const by = Object.fromEntries(flatMeasures(profile, spec, flat).map(m => [m.name, m.worked]))
  const line = costLine(profile, spec)
  const extra = bindingRules(profile, spec.binding).extraCost
  const [own] = money.earnings
  return {
    ...(by.spine ? { Spine: by.spine } : {}),
    Wrap: `${by.width} wide, ${by.height} high`,
    Print: `${line.fixed}${extra !== '0' ? ` + ${extra}` : ''} + ${pages} × ${line.aPage} cents`,
    ...(own && money.price !== undefined
      ? { Royalty: `${own.share} × ${major(money.price)} − ${exactMajor(money.costExact)} to print` }
      : {}),
  }
}

/** The line of an ebook's royalty. */
export const workedEbook = (money: EbookMoney | undefined): Worked =>
  money
    ? {
        Royalty: `${money.share} × ${major(money.price)}${money.delivery ? ` − ${major(money.delivery)} for delivery` : ''}`,
      }
    : {}

const major = (minor: number): string => (minor / 100).toFixed(2)
/** An exact amount of minor units as the whole ones say it: as many places as it has, two at least. */
function exactMajor(minor: Exact): string {
  const said = (toNumber(minor) / 100).toFixed(6).replace(/0+$/, '')
  const places = said.split('.')[1]?.length ?? 0
  return places < 2 ? (toNumber(minor) / 100).toFixed(2) : said
}
