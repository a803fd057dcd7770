'use client'
import dayjs from 'dayjs'
import { useState } from 'react'
import { dayOf } from '@/core/activity'
import type { Book } from '@/core/book'
import { type DayTally, plotOf } from '@/core/pace'
import { ChoiceValue } from '@/parts/Sentence'
import { DayBars } from './DayBars'

/** Days that are looked back on; and how far ahead the line goes at most. */
const SPANS = [
  { value: '28', words: 'four weeks' },
  { value: '91', words: 'three months' },
  { value: '365', words: 'a year' },
]
const AHEAD = 60

/** The days of the book, or of all books, as a picture. */
export function TallyView({
  book,
  words,
  today,
  days,
  all,
}: {
  book: Book
  words: number
  today: string
  days: readonly DayTally[]
  all: readonly DayTally[]
}) {
  const [whose, setWhose] = useState<'book' | 'all'>('book')
  const [span, setSpan] = useState('28')
  const now = dayOf(today)!
  const { pace } = book
  const from = now - Number(span) + 1
  const to =
    whose === 'book' && pace ? Math.max(now, Math.min(dayOf(pace.by)!, now + Math.min(AHEAD, Number(span)))) : now
  const shown = plotOf(whose === 'book' ? days : all, {
    ...{ from, to, today, words },
    ...(whose === 'book' && pace && { pace }),
  })
  const sum = (of: 'wrote' | 'cut'): number => shown.reduce((n, d) => n + d[of], 0)
  const at = shown.filter(d => d.wrote || d.cut).length
  return (
    <div className="galley tally">
      <p className="issaid">
        Words by day in{' '}
        <ChoiceValue
          label="Whose words"
          value={whose}
          disabled={false}
          choices={[
            { value: 'book', words: 'this book' },
            { value: 'all', words: 'all your books' },
          ]}
          onChange={v => setWhose(v as typeof whose)}
        />
        , over <ChoiceValue label="Over how long" value={span} disabled={false} choices={SPANS} onChange={setSpan} />:{' '}
        <b>{sum('wrote').toLocaleString('en')}</b> written and <b>{sum('cut').toLocaleString('en')}</b> cut on {at}{' '}
        {at === 1 ? 'day' : 'days'}.
      </p>
      <DayBars days={shown} today={today} />
      <p className="issaid">
        {whose === 'book' && pace
          ? `The line is what each day is to bring, for ${pace.target.toLocaleString('en')} words by ${dayjs(pace.by).format('D MMMM YYYY')}: it is planned anew each day from what is there.`
          : 'Bars above the line are what was written, those below what was cut; hollow ones came in otherwise.'}
      </p>
    </div>
  )
}
