'use client'
import { Select } from 'antd'
import dayjs from 'dayjs'
import type { Choice, Compared } from '@/data/backup'

const options: { value: Choice; label: string }[] = [
  { value: 'beside', label: 'goes beside what is here' },
  { value: 'instead', label: 'takes the place of what is here' },
  { value: 'leave', label: 'is left in the backup' },
]

/** What is done with a book where the author says nothing: nothing is replaced unasked. */
export const firstChoice = (b: Compared): Choice => (!b.here ? 'instead' : b.same ? 'leave' : 'beside')

/** One book of a backup against what stands here, in sentences; what is done with it is said in the last one. */
export function Comparison({
  book,
  choice,
  onChoose,
}: {
  book: Compared
  choice: Choice
  onChoose: (c: Choice) => void
}) {
  const { here, theirs, same } = book
  const day = (at: number | undefined): string =>
    at === undefined ? 'a day it does not say' : dayjs(at).format('D MMM YYYY, HH:mm')
  const words = (n: number): string => `${n.toLocaleString('en')} ${n === 1 ? 'word' : 'words'}`
  return (
    <li>
      <h4>{book.title}</h4>
      {!here && (
        <p>
          Comes new: {words(theirs.words)}
          {theirs.changed !== undefined && <>, last changed {day(theirs.changed)}</>}.
        </p>
      )}
      {here && same && <p>Stands here letter for letter{here.takenDown ? ', though it was taken down' : ''}.</p>}
      {here && !same && (
        <>
          <p>
            Here: {words(here.words)}, last changed {day(here.changed)}
            {here.takenDown ? '; taken down' : ''}.
          </p>
          <p>
            In the backup: {words(theirs.words)}, of {day(theirs.changed)}.
          </p>
          {theirs.changed !== undefined && (
            <p>
              <b>{newer(here.changed!, theirs.changed)}</b>
            </p>
          )}
        </>
      )}
      {here && (
        <p>
          It{' '}
          <Select<Choice>
            variant="borderless"
            size="small"
            suffixIcon={null}
            popupMatchSelectWidth={false}
            aria-label={`${book.title}: where it goes`}
            value={choice}
            options={options}
            onChange={onChoose}
          />
          <span className="quiet">
            {choice === 'beside'
              ? `, as “${book.title} (from a backup)”.`
              : choice === 'instead'
                ? '; that is kept as a version.'
                : '.'}
          </span>
        </p>
      )}
    </li>
  )
}

/** "What is here is newer by 3 days." */
function newer(here: number, theirs: number): string {
  const apart = Math.abs(here - theirs)
  const span =
    apart < 60_000
      ? 'less than a minute'
      : apart < 5_400_000
        ? `${Math.round(apart / 60_000)} minutes`
        : apart < 172_800_000
          ? `${Math.round(apart / 3_600_000)} hours`
          : `${Math.round(apart / 86_400_000)} days`
  return here === theirs
    ? 'Both were last changed at the same moment.'
    : `What is ${here > theirs ? 'here' : 'in the backup'} is newer by ${span}.`
}
