import { showLength } from '@/parts/lengths'
import type { CoverView } from '@/workers/answers/covers'

/** Measures along the flat's upper edge: back, spine, front. */
export function Measures({ cover, scale }: { cover: CoverView; scale: number }) {
  const { flat } = cover
  const spine = flat.panels.spine.width
  return (
    <div className="measures" aria-hidden>
      <span style={{ marginLeft: flat.bleed.left * scale, width: flat.panels.back.width * scale }}>
        <b>back {showLength(flat.panels.back.width, 2)}</b>
      </span>
      {spine > 0 && (
        <span className="spine" style={{ width: spine * scale }}>
          <b>spine {showLength(spine)}</b>
        </span>
      )}
      <span style={{ width: flat.panels.front.width * scale }}>
        <b>front {showLength(flat.panels.front.width, 2)}</b>
      </span>
    </div>
  )
}
