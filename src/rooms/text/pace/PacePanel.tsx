'use client'
import dayjs from 'dayjs'
import { isoOf, dayOf } from '@/core/activity'
import type { Book, Pace } from '@/core/book'
import { type DayTally, type Sitting, type Standing, standingOf } from '@/core/pace'
import { setPace } from '@/data/pace'
import { ActValue } from '@/parts/ActValue'
import { DateValue } from '@/parts/DateValue'
import { NumberValue } from '@/parts/Sentence'
import { SeveralValue } from '@/parts/SeveralValue'
import { useSay } from '@/parts/useSay'
import { PanelFrame } from '../PanelFrame'
import { SittingSentence } from './SittingSentence'
import type { SittingTimer } from './useSittingTimer'

interface Told {
  book: Book
  /** Words of the book now. */
  words: number
  /** "2026-11-29". */
  today: string
  days: readonly DayTally[]
  readOnly: boolean
}

/** How the book gets on: its target, today, and the sittings. */
export function PacePanel({
  timer,
  pictured,
  onPicture,
  onClose,
  ...told
}: Told & {
  timer: SittingTimer
  pictured: boolean
  onPicture: (shown: boolean) => void
  onClose: () => void
}) {
  const { book, words, today, days } = told
  const { pace } = book
  const standing = pace && standingOf(pace, { today, words, tallies: days })
  return (
    <PanelFrame name="Pace" kind="pacing" close="Close the pace" onClose={onClose}>
      <PaceSentence {...told} />
      {standing && <Stands standing={standing} pace={pace} words={words} />}
      <Today days={days} today={today} />
      <p>
        <ActValue words={pictured ? 'Back to the text' : 'See it day by day'} onAct={() => onPicture(!pictured)} />.
      </p>
      <h3>Sittings</h3>
      <SittingSentence timer={timer} words={words} />
      <Sittings days={days} />
    </PanelFrame>
  )
}

const LEAST = 100
const MOST = 5_000_000
/** A first pace gives so many words more, in so many days. */
const FIRST_WORDS = 50_000
const FIRST_DAYS = 120
const STEP = 1000
const WEEK = [
  ...['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'].map((words, i) => ({
    value: String(i + 1),
    words,
  })),
  { value: '0', words: 'Sunday' },
]

/** How long the book is to be, by when, and when it is written. */
function PaceSentence({ book, words, today, readOnly }: Told) {
  const say = useSay()
  const { pace } = book
  const put = (next: Pace | undefined): void => void setPace(book.id, next).catch(say.failed)
  const first = (): Pace => ({
    target: Math.ceil((words + FIRST_WORDS) / STEP) * STEP,
    by: isoOf(dayOf(today)! + FIRST_DAYS),
    since: today,
    days: [1, 2, 3, 4, 5],
  })
  if (!pace)
    return readOnly ? (
      <p>No target is set.</p>
    ) : (
      <p>
        No target is set: what you write and cut is counted all the same.{' '}
        <ActValue words="Set one" onAct={() => put(first())} />.
      </p>
    )
  const set = (patch: Partial<Pace>): void => put({ ...pace, ...patch })
  return (
    <fieldset disabled={readOnly} className="plainset">
      <p>
        The book is to have{' '}
        <NumberValue
          label="Words that it is to have"
          value={pace.target}
          least={LEAST}
          most={MOST}
          form={{ factor: 1, step: STEP, digits: 0, unit: 'words' }}
          onChange={target => set({ target })}
        />{' '}
        by <DateValue label="The last day" value={pace.by} onChange={by => set({ by })} />, written on{' '}
        <SeveralValue
          label="Writing days"
          none="no day"
          value={pace.days.map(String)}
          choices={WEEK}
          counted={n => daysInWords(pace.days, n)}
          onChange={days => set({ days: days.map(Number).sort((a, b) => a - b) })}
        />
        . <ActValue words="No target any more" off={readOnly} onAct={() => put(undefined)} />.
      </p>
    </fieldset>
  )
}

