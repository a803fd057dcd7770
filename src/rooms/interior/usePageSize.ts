'use client'
import { useCallback, useState } from 'react'
import type { Layout } from './SizeChoice'
import { zoomBy } from './zoom'

/** How pages are laid out on the stage, and how large. */
export interface PageSize {
  layout: Layout
  setLayout: (layout: Layout) => void
  /** 0: as large as fits. */
  zoom: number
  /** The scale at which the spread fits, pixels a point. */
  fitted: number
  setFitted: (scale: number) => void
  zoomTo: (by: 1 | -1) => void
  whole: () => void
}

export function usePageSize(): PageSize {
  const [layout, setLayout] = useState<Layout>('spread')
  const [zoom, setZoom] = useState(0)
  const [fitted, setFitted] = useState(1)
  // Whoever enlarges wants to see the spread, not all pages.
  const setSize = useCallback((of: (zoom: number) => number) => {
    setLayout(l => (l === 'all' ? 'spread' : l))
    setZoom(of)
  }, [])
  const zoomTo = useCallback((by: 1 | -1) => setSize(z => zoomBy(z, by, fitted)), [setSize, fitted])
  const whole = useCallback(() => setSize(() => 0), [setSize])
  return { layout, setLayout, zoom, fitted, setFitted, zoomTo, whole }
}
