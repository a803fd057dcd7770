'use client'
import { extent, line, scaleLinear } from 'd3'
import { formatMoney } from '@/core/trade'

/** Royalty against price, with its edges, the least price, and where this edition stands. Money in minor units. */
export function RoyaltyCurve({
  royaltyAt,
  least,
  price,
  currency,
}: {
  royaltyAt: (price: number) => number
  least: number
  price: number | undefined
  currency: string
}) {
  const [width, height, left, foot] = [330, 118, 44, 20]
  const top = Math.max(1499, Math.round((price ?? least) * 1.6), least * 2)
  const prices = Array.from({ length: 121 }, (_, i) => Math.round((top * i) / 120))
  const points = prices.map(p => [p, royaltyAt(p)] as const)
  const x = scaleLinear([0, top], [left, width - 8])
  const [low, high] = extent(points, p => p[1]) as [number, number]
  const y = scaleLinear([Math.min(0, Math.max(low, -high / 3)), high], [height - foot, 8]).clamp(true)
  const path =
    line<readonly [number, number]>(
      p => x(p[0]),
      p => y(p[1]),
    )(points) ?? ''
  const say =
    price === undefined
      ? 'no price yet'
      : `${formatMoney(royaltyAt(price), currency)} a copy at ${formatMoney(price, currency)}`
  return (
    <svg
      className="curve"
      width={width}
      height={height}
      role="img"
      aria-label={`Royalty against price: ${say}; least price ${formatMoney(least, currency)}`}
    >
      {y.ticks(3).map(t => (
        <g key={t}>
          <line x1={left} x2={width - 8} y1={y(t)} y2={y(t)} className={t === 0 ? 'zero' : 'tick'} />
          <text x={left - 6} y={y(t) + 4} textAnchor="end">
            {formatMoney(t, currency)}
          </text>
        </g>
      ))}
      {x.ticks(5).map(t => (
        <text key={t} x={x(t)} y={height - 5} textAnchor="middle">
          {formatMoney(t, currency)}
        </text>
      ))}
      <line x1={x(least)} x2={x(least)} y1={8} y2={height - foot} className="least" />
      <path d={path} />
      {price !== undefined && <circle cx={x(price)} cy={y(royaltyAt(price))} r={4.5} />}
    </svg>
  )
}
