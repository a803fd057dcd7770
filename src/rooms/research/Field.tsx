'use client'
import { line, range, scaleLinear, scaleSqrt } from 'd3'
import type { PhraseFigures } from '@/core/market'
import { useSize } from '@/parts/useSize'

/** The field: buyers a month against crowding, with lines of equal room. A filled dot is kept; the chosen one is ringed. */
export function Field({
  phrases,
  kept,
  chosen,
  onChoose,
}: {
  phrases: PhraseFigures[]
  kept: ReadonlySet<string>
  chosen: string | undefined
  onChoose: (phrase: string) => void
}) {
  const [box, size] = useSize<HTMLDivElement>()
  const width = size.width || 860
  const [height, left, foot, top] = [256, 46, 34, 16]
  const most = Math.max(100, ...phrases.map(p => p.demand)) * 1.08
  const x = scaleLinear([0, 10], [left, width - 20])
  const y = scaleSqrt([0, most], [height - foot, top]).clamp(true)
  const best = Math.max(20, ...phrases.map(p => p.room))
  const rooms = [0.75, 0.4, 0.15].map(f => nice(best * f))
  const curve = (room: number) =>
    line<number>(
      c => x(c),
      c => y(room / (1 - c / 10)),
    )(range(0, 10, 0.2).filter(c => room / (1 - c / 10) <= most)) ?? ''
  const named = labelled(phrases, kept, chosen, p => [x(p.crowding), y(p.demand)], width)
  return (
    <div className="field" ref={box}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`${phrases.length} phrases by buyers a month and crowding; the table below has the same figures`}
      >
        <line x1={left} x2={left} y1={top} y2={height - foot} className="axis" />
        <line x1={left} x2={width - 20} y1={height - foot} y2={height - foot} className="axis" />
        <text x={left} y={11} textAnchor="start">
          buyers a month ↑
        </text>
        <text x={width - 20} y={height - 4} textAnchor="end">
          crowding of the first page, 0 to 10 →
        </text>
        {y
          .ticks(4)
          .filter(t => t > 0)
          .map(t => (
            <text key={t} x={left - 6} y={y(t) + 4} textAnchor="end">
              {t.toLocaleString('en')}
            </text>
          ))}
        {[0, 2, 4, 6, 8].map(t => (
          <text key={t} x={x(t)} y={height - 19} textAnchor="middle">
            {t || ''}
          </text>
        ))}
        {rooms.map(r => (
          <g key={r} className="equal">
            <path d={curve(r)} />
            <text x={left + 6} y={y(r) - 4}>
              room {r}
            </text>
          </g>
        ))}
        {phrases.map(p => (
          <circle
            key={p.phrase}
            cx={x(p.crowding)}
            cy={y(p.demand)}
            r={p.phrase === chosen ? 7 : 4.5}
            className={`${kept.has(p.phrase) ? 'kept' : ''}${p.phrase === chosen ? ' chosen' : ''}`}
            onClick={() => onChoose(p.phrase)}
          >
            <title>{`${p.phrase}: ${p.demand} buyers, crowding ${p.crowding}, room ${p.room}`}</title>
          </circle>
        ))}
        {named.map(n => (
          <text key={n.phrase} x={n.x} y={n.y} textAnchor={n.end ? 'end' : 'start'} className="name">
            {n.phrase}
          </text>
        ))}
      </svg>
    </div>
  )
}

const nice = (v: number): number => {
  const step = 10 ** Math.max(0, Math.floor(Math.log10(v)) - 1) * 5
  return Math.max(5, Math.round(v / step) * step)
}

/** Names beside dots, the most room first, each only where it does not run into another. */
function labelled(
  phrases: PhraseFigures[],
  kept: ReadonlySet<string>,
  chosen: string | undefined,
  at: (p: PhraseFigures) => [number, number],
  width: number,
) {
  const weight = (p: PhraseFigures): number => (p.phrase === chosen ? 1e9 : kept.has(p.phrase) ? 1e6 : 0) + p.room
  const taken: [number, number, number, number][] = phrases.map(p => {
    const [px, py] = at(p)
    return [px - 5, py - 5, px + 5, py + 5]
  })
  const out: { phrase: string; x: number; y: number; end: boolean }[] = []
  for (const p of [...phrases].sort((a, b) => weight(b) - weight(a)).slice(0, 30)) {
    const [px, py] = at(p)
    const w = p.phrase.length * 6.1
    const place = [false, true].find(end => {
      const x0 = end ? px - 9 - w : px + 9
      if (x0 < 50 || x0 + w > width - 8) return false
      const b: [number, number, number, number] = [x0, py - 7, x0 + w, py + 7]
      return !taken.some(t => t[0] < b[2] && t[2] > b[0] && t[1] < b[3] && t[3] > b[1])
    })
    if (place === undefined) continue
    taken.push(place ? [px - 9 - w, py - 7, px - 9, py + 7] : [px + 9, py - 7, px + 9 + w, py + 7])
    out.push({ phrase: p.phrase, x: place ? px - 9 : px + 9, y: py + 4, end: place })
  }
  return out
}
