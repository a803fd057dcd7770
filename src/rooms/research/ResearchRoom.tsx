'use client'
import { Button, Input, type InputRef, Segmented, Select } from 'antd'
import { useLiveQuery } from 'dexie-react-hooks'
import Papa from 'papaparse'
import { useSearchParams } from 'next/navigation'
import { useMemo, useRef, useState } from 'react'
import type { KeptPhrase, PhrasePlace } from '@/core/book'
import { markets, type PhraseFigures } from '@/core/market'
import { formatMoney } from '@/core/trade'
import { listBooks } from '@/data/bookList'
import { redo, undo } from '@/data/changes'
import { keepQuestion, type LastQuestion, lastQuestion } from '@/data/research'
import { saveAs } from '@/parts/saveAs'
import { Sill } from '@/parts/Sill'
import { Field } from './Field'
import { Placed } from './Placed'
import { askPhrases, askTitles, type ShownTitle } from './marketClient'
import './research.css'
import { useSay } from '@/parts/useSay'
import { useCommit } from '@/parts/useCommit'
import { isTyping, useKeys } from '@/parts/useKeys'
import { useHold } from '@/parts/useHold'
import { useAnswer } from '@/parts/useAnswer'
import { useOutlets } from '@/parts/useOutlets'

type SortKey = 'phrase' | 'searches' | 'buyShare' | 'demand' | 'crowding' | 'room'
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

