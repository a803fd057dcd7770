'use client'
import { useEffect, useRef, useState } from 'react'
import { phaseOf, type TimedSitting } from '@/core/pace'
import { useSay } from '@/parts/useSay'

/** A sitting that the author timed: kept in this browser, so that it goes on when the page is opened again. */
interface Timed extends TimedSitting {
  book: string
  /** Words of the book when it began. */
  words: number
}

/** A sitting's clock. */
export interface SittingTimer {
  minutes: number
  rest: number
  set: (patch: { minutes?: number; rest?: number }) => void
  /** What goes on now, how many seconds of it are left, and the words that were there when it began. */
  now: { at: 'writing' | 'resting'; left: number; words: number } | undefined
  begin: () => void
  stop: () => void
}

const KEY = 'porchlight-sitting'
const LENGTHS = 'porchlight-sitting-lengths'
const usual = { minutes: 25, rest: 5 }

/** What this browser keeps under a name; what cannot be read is as if it were not there. */
function kept<T>(key: string): T | undefined {
  try {
    return (JSON.parse(localStorage.getItem(key) ?? 'null') as T | null) ?? undefined
  } catch {
    return undefined
  }
}

export function useSittingTimer(book: string, words: number): SittingTimer {
  const say = useSay()
  const [lengths, setLengths] = useState(usual)
  const [timed, setTimed] = useState<Timed>()
  const [now, setNow] = useState(0)
  useEffect(() => {
    setLengths({ ...usual, ...kept<Partial<typeof usual>>(LENGTHS) })
    const goesOn = kept<Timed>(KEY)
    if (goesOn?.book === book) setTimed(goesOn)
    setNow(Date.now())
  }, [book])
  useEffect(() => {
    if (!timed) return
    const tick = setInterval(() => setNow(Date.now()), 1000)
    return () => clearInterval(tick)
  }, [timed])
  const going = timed && phaseOf(timed, now)
  const phase = going?.at
  // What was told last: each turn of a sitting is told once.
  const told = useRef<'writing' | 'resting'>(undefined)
  useEffect(() => {
    const last = told.current
    told.current = phase
    if (!timed || (phase && last === phase)) return
    const wrote = Math.max(0, words - timed.words)
    if (last === 'writing' && phase === 'resting')
      say.note(`The sitting is over: ${wrote.toLocaleString('en')} words. Rest for ${timed.rest} minutes.`)
    if (!phase) {
      // One that ended while the page was closed ends in silence.
      if (last) say.note(last === 'writing' ? 'The sitting is over.' : 'The rest is over.')
      setTimed(undefined)
      localStorage.removeItem(KEY)
    }
  }, [timed, phase, words, say])
  const put = (next: Timed | undefined): void => {
    if (next) localStorage.setItem(KEY, JSON.stringify(next))
    else localStorage.removeItem(KEY)
    setTimed(next)
    setNow(Date.now())
  }
  return {
    ...lengths,
    set: patch => {
      const next = { ...lengths, ...patch }
      localStorage.setItem(LENGTHS, JSON.stringify(next))
      setLengths(next)
    },
    now: going && { ...going, words: timed.words },
    begin: () => put({ book, begun: Date.now(), ...lengths, words }),
    stop: () => put(undefined),
  }
}
