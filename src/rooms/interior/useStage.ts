'use client'
import { type RefObject, useEffect, useLayoutEffect, useRef, useState } from 'react'
import type { Rect } from './zoom'

/** A point of the spread that stays where it is on screen while the spread grows or shrinks: points of the spread, pixels of the stage. */
interface Anchor {
  spread: { x: number; y: number }
  stage: { x: number; y: number }
}

/** Where reading begins: what stands here stays here where no pointer says otherwise. */
const CORNER = { x: 24, y: 24 }

/** Wheel travel that makes one step of zoom, pixels. */
const A_STEP = 60

/**
 * The stage that a spread stands on: its size, what of the spread is in view (CSS pixels from the spread's top left), and zoom by
 * wheel about the pointer. `home` is where one looks first when a fitted spread grows, points.
 */
export function useStage(
  scale: number,
  zoomed: boolean,
  home: { x: number; y: number },
  onWheelZoom: (by: 1 | -1) => void,
): {
  stage: RefObject<HTMLDivElement | null>
  room: { width: number; height: number }
  view: Rect
  onScroll: () => void
} {
  const stage = useRef<HTMLDivElement>(null)
  const [room, setRoom] = useState({ width: 0, height: 0 })
  const [view, setView] = useState<Rect>({ x: 0, y: 0, width: 0, height: 0 })
  const anchor = useRef<Anchor>(undefined)
  const before = useRef({ scale, zoomed, view })
  const step = useRef(onWheelZoom)
  step.current = onWheelZoom

  const { x: homeX, y: homeY } = home

  const look = (): void => {
    const e = stage.current!
    const next = { x: e.scrollLeft, y: e.scrollTop, width: e.clientWidth, height: e.clientHeight }
    before.current = { ...before.current, view: next }
    setView(v => (v.x === next.x && v.y === next.y && v.width === next.width && v.height === next.height ? v : next))
  }
  useLayoutEffect(() => {
    const e = stage.current!
    const watch = new ResizeObserver(() => {
      setRoom({ width: e.clientWidth, height: e.clientHeight })
      look()
    })
    watch.observe(e)
    return () => watch.disconnect()
  }, [])

  useLayoutEffect(() => {
    const e = stage.current!
    const was = before.current
    if (zoomed && scale !== was.scale) {
      const spread = was.zoomed
        ? { x: (was.view.x + CORNER.x) / was.scale, y: (was.view.y + CORNER.y) / was.scale }
        : { x: homeX, y: homeY }
      const a = anchor.current ?? { spread, stage: CORNER }
      e.scrollTo(a.spread.x * scale - a.stage.x, a.spread.y * scale - a.stage.y)
    }
    anchor.current = undefined
    before.current = { ...before.current, scale, zoomed }
    look()
  }, [scale, zoomed, homeX, homeY])

  useEffect(() => {
    const e = stage.current!
    let travelled = 0
    const onWheel = (w: WheelEvent): void => {
      if (!w.ctrlKey) return
      w.preventDefault()
      travelled += w.deltaY
      if (Math.abs(travelled) < A_STEP) return
      const spread = e.querySelector('.spread')?.getBoundingClientRect()
      const box = e.getBoundingClientRect()
      if (spread)
        anchor.current = {
          spread: {
            x: (w.clientX - spread.left) / before.current.scale,
            y: (w.clientY - spread.top) / before.current.scale,
          },
          stage: { x: w.clientX - box.left, y: w.clientY - box.top },
        }
      step.current(travelled < 0 ? 1 : -1)
      travelled = 0
    }
    e.addEventListener('wheel', onWheel, { passive: false })
    return () => e.removeEventListener('wheel', onWheel)
  }, [])
  return { stage, room, view, onScroll: look }
}
