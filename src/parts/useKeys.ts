'use client'
import { useEffect } from 'react'
import { useLatest } from './useLatest'

/** Listens to the window's keys while the part is shown. `first`: before anything else hears of them. */
export function useKeys(handler: (e: KeyboardEvent) => void, first = false): void {
  const newest = useLatest(handler)
  useEffect(() => {
    addEventListener('keydown', newest, first)
    return () => removeEventListener('keydown', newest, first)
  }, [newest, first])
}

/** Whether a key goes into a field, where it has a meaning of its own. */
export const isTyping = (e: KeyboardEvent): boolean =>
  e.target instanceof HTMLElement && !!e.target.closest('input, textarea, [contenteditable], .ant-select')

/** Whether a key comes with one that makes a command of it. */
export const isCommand = (e: KeyboardEvent): boolean => e.ctrlKey || e.metaKey || e.altKey
