'use client'
import type { PageBox } from '@/core/pages'
import { preferences } from '@/parts/preferences'
import { usePress } from '@/parts/usePress'
import type { Leaves } from '@/core/chain'

/** What may lie over a page: its zones, its grid of lines, its loose and tight lines, rulers along its edges. */
export const overlays = [
  { id: 'zones', words: 'text area and safe zone' },
  { id: 'grid', words: 'grid' },
  { id: 'lines', words: 'loose and tight lines' },
  { id: 'rulers', words: 'rulers' },
] as const
export type Overlay = (typeof overlays)[number]['id']

/** Gaps beyond which a line is called loose or tight, parts of the natural gap. */
const LOOSE = 1.45
const TIGHT = 0.8

/** Overlays of one page; nothing of it prints. */
export function PageViews({
  bookId,
  editionId,
  leaves,
  version,
  page,
  scale,
  shown,
  found,
}: {
  bookId: string
  editionId: string
  leaves: Leaves
  version: number
  page: number
  scale: number
  shown: ReadonlySet<Overlay>
  found: PageBox[]
}) {
  const wanted = shown.has('lines')
  const { answer: lines = [], trouble } = usePress(
    async press => (wanted ? press.lines(bookId, editionId, page) : undefined),
    [wanted, bookId, editionId, page],
    { anew: [version] },
  )
  const px = (v: number): number => v * scale
  const { block, width, height } = leaves
  const left = page % 2 === 0 ? block.x : leaves.outside
  const { leading } = leaves.style.text
  const outOfEven = wanted ? lines.filter(l => l.width > block.width * 0.6 && (l.gaps > LOOSE || l.gaps < TIGHT)) : []
  return (
    <>
      {shown.has('zones') && (
        <>
          <i
            className="guide text"
            style={{ left: px(left), top: px(block.y), width: px(block.width), height: px(block.height) }}
          />
          <i
            className="guide safe"
            style={{
              left: px(leaves.safe),
              top: px(leaves.safe),
              width: px(width - 2 * leaves.safe),
              height: px(height - 2 * leaves.safe),
            }}
          />
        </>
      )}
      {shown.has('grid') && (
        <svg className="guide" width={px(width)} height={px(height)} viewBox={`0 0 ${width} ${height}`} aria-hidden>
          {Array.from({ length: Math.round(block.height / leading) }, (_, i) => (
            <line
              key={i}
              x1={left}
              x2={left + block.width}
              y1={block.y + (i + 0.75) * leading}
              y2={block.y + (i + 0.75) * leading}
              stroke="#4f8a94"
              strokeWidth={0.6 / scale}
            />
          ))}
        </svg>
      )}
      {outOfEven.map((l, i) => (
        <i
          key={i}
          className={l.gaps > LOOSE ? 'guide loose' : 'guide tight'}
          title={`gaps ${l.gaps.toFixed(2)} of their own width`}
          style={{ left: px(l.x) - 2, top: px(l.y), width: px(l.width) + 4, height: px(l.height) * 1.15 }}
        />
      ))}
      {wanted && trouble && (
        <span className="guide unmeasured" role="status">
          The lines could not be measured: {trouble}
        </span>
      )}
      {found.map((b, i) => (
        <i
          key={i}
          className="guide found"
          style={{ left: px(b.x) - 1, top: px(b.y), width: px(b.width) + 2, height: px(b.height) * 1.1 }}
        />
      ))}
      {shown.has('rulers') && <Rulers width={width} height={height} scale={scale} />}
    </>
  )
}

/** Rulers along the trim's top and left, in the author's unit. */
function Rulers({ width, height, scale }: { width: number; height: number; scale: number }) {
  const { unit } = preferences()
  const [step, parts] = unit === 'mm' ? [(72 / 25.4) * 10, 10] : [72, 8]
  const ticks = (length: number, across: boolean) =>
    Array.from({ length: Math.floor((length / step) * parts) + 1 }, (_, i) => {
      const at = (i * step) / parts
      const deep = i % parts === 0 ? 11 : i % (parts / 2) === 0 ? 7 : 4
      const d = across ? `M${at * scale} 0v${deep}` : `M0 ${at * scale}h${deep}`
      return (
        <g key={i}>
          <path d={d} stroke="#41606a" strokeWidth={0.7} />
          {i % parts === 0 && i > 0 && (
            <text x={across ? at * scale + 2 : 13} y={across ? 11 : at * scale + 3} fontSize={8.5} fill="#41606a">
              {unit === 'mm' ? (i / parts) * 10 : i / parts}
            </text>
          )}
        </g>
      )
    })
  return (
    <svg
      className="guide"
      width={width * scale}
      height={height * scale}
      role="img"
      aria-label={unit === 'mm' ? 'Rulers in millimetres' : 'Rulers in inches'}
    >
      {ticks(width, true)}
      {ticks(height, false)}
    </svg>
  )
}
