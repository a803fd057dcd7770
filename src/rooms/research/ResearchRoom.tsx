'use client'
import { Segmented, Select } from 'antd'
import { useMemo, useState } from 'react'
import { markets } from '@/core/market'
import { redo, undo } from '@/data/changes'
import { Sill } from '@/parts/Sill'
import { useHold } from '@/parts/useHold'
import { isTyping, useKeys } from '@/parts/useKeys'
import { useOutlets } from '@/parts/useOutlets'
import { useSay } from '@/parts/useSay'
import { Ask } from './Ask'
import { Field } from './Field'
import { FirstPage } from './FirstPage'
import { NoPhrases } from './NoPhrases'
import { PhraseTable, type Sort } from './PhraseTable'
import { Placed } from './Placed'
import { useMarketAnswers, useQuestion } from './useQuestion'
import { figuresOf, useShortlist } from './useShortlist'
import './research.css'

/** Research: a word gives the phrases readers search for, measured; the good ones are kept and placed in the listing. */
export function ResearchRoom() {
  const { books, book, market, word, choose } = useQuestion()
  const outlets = useOutlets()
  const [chosen, setChosen] = useState<string>()
  const [sort, setSort] = useState<Sort>({ key: 'room', up: false })
  const [list, setList] = useState<'related' | 'kept'>('related')
  const follows = useHold(book?.id) === 'following'
  const { size, phrases, titles, trouble, busy } = useMarketAnswers(market, word, chosen)
  const { kept, keptSet, keep, place, note, save } = useShortlist(book, market)
  useUndoKeys(book?.id)
  const shown = useMemo(() => {
    const listed = list === 'kept' ? kept.map(figuresOf) : (phrases ?? [])
    const order = (x: string | number, y: string | number): number => (x < y ? -1 : x > y ? 1 : 0)
    return [...listed].sort((a, b) => order(a[sort.key], b[sort.key]) * (sort.up ? 1 : -1))
  }, [phrases, kept, list, sort])

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
              options={books.map(b => ({ value: b.id, label: b.data.title }))}
              onChange={id => choose({ book: id })}
              popupMatchSelectWidth={260}
              style={{ minWidth: 180 }}
            />
          </span>
        </header>
        <div className="desk">
          <section className="work">
            <div className="ask">
              <Ask
                word={word}
                market={market}
                onWord={w => {
                  choose({ word: w })
                  setList('related')
                }}
                onMarket={m => choose({ market: m })}
              />
              <Segmented
                size="small"
                options={[
                  { label: `related${phrases ? ` ${phrases.length}` : ''}`, value: 'related' },
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
            {chosen && titles && (
              <FirstPage
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
          { name: 'Kept', value: phrases ? `${kept.length} of ${phrases.length}` : String(kept.length) },
          { name: 'Placed', value: String(kept.filter(k => k.place).length) },
          { name: 'Market', value: markets.find(m => m.id === market)?.name ?? '' },
          ...(size
            ? [{ name: 'Simulated', value: `${size.titles.toLocaleString('en')} titles in ${size.niches} niches` }]
            : []),
        ]}
        asks={trouble ?? (busy ? 'asking …' : headless(kept) ? 'No phrase heads the title yet' : undefined)}
      />
    </>
  )
}

const headless = (kept: readonly { place?: string }[]): boolean =>
  kept.length > 0 && !kept.some(k => k.place === 'headline')

/** What is kept and placed is the book's: its undo takes it back. */
function useUndoKeys(bookId: string | undefined): void {
  const say = useSay()
  useKeys(e => {
    if (isTyping(e) || !bookId || !(e.ctrlKey || e.metaKey) || e.key.toLowerCase() !== 'z') return
    e.preventDefault()
    void (e.shiftKey ? redo : undo)(bookId).catch(say.failed)
  })
}
