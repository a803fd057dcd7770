'use client'
import { formatMoney, type OutletProfile } from '@/core/trade'
import { NumberValue } from '@/parts/Sentence'

/** A rate as it is kept: a decimal without noise. */
const asRate = (n: number): string => String(Number(n.toFixed(6)))
const PERCENT = { factor: 100, step: 1, digits: 2, unit: '%' }
const CENTS = { factor: 1, step: 1, digits: 4, unit: '¢' }
const A_PAGE = { factor: 1, step: 0.05, digits: 4, unit: '¢ a page' }

/** What an outlet asks for printing and pays for copies, in sentences whose figures are entered. */
export function Rates({ profile: p, onChange }: { profile: OutletProfile; onChange: (next: OutletProfile) => void }) {
  const royalty = (change: Partial<OutletProfile['royalty']>): void =>
    onChange({ ...p, royalty: { ...p.royalty, ...change } })
  const costs = p.print?.costs ?? []
  const channels = p.royalty.print ?? []
  const bands = p.royalty.ebook ?? []
  const swapped = <T,>(list: readonly T[], at: number, with_: T): T[] => list.map((x, i) => (i === at ? with_ : x))
  return (
    <>
      {costs.length > 0 && (
        <p>
          {costs.map((c, i) => {
            const what = `${c.ink}${c.papers ? ` on ${c.papers.join(', ')}` : ''}`
            const set = (change: Partial<typeof c>): void =>
              onChange({ ...p, print: { ...p.print!, costs: swapped(costs, i, { ...c, ...change }) } })
            return (
              <span key={what}>
                {i ? '; ' : 'Prints '}
                {what} for{' '}
                <NumberValue
                  label={`Fixed cost, ${what}`}
                  value={Number(c.fixed)}
                  least={0}
                  most={100_000}
                  form={CENTS}
                  onChange={v => set({ fixed: asRate(v) })}
                />{' '}
                and{' '}
                <NumberValue
                  label={`Cost a page, ${what}`}
                  value={Number(c.aPage)}
                  least={0}
                  most={10_000}
                  form={A_PAGE}
                  onChange={v => set({ aPage: asRate(v) })}
                />
              </span>
            )
          })}
          .
        </p>
      )}
      {channels.length > 0 && (
        <p>
          {channels.map((c, i) => (
            <span key={c.channel}>
              {i ? ', ' : 'Pays, less the print cost: '}
              {c.channel}{' '}
              <NumberValue
                label={`Share, ${c.channel}`}
                value={Number(c.share)}
                least={0.01}
                most={1}
                form={PERCENT}
                onChange={v => royalty({ print: swapped(channels, i, { ...c, share: asRate(v) }) })}
              />
              {c.closedToLowContent ? ' (not for low-content books)' : ''}
            </span>
          ))}
          .
        </p>
      )}
      {bands.length > 0 && (
        <p>
          {bands.map((b, i) => {
            const what =
              b.upTo === undefined ? (bands.length > 1 ? 'above' : '') : `to ${formatMoney(b.upTo, p.currency)}`
            return (
              <span key={what}>
                {i ? ', ' : 'Of an ebook pays '}
                <NumberValue
                  label={`Share of an ebook ${what}`}
                  value={Number(b.share)}
                  least={0.01}
                  most={1}
                  form={PERCENT}
                  onChange={v => royalty({ ebook: swapped(bands, i, { ...b, share: asRate(v) }) })}
                />
                {what && ` ${what}`}
              </span>
            )
          })}
          .
        </p>
      )}
    </>
  )
}
