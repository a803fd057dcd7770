'use client'
import { formatMoney, type OutletProfile } from '@/core/trade'
import { NumberValue } from '@/parts/Sentence'

/** A rate as it is kept: a decimal without noise. */
const asRate = (n: number): string => String(Number(n.toFixed(6)))
/** A list in which one entry says something else. */
const changed = <T,>(list: readonly T[], at: number, change: Partial<T>): T[] =>
  list.map((x, i) => (i === at ? { ...x, ...change } : x))
const PERCENT = { factor: 100, step: 1, digits: 2, unit: '%' }
const CENTS = { factor: 1, step: 1, digits: 4, unit: '¢' }
const A_PAGE = { factor: 1, step: 0.05, digits: 4, unit: '¢ a page' }

/** What an outlet asks for printing and pays for copies, in sentences whose figures are entered. */
export function Rates({
  profile: p,
  onChange,
}: {
  profile: OutletProfile /** A change, worked out of the profile as it stands when it is written. */
  onChange: (next: (p: OutletProfile) => OutletProfile) => void
}) {
  const costs = p.print?.costs ?? []
  const channels = p.royalty.print ?? []
  const bands = p.royalty.ebook ?? []
  return (
    <>
      {costs.length > 0 && (
        <p>
          {costs.map((c, i) => {
            const what = `${c.ink}${c.papers ? ` on ${c.papers.join(', ')}` : ''}`
            const set = (change: Partial<typeof c>): void =>
              onChange(now => ({
                ...now,
                print: { ...now.print!, costs: changed(now.print!.costs, i, change) },
              }))
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
                onChange={v =>
                  onChange(now => ({
                    ...now,
                    royalty: { ...now.royalty, print: changed(now.royalty.print ?? [], i, { share: asRate(v) }) },
                  }))
                }
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
                  onChange={v =>
                    onChange(now => ({
                      ...now,
                      royalty: { ...now.royalty, ebook: changed(now.royalty.ebook ?? [], i, { share: asRate(v) }) },
                    }))
                  }
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
