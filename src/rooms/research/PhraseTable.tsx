'use client'
import { Select } from 'antd'
import type { KeptPhrase, PhrasePlace } from '@/core/book'
import type { PhraseFigures } from '@/core/market'

export type SortKey = 'phrase' | 'searches' | 'buyShare' | 'demand' | 'crowding' | 'room'
const columns: { key: SortKey; words: string; says: string }[] = [
  { key: 'phrase', words: 'phrase', says: '' },
  { key: 'searches', words: 'searches a month', says: 'how often readers type it' },
  { key: 'buyShare', words: 'of them buy', says: 'share of searchers who buy' },
  { key: 'demand', words: 'demand', says: 'buyers a month: searches × share' },
  {
    key: 'crowding',
    words: 'crowding',
    says: 'strength of the first ten titles, 0 to 10: rank, reviews, age, exact match',
  },
  { key: 'room', words: 'room', says: 'demand × (1 − crowding ÷ 10)' },
]
const places: { value: PhrasePlace; label: string }[] = [
  { value: 'headline', label: 'headline' },
  { value: 'support', label: 'support' },
  { value: 'slot', label: 'slot' },
  { value: 'description', label: 'description' },
]

/** By which column the phrases stand, and which way. */
export interface Sort {
  key: SortKey
  up: boolean
}

/** Phrases with their figures: each kept or not, the kept ones with a place in the listing. */
export function PhraseTable({
  phrases,
  kept,
  chosen,
  sort,
  readOnly,
  onSort,
  onKeep,
  onChoose,
  onPlace,
}: {
  phrases: readonly PhraseFigures[]
  kept: readonly KeptPhrase[]
  chosen: string | undefined
  sort: Sort
  readOnly: boolean
  onSort: (sort: Sort) => void
  onKeep: (p: PhraseFigures) => void
  onChoose: (phrase: string) => void
  onPlace: (phrase: string, to: PhrasePlace | undefined) => void
}) {
  const most = Math.max(1, ...phrases.map(p => p.demand))
  return (
    <table>
      <thead>
        <tr>
          <th className="tick">keep</th>
          {columns.map(c => (
            <th
              key={c.key}
              className={c.key}
              aria-sort={sort.key === c.key ? (sort.up ? 'ascending' : 'descending') : undefined}
            >
              <button
                type="button"
                title={c.says}
                onClick={() =>
                  onSort({
                    key: c.key,
                    up: sort.key === c.key ? !sort.up : c.key === 'phrase' || c.key === 'crowding',
                  })
                }
              >
                {c.words}
                {sort.key === c.key ? (sort.up ? ' ↑' : ' ↓') : ''}
              </button>
            </th>
          ))}
          <th>place</th>
        </tr>
      </thead>
      <tbody>
        {phrases.map(p => {
          const k = kept.find(w => w.phrase === p.phrase)
          return (
            <tr key={p.phrase} aria-selected={p.phrase === chosen}>
              <td className="tick">
                <input
                  type="checkbox"
                  aria-label={`Keep ${p.phrase}`}
                  checked={!!k}
                  onChange={() => onKeep(p)}
                  disabled={readOnly}
                />
              </td>
              <td className="phrase">
                <button type="button" onClick={() => onChoose(p.phrase)}>
                  {p.phrase}
                </button>
              </td>
              <td>{p.searches.toLocaleString('en')}</td>
              <td>{(p.buyShare * 100).toFixed(1)} %</td>
              <td className="demand">
                {p.demand.toLocaleString('en')}{' '}
                <i className="solid">
                  <b style={{ width: `${(p.demand / most) * 100}%` }} />
                </i>
              </td>
              <td className="crowding">
                {p.crowding.toFixed(1)}{' '}
                <i className="ticks">
                  <b style={{ width: `${p.crowding * 10}%` }} />
                </i>
              </td>
              <td className="room">
                <b>{p.room.toLocaleString('en')}</b>
              </td>
              <td className="place">
                {k && (
                  <Select
                    size="small"
                    variant="borderless"
                    allowClear
                    placeholder="place"
                    aria-label={`Place of ${p.phrase}`}
                    value={k.place}
                    disabled={readOnly}
                    options={places}
                    onChange={v => onPlace(p.phrase, v)}
                    popupMatchSelectWidth={130}
                    style={{ width: 104 }}
                  />
                )}
              </td>
            </tr>
          )
        })}
      </tbody>
    </table>
  )
}
