'use client'
import { memo, useEffect, useRef, useState } from 'react'
import { type Book, labels, roles, shortName } from '@/core/book'
import type { DifferenceKind, ReviewDifference } from '@/core/review'
import { ActValue } from '@/parts/ActValue'
import { ordinal } from '@/parts/ordinal'
import { ChoiceValue } from '@/parts/Sentence'
import { useLatest } from '@/parts/useLatest'
import { ChangeSentence, momentOf, Words } from './ChangeSentence'
import type { Looking } from './useReturn'

/** Most changes that are listed; all of them are counted, and stepped through. */
const LISTED = 300

const kinds: readonly { kind: DifferenceKind; one: string; several: string }[] = [
  { kind: 'words', one: 'change of words', several: 'changes of words' },
  { kind: 'set', one: 'thing set otherwise', several: 'things set otherwise' },
  { kind: 'came', one: 'thing new', several: 'things new' },
  { kind: 'went', one: 'thing taken out', several: 'things taken out' },
  { kind: 'moved', one: 'thing moved', several: 'things moved' },
  { kind: 'title', one: 'title', several: 'titles' },
  { kind: 'record', one: 'thing the book says of itself', several: 'things the book says of itself' },
]

/** What came back, one change after another, and what becomes of it. */
export function ReturnList({
  book,
  looking,
  readOnly,
  onShow,
  onStep,
}: {
  book: Book
  looking: Looking
  readOnly: boolean
  onShow: (d: ReviewDifference) => void
  onStep: (by: number) => void
}) {
  const { differences, entry, now, at, trouble } = looking
  const clashes = differences?.filter(d => d.clash) ?? []
  return (
    <>
      {trouble && (
        <p className="trouble" role="alert">
          {trouble}
        </p>
      )}
      <p role="status">
        {!differences ? (
          trouble ? null : (
            'Reading …'
          )
        ) : differences.length ? (
          <>
            <b>{differences.length.toLocaleString('en')}</b> {differences.length === 1 ? 'change' : 'changes'} by{' '}
            {entry.by} that the book has not
            {clashes.length > 0 &&
              `, ${clashes.length === differences.length ? 'all' : clashes.length.toLocaleString('en')} on what you changed, too`}
            . The {ordinal(at + 1)} is shown. <ActValue words="The one before" onAct={() => onStep(-1)} /> ·{' '}
            <ActValue words="the next" onAct={() => onStep(1)} />
          </>
        ) : (
          `Nothing that ${entry.by} changed is left to decide.`
        )}
      </p>
      {now && <ChangeSentence d={now} looking={looking} readOnly={readOnly} />}
      {!readOnly && differences && <AllOf looking={looking} differences={differences} />}
      <div className="places">
        <Places book={book} looking={looking} onShow={onShow} />
      </div>
    </>
  )
}

/** Several at once: all, those that nobody else wrote at, those of a kind. */
function AllOf({ looking, differences }: { looking: Looking; differences: readonly ReviewDifference[] }) {
  const { entry, take, refuse } = looking
  const [which, setWhich] = useState<string>('free')
  const free = differences.filter(d => !d.clash)
  const groups = [
    { value: 'free', words: `the ${free.length} that you did not touch`, own: free },
    { value: 'all', words: `all ${differences.length}`, own: differences },
    ...kinds.map(({ kind, one, several }) => {
      const own = differences.filter(d => d.kind === kind)
      return { value: kind, words: own.length === 1 ? `the ${one}` : `the ${own.length} ${several}`, own }
    }),
  ].filter(g => g.own.length)
  const group = groups.find(g => g.value === which) ?? groups[0]
  return (
    <p className="allof">
      {differences.length > 1 && group && (
        <>
          Of them,{' '}
          <ChoiceValue
            label="Which of them"
            value={group.value}
            disabled={false}
            choices={groups.map(({ value, words }) => ({ value, words }))}
            onChange={setWhich}
          />
          : <ActValue words="take them" onAct={() => take(group.own)} />, or{' '}
          <ActValue words="refuse them" onAct={() => refuse(group.own)} />.{' '}
        </>
      )}
      {entry.left.length > 0 && (
        <>
          <ActValue words="Ask again" onAct={looking.askAgain} /> what you refused.{' '}
        </>
      )}
      {!differences.length && !entry.done && (
        <>
          <ActValue words="Put it away" onAct={() => looking.putAway(true)} />.
        </>
      )}
    </p>
  )
}

function Places({ book, looking, onShow }: { book: Book; looking: Looking; onShow: (d: ReviewDifference) => void }) {
  const { differences = [], now } = looking
  const names = labels(book.sections, book.data.language)
  const listed = differences.slice(0, LISTED)
  const choose = useLatest((d: ReviewDifference): void => {
    looking.step(differences.indexOf(d))
    onShow(d)
  })
  const root = useRef<HTMLDivElement>(null)
  useEffect(() => {
    root.current?.querySelector('[data-current=true]')?.scrollIntoView({ block: 'nearest' })
  }, [now])
  const groups = [
    ...book.sections.map(s => {
      const label = names.get(s.id)
      return {
        id: s.id,
        name: (label && shortName(label)) || roles[s.role].name,
        here: listed.filter(d => d.section === s.id),
      }
    }),
    { id: '', name: 'The book', here: listed.filter(d => d.section === undefined) },
  ].filter(g => g.here.length)
  return (
    <div ref={root}>
      {groups.map(({ id, name, here }) => (
        <section key={id}>
          <h3>{name}</h3>
          <ul>
            {here.map(d => (
              <Place key={d.key} d={d} current={d === now} onChoose={choose} />
            ))}
          </ul>
        </section>
      ))}
      {differences.length > LISTED && <p>… and {(differences.length - LISTED).toLocaleString('en')} more.</p>}
    </div>
  )
}

/** One of many: it is drawn anew when it says something else. */
const Place = memo(function Place({
  d,
  current,
  onChoose,
}: {
  d: ReviewDifference
  current: boolean
  onChoose: (d: ReviewDifference) => void
}) {
  return (
    <li data-current={current}>
      <button type="button" onClick={() => onChoose(d)}>
        <Words parts={d.parts.map(p => ({ ...p, text: shortened(p.text) }))} />{' '}
        <em>
          {d.about ? `${d.about}; ` : ''}
          {d.by}
          {d.when ? `, ${momentOf(d.when)}` : ''}
          {d.clash ? '; you changed it, too' : ''}
        </em>
      </button>
    </li>
  )
})

const MOST = 90
const shortened = (t: string): string => (t.length > MOST ? `${t.slice(0, MOST).trimEnd()} …` : t)
