'use client'
import { Button, Input, type InputRef, Segmented, Select } from 'antd'
import { useLiveQuery } from 'dexie-react-hooks'
import { useSearchParams } from 'next/navigation'
import { useMemo, useRef, useState } from 'react'
import { markets } from '@/core/market'
import { formatMoney } from '@/core/trade'
import { listBooks } from '@/data/bookList'
import { redo, undo } from '@/data/changes'
import { keepQuestion, type LastQuestion, lastQuestion } from '@/data/research'
import { Sill } from '@/parts/Sill'
import { Field } from './Field'
import { NoPhrases } from './NoPhrases'
import { PhraseTable, type Sort } from './PhraseTable'
import { Placed } from './Placed'
import { figuresOf, useShortlist } from './useShortlist'
import { askPhrases, askTitles, type ShownTitle } from './marketClient'
import './research.css'
import { useSay } from '@/parts/useSay'
import { isTyping, useKeys } from '@/parts/useKeys'
import { useHold } from '@/parts/useHold'
import { useAnswer } from '@/parts/useAnswer'
import { useOutlets } from '@/parts/useOutlets'

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
  const [sort, setSort] = useState<Sort>({ key: 'room', up: false })
  const [list, setList] = useState<'related' | 'kept'>('related')
  const find = useRef<InputRef>(null)
  const say = useSay()
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

  const { kept, keptSet, keep, place, note, save } = useShortlist(book, market)
  const shown = useMemo(() => {
    const phrases = list === 'kept' ? kept.map(figuresOf) : (answer?.phrases ?? [])
    return [...phrases].sort(
      (a, b) => (a[sort.key] < b[sort.key] ? -1 : a[sort.key] > b[sort.key] ? 1 : 0) * (sort.up ? 1 : -1),
    )
  }, [answer, kept, list, sort])

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
              <NoPhrases kept={list === 'kept'} asked={!!word} onWord={w => choose({ word: w })} />
            )}
            {shown.length > 0 && (
              <PhraseTable
                phrases={shown}
                kept={kept}
                chosen={chosen}
                sort={sort}
                readOnly={!book || follows}
                onSort={setSort}
                onKeep={keep}
                onChoose={setChosen}
                onPlace={place}
              />
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
            {!chosen && <Placed book={book} outlets={outlets ?? []} kept={kept} onExport={save} />}
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
