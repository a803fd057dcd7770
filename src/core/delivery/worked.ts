import type { Flat } from '../cover'
import type { EbookMoney, PrintMoney } from '../outlets'
import {
  bindingRules,
  costLine,
  type Exact,
  IN,
  type OutletProfile,
  paperOf,
  type PrintSpec,
  toNumber,
  trimZeros,
} from '../trade'

/** Figures worked out in a line each, for whoever asks how they came about. By the figure's name. */
export type Worked = Record<string, string>

/** What lines of a print edition are worked from. */
export interface PrintWorking {
  /** Pages as printed. */
  pages: number
  spine: number
  flat: Flat
  money: PrintMoney
}

/** The lines of a print edition's spine, wrap, cost and royalty: each is the sum that was done, with the rates it was done with. */
export function workedPrint(
  profile: OutletProfile,
  spec: PrintSpec,
  { pages, spine, flat, money }: PrintWorking,
): Worked {
  const line = costLine(profile, spec)
  const extra = bindingRules(profile, spec.binding).extraCost
  const [own] = money.earnings
  return {
    ...(spine ? { Spine: `${pages} pages × ${paperOf(profile, spec.paper).caliper}` } : {}),
    Wrap: workedWrap(flat),
    Print: `${line.fixed}${extra !== '0' ? ` + ${extra}` : ''} + ${pages} × ${line.aPage} cents`,
    ...(own && money.price !== undefined
      ? { Royalty: `${own.share} × ${major(money.price)} − ${exactMajor(money.costExact)} to print` }
      : {}),
  }
}

/** Width and height of the wrap in inches: panels, spine, and what stands over at each edge. */
function workedWrap({ panels, bleed }: Flat): string {
  const inches = (pt: number): string => trimZeros((pt / IN).toFixed(4))
  const widths = [bleed.left, panels.back.width, panels.spine.width, panels.front.width, bleed.right]
  const heights = [bleed.top, panels.front.height, bleed.bottom]
  const sum = (parts: number[]): string =>
    parts
      .filter(p => p > 0)
      .map(inches)
      .join(' + ')
  return `${sum(widths)} wide, ${sum(heights)} in high`
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
