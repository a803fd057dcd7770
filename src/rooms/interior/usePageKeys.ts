'use client'
import { isCommand, isTyping, useKeys } from '@/parts/useKeys'
import type { OpenPage } from './useOpenPage'
import type { PageSize } from './usePageSize'

/** Turns pages and changes their size by keys. Styles that are held against each other have one size. */
export function usePageKeys(
  { left, last, go }: OpenPage,
  { layout, zoomTo, whole }: PageSize,
  comparing: boolean,
): void {
  useKeys(e => {
    if (isTyping(e) || isCommand(e)) return
    if (!comparing && (e.key === '+' || e.key === '=')) return zoomTo(1)
    if (!comparing && e.key === '-') return zoomTo(-1)
    if (!comparing && e.key === '0') return whole()
    // In an enlarged spread these keys move about in it.
    if (e.target instanceof HTMLElement && e.target.closest('.stage.zoomed')) return
    const by = layout === 'single' ? 1 : 2
    const to = {
      ArrowLeft: left - by,
      PageUp: left - by,
      ArrowRight: left + by,
      PageDown: left + by,
      Home: -1,
      End: last,
    }[e.key]
    if (to === undefined) return
    e.preventDefault()
    go(to)
  })
}
