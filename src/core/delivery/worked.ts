import type { EbookMoney, PrintMoney } from '../outlets'
import { bindingRules, type OutletProfile, type PrintSpec } from '../trade'

/** Figures worked out in a line each, for whoever asks how they came about. By the figure's name. */
export type Worked = Record<string, string>

/** The lines of a print edition's spine, wrap, cost and royalty. */
export function workedPrint(
  profile: OutletProfile,
  spec: PrintSpec,
  { pages, spine, money }: { pages: number; spine: number; money: PrintMoney },
): Worked {
  const paper = profile.print?.papers.find(p => p.id === spec.paper)
  const cost = profile.print?.costs.find(
    c => c.ink === spec.ink && (!c.papers?.length || c.papers.includes(spec.paper)),
  )
  const extra = bindingRules(profile, spec.binding).extraCost
  const [own] = money.earnings
  return {
    ...(paper && spine ? { Spine: `${pages} pages × ${paper.caliper}` } : {}),
    Wrap: 'two panels, the spine and the bleed',
    ...(cost ? { Print: `${cost.fixed}${extra !== '0' ? ` + ${extra}` : ''} + ${pages} × ${cost.aPage} cents` } : {}),
    ...(own && money.price !== undefined
      ? { Royalty: `${own.share} × ${(money.price / 100).toFixed(2)} − ${(money.cost / 100).toFixed(2)} to print` }
      : {}),
  }
}

/** The line of an ebook's royalty. */
export const workedEbook = (money: EbookMoney | undefined): Worked =>
  money
    ? {
        Royalty: `${money.share} × ${(money.price / 100).toFixed(2)}${money.delivery ? ` − ${(money.delivery / 100).toFixed(2)} for delivery` : ''}`,
      }
    : {}
