'use client'
import { line, max, scaleBand, scaleLinear } from 'd3'
import dayjs from 'dayjs'
import type { PlotDay } from '@/core/pace'

const [WIDTH, HEIGHT, LEFT, FOOT, TOP] = [760, 300, 52, 26, 14]
/** So many days have their date below them. */
const DATES = 7

/** Words by day: what was written above the line, what was cut below it; and the line that would meet the last day. */
export function DayBars({ days, today }: { days: readonly PlotDay[]; today: string }) {
  const x = scaleBand(
    days.map(d => d.day),
    [LEFT, WIDTH],
  ).padding(days.length > 120 ? 0 : 0.3)
  const highest = Math.max(max(days, d => d.wrote + d.came) ?? 0, max(days, d => d.needed ?? 0) ?? 0, 100)
  const y = scaleLinear([-(max(days, d => d.cut) ?? 0), highest], [HEIGHT - FOOT, TOP]).nice()
  const every = Math.ceil(days.length / DATES)
  const needed = line<PlotDay>()
    .defined(d => d.needed !== undefined)
    .x(d => x(d.day)! + x.bandwidth() / 2)
    .y(d => y(d.needed!))(days.filter(d => d.needed !== undefined))
  const written = days.filter(d => d.wrote || d.cut || d.came)
  const said = written.map(d => `${d.day} ${d.wrote} written, ${d.cut} cut`).join('; ')
  return (
    <svg
      className="daybars"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`Words by day: ${said || 'none yet'}`}
    >
      {y.ticks(5).map(t => (
        <g key={t}>
          <line x1={LEFT} x2={WIDTH} y1={y(t)} y2={y(t)} className={t === 0 ? 'zero' : undefined} />
          <text x={LEFT - 8} y={y(t) + 4} textAnchor="end">
            {Math.abs(t).toLocaleString('en')}
          </text>
        </g>
      ))}
      {days.map((d, i) => {
        const [at, width] = [x(d.day)!, Math.max(1, x.bandwidth())]
        return (
          <g key={d.day}>
            <title>{`${dayjs(d.day).format('ddd, D MMM')}: ${d.wrote} written, ${d.cut} cut${d.came ? `, ${d.came} came in` : ''}${d.needed === undefined ? '' : `; ${d.needed} to be written`}`}</title>
            <rect x={at} width={width} y={TOP} height={HEIGHT - FOOT - TOP} className="hit" />
            {d.wrote > 0 && <rect x={at} width={width} y={y(d.wrote)} height={y(0) - y(d.wrote)} className="wrote" />}
            {d.came > 0 && (
              <rect
                x={at}
                width={width}
                y={y(d.wrote + d.came)}
                height={y(d.wrote) - y(d.wrote + d.came)}
                className="came"
              />
            )}
            {d.cut > 0 && <rect x={at} width={width} y={y(0)} height={y(-d.cut) - y(0)} className="cut" />}
            {i % every === 0 && (
              <text x={at + width / 2} y={HEIGHT - 8} textAnchor="middle">
                {dayjs(d.day).format('D MMM')}
              </text>
            )}
            {d.day === today && (
              <line x1={at + width / 2} x2={at + width / 2} y1={TOP} y2={HEIGHT - FOOT} className="today" />
            )}
          </g>
        )
      })}
      {needed && <path d={needed} className="needed" />}
    </svg>
  )
}
