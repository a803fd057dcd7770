'use client'
import { zoomSteps, zoomWords } from './zoom'

/** How pages lie: facing each other, one by one, or all at once. */
export type Layout = 'spread' | 'single' | 'all'

/** How pages lie, and how large. */
export function SizeChoice({
  layout,
  zoom,
  fitted,
  onLayout,
  onWhole,
  onZoom,
}: {
  layout: Layout
  zoom: number
  /** The scale at which a spread fits. */
  fitted: number
  onLayout: (layout: Layout) => void
  /** The whole spread is wanted. */
  onWhole: () => void
  onZoom: (by: 1 | -1) => void
}) {
  return (
    <>
      <button
        type="button"
        aria-pressed={layout === 'single'}
        onClick={() => onLayout(layout === 'single' ? 'spread' : 'single')}
      >
        one page
      </button>
      <button
        type="button"
        aria-pressed={layout === 'all'}
        onClick={() => onLayout(layout === 'all' ? 'spread' : 'all')}
      >
        all pages
      </button>
      <button type="button" aria-pressed={zoom === 0} onClick={() => onWhole()}>
        whole spread
      </button>
      <span className="zoom" role="group" aria-label="Size of the spread">
        <button type="button" aria-label="Smaller" disabled={zoom === 0} onClick={() => onZoom(-1)}>
          −
        </button>
        <output>{zoomWords(zoom, fitted)}</output>
        <button
          type="button"
          aria-label="Larger"
          disabled={zoom === zoomSteps[zoomSteps.length - 1]}
          onClick={() => onZoom(1)}
        >
          +
        </button>
      </span>
    </>
  )
}
