'use client'
import { App } from 'antd'
import { useEffect } from 'react'
import { journalWaits } from '@/data/journalWaits'
import { onRefused } from '@/data/trouble'

/** Keeps the author's words over whatever happens to this window, and says every write that was refused. */
export function Keeping() {
  const { message } = App.useApp()
  useEffect(() => {
    let stop: (() => void) | undefined
    let gone = false
    const start = (): void =>
      void import('@/data/keeping').then(k => {
        if (!gone) stop = k.keepWords()
      })
    // Words that wait in the journal come first; otherwise it has no part in what is seen first.
    const timer = setTimeout(start, journalWaits() ? 0 : 4000)
    return () => {
      gone = true
      clearTimeout(timer)
      stop?.()
    }
  }, [])
  useEffect(() => onRefused(why => void message.error({ key: 'refused', content: why })), [message])
  return null
}
