'use client'
import { Button } from 'antd'
import { memo, useState } from 'react'
import { type Book, docWithQuotes, type DoubtfulQuote, quotesOf, straightQuotes } from '@/core/book'

/** Typed quotes of the whole book, turned into the language's own in one step; what was guessed is listed to be looked at. */
export const TypedQuotes = memo(function TypedQuotes({
  book,
  readOnly,
  onTurn,
  onGo,
}: {
  book: Book
  readOnly: boolean
  onTurn: (operation: (b: Book) => Book) => void
  onGo: (place: { section: string; block: string }) => void
}) {
  const [doubtful, setDoubtful] = useState<(DoubtfulQuote & { section: string })[]>([])
  const { language } = book.data
  const count = book.sections.reduce((n, s) => n + (s.made ? 0 : straightQuotes(s.doc).count), 0)
  const { double, apart = '' } = quotesOf(language)
  const turn = (): void => {
    setDoubtful(
      book.sections.flatMap(s =>
        s.made ? [] : docWithQuotes(s.doc, language).doubtful.map(d => ({ ...d, section: s.id })),
      ),
    )
    onTurn(b => ({
      ...b,
      sections: b.sections.map(s => (s.made ? s : { ...s, doc: docWithQuotes(s.doc, language).doc })),
    }))
  }
  if (!count && !doubtful.length) return null
  return (
    <div className="quotes">
      {count > 0 && (
        <Button size="small" disabled={readOnly} onClick={turn}>
          Turn {count.toLocaleString('en')} typed {count === 1 ? 'quote' : 'quotes'} into {double[0]}
          {apart} {apart}
          {double[1]}
        </Button>
      )}
      {doubtful.length > 0 && (
        <>
          <h2>Quotes that were guessed</h2>
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
