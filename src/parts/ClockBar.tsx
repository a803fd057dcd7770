'use client'
import { Button } from 'antd'
import { useLiveQuery } from 'dexie-react-hooks'
import { clockDate } from '@/core/outlets'
import { advanceClock, readClock } from '@/data/clock'
import './clockBar.css'

const steps = [
  { words: '6 hours', hours: 6 },
  { words: 'a day', hours: 24 },
  { words: 'a week', hours: 168 },
  { words: '30 days', hours: 720 },
]

/** The simulated clock of the stand-in outlets: the author moves it on. */
export function ClockBar() {
  const now = useLiveQuery(readClock)
  const date = clockDate(now ?? 0)
  return (
    <div className="clockbar" role="group" aria-label="Simulated clock">
      <span>
        The stand-ins’ clock:{' '}
        <b>
          {date.toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' })},{' '}
          {date.toISOString().slice(11, 16)}
        </b>
      </span>
      <span className="on">
        on by{' '}
        {steps.map(s => (
          <Button key={s.hours} size="small" onClick={() => void advanceClock(s.hours)}>
            {s.words}
          </Button>
        ))}
      </span>
    </div>
  )
}
