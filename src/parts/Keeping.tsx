'use client'
import { App } from 'antd'
import { useEffect } from 'react'
import { onRefused } from '@/data/trouble'

/** Keeps the author's words over whatever happens to this window, and says every write that was refused. */
export function Keeping() {
  const { message } = App.useApp()
  useEffect(() => {
    let stop: (() => void) | undefined
    let gone = false
    // Loaded behind the page: it has no part in what is seen first.
    void import('@/data/keeping').then(k => {
      if (!gone) stop = k.keepWords()
    })
    return () => {
      gone = true
      stop?.()
    }
  }, [])
  useEffect(() => onRefused(why => void message.error({ key: 'refused', content: why })), [message])
  return null
}
