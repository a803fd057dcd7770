'use client'
import { useEffect, useState } from 'react'

/** The text alone on the whole screen, until it is left again (by Esc, as browsers have it). */
export function useFullScreen(): { full: boolean; can: boolean; toggle: () => Promise<void> } {
  const [full, setFull] = useState(false)
  useEffect(() => {
    const changed = (): void => {
      const is = document.fullscreenElement === document.documentElement
      setFull(is)
      if (is) document.documentElement.dataset.alone = 'text'
      else delete document.documentElement.dataset.alone
    }
    document.addEventListener('fullscreenchange', changed)
    return () => {
      document.removeEventListener('fullscreenchange', changed)
      delete document.documentElement.dataset.alone
      if (document.fullscreenElement) void document.exitFullscreen()
    }
  }, [])
  return {
    full,
    can: typeof document !== 'undefined' && !!document.documentElement.requestFullscreen,
    toggle: () => (full ? document.exitFullscreen() : document.documentElement.requestFullscreen()),
  }
}
