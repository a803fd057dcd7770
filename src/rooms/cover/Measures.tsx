import { Popover } from 'antd'
import type { Measure, MeasureName } from '@/core/cover'
import { showLength } from '@/parts/lengths'
import type { CoverView } from '@/workers/answers/covers'

/** Measures along the flat's upper edge, each where it lies; a click opens the sum that it came from. */
export function Measures({ cover: { flat, measures }, scale }: { cover: CoverView; scale: number }) {
  const { back, spine, front } = flat.panels
  const between = front.x - back.width - spine.width
  const of = (name: MeasureName): Measure | undefined => measures.find(m => m.name === name)
  return (
    <div className="measures">
      <span style={{ marginLeft: flat.bleed.left * scale, width: back.width * scale }}>
        <Worked measure={of('back')}>back {showLength(back.width, 2)}</Worked>
      </span>
      {spine.width > 0 && (
        <span className="spine" style={{ width: spine.width * scale }}>
          <Worked measure={of('spine')}>spine {showLength(spine.width)}</Worked>
        </span>
      )}
      <span style={{ marginLeft: between * scale, width: front.width * scale }}>
        <Worked measure={of('front')}>front {showLength(front.width, 2)}</Worked>
      </span>
    </div>
  )
}

/** A measure that opens its worked line. */
export function Worked({ measure, children }: { measure: Measure | undefined; children: React.ReactNode }) {
  if (!measure) return <b>{children}</b>
  return (
    <Popover
      trigger="click"
      placement="bottom"
      content={
        <span className="worked">
          {measure.worked} = <b>{showLength(measure.pt)}</b>
        </span>
      }
    >
      <button type="button" aria-label={`${measure.name}: how it was worked out`}>
        {children}
      </button>
    </Popover>
  )
}