/** Days of the week in few words. */
function daysInWords(days: readonly number[], n: number): string {
  if (n === 7) return 'every day'
  const said = [...days]
    .sort((a, b) => ((a + 6) % 7) - ((b + 6) % 7))
    .map(d => WEEK.find(w => w.value === String(d))!.words)
  if (n === 5 && said[0] === 'Monday' && said[4] === 'Friday') return 'Monday to Friday'
  return n > 3 ? said.map(d => d.slice(0, 3)).join(', ') : said.join(', ')
}

const some = (n: number, one = 'word', several = 'words'): string =>
  `${n.toLocaleString('en')} ${n === 1 ? one : several}`
const dayWords = (iso: string): string => dayjs(iso).format('D MMMM YYYY')

/** How it stands, planned anew today. */
function Stands({ standing: s, pace, words }: { standing: Standing; pace: Pace; words: number }) {
  if (s.state === 'there')
    return (
      <p role="status">
        <b>It is there</b>: {some(words)}, {some(words - pace.target)} over.
      </p>
    )
  if (s.state === 'over')
    return (
      <p role="status">
        <b>{some(s.left)} are missing</b>, and no writing day is left until {dayWords(pace.by)}.
      </p>
    )
  const late = s.endsOn === undefined ? 0 : dayOf(s.endsOn)! - dayOf(pace.by)!
  return (
    <>
      <p role="status">
        {s.share > 0 ? (
          <>
            <b>
              Today {s.done.toLocaleString('en')} of {s.share.toLocaleString('en')}.
            </b>{' '}
          </>
        ) : (
          'Today nothing is planned. '
        )}
        {some(s.left)} to go on {some(s.days, 'writing day', 'writing days')}
        {s.after !== undefined && <>; {some(s.after)} a day from tomorrow</>}.
      </p>
      {s.share > 0 && (
        <progress aria-label="Of today’s words" max={s.share} value={Math.max(0, Math.min(s.share, s.done))} />
      )}
      {s.endsOn && (
        <p>
          As the last four weeks went, it is done on {dayWords(s.endsOn)}
          {late === 0
            ? ', on the day'
            : late > 0
              ? `, ${some(late, 'day', 'days')} late`
              : `, ${some(-late, 'day', 'days')} early`}
          .
        </p>
      )}
    </>
  )
}

/** What today brought, and what was cut of it. */
function Today({ days, today }: { days: readonly DayTally[]; today: string }) {
  const t = days.find(d => d.day === today)
  if (!t || !(t.wrote || t.cut || t.came)) return <p>Nothing is written today yet.</p>
  const parts = [
    ...(t.wrote ? [`you wrote ${some(t.wrote)}`] : []),
    ...(t.cut ? [`cut ${t.cut.toLocaleString('en')}`] : []),
    ...(t.came ? [`${t.came.toLocaleString('en')} came in otherwise`] : []),
  ]
  return <p>Today {parts.join(', ')}.</p>
}

const LISTED = 8
const MINUTE = 60_000

/** The last sittings, as the text was written. */
function Sittings({ days }: { days: readonly DayTally[] }) {
  const last = days
    .flatMap(d => d.sittings)
    .slice(-LISTED)
    .reverse()
  if (!last.length) return <p>Sittings are timed by themselves, from the first word to a rest of ten minutes.</p>
  return (
    <ul className="sittings">
      {last.map(s => (
        <li key={s.from}>
          <span>
            {dayjs(s.from).format('D MMM, H:mm')}–{dayjs(s.to).format('H:mm')}
          </span>
          <em>{said(s)}</em>
        </li>
      ))}
    </ul>
  )
}

function said({ from, to, wrote, cut }: Sitting): string {
  const minutes = Math.max(1, Math.round((to - from) / MINUTE))
  return `${some(minutes, 'minute', 'minutes')}, ${some(wrote)}${cut ? `, ${cut.toLocaleString('en')} cut` : ''}`
}
