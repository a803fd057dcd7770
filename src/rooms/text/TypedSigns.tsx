'use client'
import { Button } from 'antd'
import { memo, useState } from 'react'
import { type Book, type DoubtfulPlace, type SignHabit, signHabits, turnedSigns, typedSigns } from '@/core/book'

/** Typed signs of the whole book, a kind at a time turned into the language's own in one step; what was guessed is listed to be looked at. */
export const TypedSigns = memo(function TypedSigns({
  book,
  readOnly,
  onTurn,
  onGo,
}: {
  book: Book
  readOnly: boolean
  onTurn: (name: string, operation: (b: Book) => Book) => void
  onGo: (place: { section: string; block: string }) => void
}) {
  const [doubtful, setDoubtful] = useState<(DoubtfulPlace & { section: string })[]>([])
  const { language } = book.data
  const written = book.sections.filter(s => !s.made)
  const found = signHabits
    .map(habit => ({ habit, count: written.reduce((n, s) => n + typedSigns(habit, s.doc, language).count, 0) }))
    .filter(f => f.count)
  const turn = (habit: SignHabit): void => {
    const guessed = written.flatMap(s =>
      turnedSigns(habit, s.doc, language).doubtful.map(d => ({ ...d, section: s.id })),
    )
    setDoubtful(d => [...d, ...guessed])
    onTurn(`Turn ${habit.name[1]}`, b => ({
      ...b,
      sections: b.sections.map(s => (s.made ? s : { ...s, doc: turnedSigns(habit, s.doc, language).doc })),
    }))
  }
  if (!found.length && !doubtful.length) return null
  return (
    <div className="quotes">
      <p className="typed">
        {found.map(({ habit, count }) => (
          <Button key={habit.id} type="link" size="small" disabled={readOnly} onClick={() => turn(habit)}>
            Turn {count.toLocaleString('en')} {habit.name[count === 1 ? 0 : 1]} into {habit.becomes(language)}
          </Button>
        ))}
      </p>
      {doubtful.length > 0 && (
        <>
          <h2>Signs that were guessed</h2>
          <ul>
            {doubtful.map((d, i) => (
              <li key={i}>
                <button type="button" onClick={() => onGo(d)}>
                  {d.words}
                </button>
              </li>
            ))}
          </ul>
          <Button size="small" type="text" onClick={() => setDoubtful([])}>
            They are right
          </Button>
        </>
      )}
    </div>
  )
})
