'use client'
import { ActValue } from '@/parts/ActValue'
import { NumberValue } from '@/parts/Sentence'
import type { SittingTimer } from './useSittingTimer'

const clock = (seconds: number): string => `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`

/** A sitting that is timed: how long it is to be, or how it goes. */
export function SittingSentence({ timer, words }: { timer: SittingTimer; words: number }) {
  const { now } = timer
  if (now)
    return (
      <p role="timer">
        {now.at === 'writing' ? 'Writing' : 'Resting'} for <b>{clock(now.left)}</b> more;{' '}
        {Math.max(0, words - now.words).toLocaleString('en')} words so far. <ActValue words="Stop" onAct={timer.stop} />
        .
      </p>
    )
  return (
    <p>
      Sit for{' '}
      <NumberValue
        label="Minutes of a sitting"
        value={timer.minutes}
        least={1}
        most={240}
        form={{ factor: 1, step: 5, digits: 0, unit: 'minutes' }}
        onChange={minutes => timer.set({ minutes })}
      />
      , then rest for{' '}
      <NumberValue
        label="Minutes of rest"
        value={timer.rest}
        least={0}
        most={60}
        form={{ factor: 1, step: 1, digits: 0, unit: 'minutes' }}
        onChange={rest => timer.set({ rest })}
      />
      : <ActValue words="begin" label="Begin the sitting" onAct={timer.begin} />.
    </p>
  )
}
