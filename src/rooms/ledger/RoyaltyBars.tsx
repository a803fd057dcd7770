'use client'
import { max, scaleBand, scaleLinear } from 'd3'
import type { byMonth } from '@/core/ledger'
import { formatMoney } from '@/core/trade'

const fills = ['var(--ink)', 'url(#hatch)', 'var(--muted)', 'var(--hairline)']

/** Royalties by month, a bar a month, its outlets told apart by fill and legend. */
export function RoyaltyBars({ months, currency }: { months: ReturnType<typeof byMonth>; currency: string }) {
  const [width, height, left, foot, top] = [1040, 240, 64, 26, 14]
  const outlets = [...new Set(months.flatMap(m => Object.keys(m.outlets)))].sort()
  const x = scaleBand(
    months.map(m => m.month),
    [left, width],
  ).padding(0.45)
  const y = scaleLinear([0, max(months, m => m.total) || 1], [height - foot, top]).nice()
  return (
    <figure className="bars">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`Royalties by month: ${months.map(m => `${m.month} ${formatMoney(m.total, currency)}`).join(', ')}`}
      >
        <pattern id="hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="5" height="5" fill="var(--table)" />
          <rect width="2" height="5" fill="var(--second)" />
        </pattern>
        {y.ticks(4).map(t => (
          <g key={t}>
            <line x1={left} x2={width} y1={y(t)} y2={y(t)} />
            <text x={left - 8} y={y(t) + 4} textAnchor="end">
              {formatMoney(t, currency)}
            </text>
          </g>
        ))}
        {months.map(m => {
          let base = 0
          return (
            <g key={m.month}>
              {outlets.map((o, i) => {
                const v = m.outlets[o] ?? 0
                const from = base
                base += v
                return v > 0 ? (
                  <rect
                    key={o}
                    x={x(m.month)}
                    width={Math.min(72, x.bandwidth())}
                    y={y(base)}
                    height={y(from) - y(base)}
                    fill={fills[i % fills.length]}
                  >
                    <title>{`${o}, ${m.month}: ${formatMoney(v, currency)}`}</title>
                  </rect>
                ) : null
              })}
              <text x={x(m.month)! + Math.min(72, x.bandwidth()) / 2} y={height - 8} textAnchor="middle">
                {m.month}
              </text>
              <text
                className="sum"
                x={x(m.month)! + Math.min(72, x.bandwidth()) / 2}
                y={y(m.total) - 5}
                textAnchor="middle"
              >
                {formatMoney(m.total, currency)}
              </text>
            </g>
          )
        })}
      </svg>
      <figcaption>
        {outlets.map((o, i) => (
          <span key={o}>
            <svg width="12" height="12" aria-hidden>
              <rect width="12" height="12" fill={fills[i % fills.length]} />
            </svg>{' '}
            {o}
          </span>
        ))}
      </figcaption>
    </figure>
  )
}
