'use client'
import { Button, Input } from 'antd'
import { formatMoney } from '@/core/trade'
import type { ShownTitle } from '@/parts/marketClient'

/** The first page of a phrase: who holds it, and how fast. */
export function FirstPage({
  titles,
  phrase,
  note,
  kept,
  readOnly,
  onNote,
  onClose,
}: {
  titles: ShownTitle[]
  phrase: string
  note: string | undefined
  kept: boolean
  readOnly: boolean
  onNote: (text: string) => void
  onClose: () => void
}) {
  return (
    <>
      <div className="head">
        <h2>{phrase}</h2>
        <Button size="small" type="text" onClick={onClose}>
          Back to places
        </Button>
      </div>
      <p className="quiet">Its first page. A title’s strength: rank 0.4, reviews 0.3, age 0.1, exact match 0.2.</p>
      {kept && (
        <Input.TextArea
          key={phrase}
          aria-label={`Note on ${phrase}`}
          placeholder="a note of your own"
          defaultValue={note}
          autoSize={{ minRows: 1, maxRows: 4 }}
          readOnly={readOnly}
          onBlur={e => e.target.value !== (note ?? '') && onNote(e.target.value)}
        />
      )}
      <ol className="first">
        {titles.map(t => (
          <li key={t.title + t.author}>
            <b>{t.title}</b> <span>{t.author}</span>
            <i className="solid">
              <b style={{ width: `${t.strength * 100}%` }} />
            </i>
            <em>
              rank {t.rank.toLocaleString('en')} · about {t.copies.toLocaleString('en')} a month · {t.reviews} reviews ·{' '}
              {t.age} months · {formatMoney(t.price, 'USD')} · {t.pages} pp
            </em>
          </li>
        ))}
      </ol>
    </>
  )
}
