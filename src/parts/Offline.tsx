'use client'
import { useEffect } from 'react'

/** Has the program kept by the browser, so that it opens without a network. The build's name makes a new one take over. */
export function Offline() {
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return
    void navigator.serviceWorker.register(`/sw.js?build=${process.env.NEXT_PUBLIC_BUILD ?? ''}`).catch(() => undefined)
    // The library lives in this browser: it asks to be kept.
    void navigator.storage?.persist?.()
  }, [])
  return null
}
