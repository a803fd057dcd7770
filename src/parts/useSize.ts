'use client'
import { type RefCallback, useCallback, useState } from 'react'

/** CSS pixels. */
export interface Size {
  width: number
  height: number
}

/** The inner size of an element, as it is and as it becomes; 0 × 0 until it stands. */
export function useSize<E extends HTMLElement>(): [RefCallback<E>, Size] {
  const [size, setSize] = useState<Size>({ width: 0, height: 0 })
  const ref = useCallback((element: E) => {
    const watch = new ResizeObserver(() => setSize({ width: element.clientWidth, height: element.clientHeight }))
    watch.observe(element)
    return () => watch.disconnect()
  }, [])
  return [ref as RefCallback<E>, size]
}