/** Research: a word gives the phrases readers search for, measured; the good ones are kept and placed in the listing. */
export function ResearchRoom() {
  const asked = useSearchParams().get('book')
  const books = useLiveQuery(listBooks)
  const outlets = useOutlets()
  const remembered = useLiveQuery(lastQuestion)
  const [choice, setChoice] = useState<LastQuestion>({})
  const market = choice.market ?? remembered?.market ?? markets[0].id
  const word = choice.word ?? remembered?.word ?? ''
  const bookId = choice.book ?? asked ?? remembered?.book ?? books?.[0]?.id
  const book = books?.find(b => b.id === bookId) ?? books?.[0]
  const [draft, setDraft] = useState<string>()
  const [chosen, setChosen] = useState<string>()
  const [sort, setSort] = useState<{ key: SortKey; up: boolean }>({ key: 'room', up: false })
  const [list, setList] = useState<'related' | 'kept'>('related')
  const find = useRef<InputRef>(null)
  const say = useSay()
  const commit = useCommit(book?.id ?? '')
  const follows = useHold(book?.id) === 'following'

  const choose = (patch: typeof choice): void => {
    const next = { market, word, ...(book ? { book: book.id } : {}), ...choice, ...patch }
    setChoice(next)
    void keepQuestion(next).catch(say.failed)
  }

  // An empty question has the marketplace made while the author still thinks of a word.
  const { answer: size, trouble: unmade } = useAnswer(async () => askPhrases(markets[0].id, ''), [])
  const { answer, trouble: unasked } = useAnswer(
    async () => (word ? { key: `${market}/${word}`, phrases: (await askPhrases(market, word)).phrases } : undefined),
    [market, word],
  )
  const { answer: titles, trouble: untitled } = useAnswer(
    async () => (chosen ? { phrase: chosen, titles: (await askTitles(market, chosen)).titles } : undefined),
    [market, chosen],
  )
  const trouble = unmade ?? unasked ?? untitled
  const busy = !!word && !trouble && answer?.key !== `${market}/${word}`

  useKeys(e => {
    if (isTyping(e)) return
    if (e.key === '/') {
      e.preventDefault()
      find.current?.focus()
    }
    if (book && (e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'z') {
      e.preventDefault()
      void (e.shiftKey ? redo : undo)(book.id).catch(say.failed)
    }
  })

  const kept = useMemo(() => book?.words ?? [], [book])
  const keptSet = useMemo(() => new Set(kept.map(k => k.phrase)), [kept])
  const shown = useMemo(() => {
    const phrases: (PhraseFigures & { note?: string; place?: PhrasePlace })[] =
      list === 'kept'
        ? kept.map(k => ({
            phrase: k.phrase,
            niche: '',
            searches: k.searches,
            buyShare: k.searches ? k.demand / k.searches : 0,
            demand: k.demand,
            crowding: k.crowding,
            room: Math.round(k.demand * (1 - k.crowding / 10)),
            price: 0,
          }))
        : (answer?.phrases ?? [])
    return [...phrases].sort(
      (a, b) => (a[sort.key] < b[sort.key] ? -1 : a[sort.key] > b[sort.key] ? 1 : 0) * (sort.up ? 1 : -1),
    )
  }, [answer, kept, list, sort])

  const change = (label: string, words: (w: KeptPhrase[]) => KeptPhrase[]): void =>
    void (book && commit(label, r => ({ words: words(r.words ?? []) })))
  const keep = (p: PhraseFigures): void =>
    keptSet.has(p.phrase)
      ? change(`Let go of “${p.phrase}”`, w => w.filter(k => k.phrase !== p.phrase))
      : change(`Keep “${p.phrase}”`, w => [
          ...w,
          { phrase: p.phrase, market, searches: p.searches, demand: p.demand, crowding: p.crowding },
        ])
  const place = (phrase: string, to: PhrasePlace | undefined): void =>
    change(to ? `“${phrase}”: ${to}` : `“${phrase}” without a place`, w =>
      w.map(k => (k.phrase === phrase ? { ...k, place: to } : k)),
    )
  const note = (phrase: string, text: string): void =>
    change(`Note on “${phrase}”`, w => w.map(k => (k.phrase === phrase ? { ...k, note: text || undefined } : k)))
  const exported = (): void =>
    saveAs(
      Papa.unparse(
        kept.map(k => ({
          phrase: k.phrase,
          market: k.market,
          searches: k.searches,
          demand: k.demand,
          crowding: k.crowding,
          room: Math.round(k.demand * (1 - k.crowding / 10)),
          place: k.place ?? '',
          note: k.note ?? '',
        })),
      ),
      `${book?.id ?? 'shortlist'}-phrases.csv`,
      'text/csv',
    )

  const max = { demand: Math.max(1, ...shown.map(p => p.demand)) }
  return (
    <>
      <main id="room" className="room research">
        <header className="topline">
          <h1>Research</h1>
          <span className="for">
            for{' '}
            <Select
              variant="borderless"
              size="small"
              aria-label="Book"
              value={book?.id}
              options={(books ?? []).map(b => ({ value: b.id, label: b.data.title }))}
              onChange={id => choose({ book: id })}
              popupMatchSelectWidth={260}
              style={{ minWidth: 180 }}
            />
          </span>
        </header>
        <div className="desk">
          <section className="work">
            <div className="ask">
              <Input
                ref={find}
                aria-label="A word or phrase"
                placeholder="a word readers might type ( / )"
                value={draft ?? word}
                onChange={e => setDraft(e.target.value)}
                onPressEnter={() => {
                  choose({ word: (draft ?? word).trim() })
                  setDraft(undefined)
                  setList('related')
                }}
                onBlur={() => setDraft(undefined)}
                onKeyDown={e => e.key === 'Escape' && setDraft(undefined)}
                style={{ width: 270 }}
              />
              <span>
                readers in{' '}
                <Select
                  variant="borderless"
                  size="small"
                  aria-label="Market"
                  value={market}
                  options={markets.map(m => ({ value: m.id as string, label: m.name }))}
                  onChange={m => choose({ market: m })}
                  popupMatchSelectWidth={150}
                />
              </span>
              <Segmented
                size="small"
                options={[
                  { label: `related${answer ? ` ${answer.phrases.length}` : ''}`, value: 'related' },
                  { label: `kept ${kept.length}`, value: 'kept' },
                ]}
                value={list}
                onChange={setList}
              />
              {follows && <span role="status">Another window writes this book: what is kept can be read here.</span>}
              {trouble && (
                <span className="trouble" role="alert">
                  {trouble}
                </span>
              )}
            </div>
            {shown.length > 0 && <Field phrases={shown} kept={keptSet} chosen={chosen} onChoose={setChosen} />}
            {!shown.length && !busy && (
              <div className="empty">
                {list === 'kept' ? (
                  <>
                    <h2>Nothing kept yet</h2>
                    <p>Keep phrases from the list of related ones: they are remembered with this book.</p>
                  </>
                ) : word ? (
                  <>
                    <h2>Nobody searches for that</h2>
                    <p>
                      Try a broader word: what the book is about (tide, harbour, apiary), or its form (mystery, log
                      book, puzzle book).
                    </p>
                  </>
                ) : (
                  <>
                    <h2>Begin with a broad word</h2>
                    <p>
                      What the book is about, or what it is:{' '}
                      <button type="button" onClick={() => choose({ word: 'lighthouse' })}>
                        lighthouse
                      </button>
                      ,{' '}
                      <button type="button" onClick={() => choose({ word: 'mystery' })}>
                        mystery
                      </button>
                      ,{' '}
                      <button type="button" onClick={() => choose({ word: 'log book' })}>
                        log book
                      </button>
                      . You get the phrases readers type, how many of them buy, and how crowded the first page is.
                    </p>
                  </>
                )}
              </div>
            )}
            {shown.length > 0 && (
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
                            setSort(s => ({
                              key: c.key,
                              up: s.key === c.key ? !s.up : c.key === 'phrase' || c.key === 'crowding',
                            }))
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
                  {shown.map(p => {
                    const k = kept.find(w => w.phrase === p.phrase)
                    return (
                      <tr key={p.phrase} aria-selected={p.phrase === chosen}>
                        <td className="tick">
                          <input
                            type="checkbox"
                            aria-label={`Keep ${p.phrase}`}
                            checked={!!k}
                            onChange={() => keep(p)}
                            disabled={!book || follows}
                          />
                        </td>
                        <td className="phrase">
                          <button type="button" onClick={() => setChosen(p.phrase)}>
                            {p.phrase}
                          </button>
                        </td>
                        <td>{p.searches.toLocaleString('en')}</td>
                        <td>{(p.buyShare * 100).toFixed(1)} %</td>
                        <td className="demand">
                          {p.demand.toLocaleString('en')}{' '}
                          <i className="solid">
                            <b style={{ width: `${(p.demand / max.demand) * 100}%` }} />
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
                              disabled={follows}
                              options={places}
                              onChange={v => place(p.phrase, v)}
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
            )}
          </section>
          <aside aria-label="Places and titles">
            {chosen && titles?.phrase === chosen && (
              <First
                titles={titles}
                phrase={chosen}
                note={kept.find(k => k.phrase === chosen)?.note}
                kept={keptSet.has(chosen)}
                readOnly={follows}
                onNote={t => note(chosen, t)}
                onClose={() => setChosen(undefined)}
              />
            )}
            {!chosen && <Placed book={book} outlets={outlets ?? []} kept={kept} onExport={exported} />}
          </aside>
        </div>
      </main>
      <Sill
        figures={[
          { name: 'Kept', value: answer ? `${kept.length} of ${answer.phrases.length}` : String(kept.length) },
          { name: 'Placed', value: String(kept.filter(k => k.place).length) },
          { name: 'Market', value: markets.find(m => m.id === market)?.name ?? '' },
          ...(size
            ? [{ name: 'Simulated', value: `${size.titles.toLocaleString('en')} titles in ${size.niches} niches` }]
            : []),
        ]}
        asks={
          trouble ??
          (busy
            ? 'asking …'
            : kept.length && !kept.some(k => k.place === 'headline')
              ? 'No phrase heads the title yet'
              : undefined)
        }
      />
    </>
  )
}

/** The first page of a phrase: who holds it, and how fast. */
function First({
  titles,
  phrase,
  note,
  kept,
  readOnly,
  onNote,
  onClose,
}: {
  titles: { titles: ShownTitle[] }
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
        {titles.titles.map(t => (
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
