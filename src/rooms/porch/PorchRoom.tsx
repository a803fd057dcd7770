'use client'
import { Button, Input, type InputRef } from 'antd'
import dynamic from 'next/dynamic'
import { useCallback, useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react'
import { loadDemoOnce } from '@/data/demo'
import { putBackUp, takeDown } from '@/data/removal'
import { FilePick } from '@/parts/FilePick'
import { Lamp, lampWords } from '@/parts/Lamp'
import { useAnswer } from '@/parts/useAnswer'
import { isTyping, useKeys } from '@/parts/useKeys'
import { useSay } from '@/parts/useSay'
import { press } from '@/workers/client'
import { askPress } from './askPress'
import { type Group, groupsOf } from './groups'
import { Looks } from './looks'
import { PorchSill } from './PorchSill'
import { Row } from './Row'
import { useBringIn } from './useBringIn'
import { type Entry, useEntries } from './useEntries'
import './porch.css'

// What is not seen at first is loaded when it is wanted: books that were taken down, and the sentence that begins one.
const TakenDown = dynamic(() => import('./TakenDown').then(m => m.TakenDown), { ssr: false })
const BeginBook = dynamic(() => import('./BeginBook').then(m => m.BeginBook), { ssr: false })

/** The porch: all books by series and imprint, with what each needs next. */
export function PorchRoom() {
  const { entries, looks, resting, trouble } = useBooks()
  const [query, setQuery] = useState('')
  const [beginning, setBeginning] = useState(false)
  const [over, setOver] = useState(false)
  const search = useRef<InputRef>(null)
  const begin = useRef<HTMLButtonElement>(null)
  const take = useBringIn()
  useKeys(e => {
    if (e.key !== '/' || isTyping(e)) return
    e.preventDefault()
    search.current?.focus()
  })
  const groups = useMemo(() => groupsOf(entries ?? [], query), [entries, query])

  return (
    <>
      <main
        id="room"
        className={`room porch${over ? ' over' : ''}`}
        onDragOver={e => {
          e.preventDefault()
          setOver(true)
        }}
        onDragLeave={() => setOver(false)}
        onDrop={e => {
          e.preventDefault()
          setOver(false)
          void take(e.dataTransfer.files)
        }}
      >
        <header className="topline">
          <h1>Porch</h1>
          <Input
            ref={search}
            className="find"
            placeholder="Find a book ( / )"
            aria-label="Find a book"
            value={query}
            onChange={e => setQuery(e.target.value)}
            allowClear
          />
          <FilePick
            label="Manuscript file"
            // Whatever is chosen, the reader says what it is, and how it can be brought in.
            accept=""
            multiple
            onPick={files => void take(files)}
          >
            {pick => <Button onClick={pick}>Bring in a manuscript</Button>}
          </FilePick>
          <Button
            ref={begin}
            type={beginning ? 'default' : 'primary'}
            aria-expanded={beginning}
            onClick={() => setBeginning(true)}
          >
            New book
          </Button>
        </header>
        {beginning && (
          <BeginBook
            onClose={() => {
              setBeginning(false)
              begin.current?.focus()
            }}
          />
        )}
        <div className="stacks">
          {trouble && (
            <p className="trouble" role="alert">
              {trouble}
            </p>
          )}
          {entries ? (
            <Books groups={groups} looks={looks} any={entries.length > 0} />
          ) : (
            <p className="waiting" role="status">
              Lighting the lamps …
            </p>
          )}
          {resting.length > 0 && <TakenDown books={resting} />}
          {!!entries?.length && <Legend />}
        </div>
      </main>
      <PorchSill entries={entries} looks={looks} />
    </>
  )
}

/** The books as the store has them, the demo's among them at the first visit, and the press looking at each. */
function useBooks(): {
  entries?: Entry[]
  looks: Looks
  resting: ReturnType<typeof useEntries>['resting']
  trouble?: string
} {
  const { entries, resting } = useEntries()
  const [looks] = useState(() => new Looks(askPress()))
  const { answer: ready } = useAnswer(
    () =>
      loadDemoOnce(press())
        .catch(looks.fail)
        .then(() => true),
    [looks],
  )
  const troubled = (): string | undefined => looks.now().trouble
  const trouble = useSyncExternalStore(looks.onAny, troubled, troubled)
  useEffect(() => looks.attend(), [looks])
  useEffect(() => entries && looks.see(entries), [looks, entries])
  return { looks, resting, trouble, ...(entries && (ready || entries.length) ? { entries } : {}) }
}

function Books({ groups, looks, any }: { groups: Group[]; looks: Looks; any: boolean }) {
  const say = useSay()
  // It only rests: no question is asked, and one word brings it back.
  const down = useCallback(
    (e: Entry): void => {
      const back = (): void => void putBackUp(e.id).catch(say.failed)
      takeDown(e.id).then(() => say.offer(`“${e.title}” was taken down.`, 'Put it back', back), say.failed)
    },
    [say],
  )
  if (!any)
    return (
      <div className="empty">
        <h2>Nothing on the porch yet</h2>
        <p>
          Drop a manuscript here, as it came from your word processor, and it becomes a book: chapters found, pages set,
          a cover to its spine. Or begin with an empty one.
        </p>
      </div>
    )
  if (!groups.length)
    return <p className="waiting">No book by that name. The search looks at titles, authors, series and imprints.</p>
  return groups.map((g, i) => (
    <section key={g.name} aria-labelledby={`stack-${i}`}>
      <div className="grouphead">
        <h2 id={`stack-${i}`}>{g.name}</h2>
        <span className="sort">{g.sort}</span>
        <span className="count">{g.entries.length === 1 ? '1 book' : `${g.entries.length} books`}</span>
      </div>
      <ul>
        {g.entries.map(e => (
          <Row key={e.id} entry={e} looks={looks} onTakeDown={down} />
        ))}
      </ul>
    </section>
  ))
}

function Legend() {
  return (
    <p className="legend" aria-label="What the lamps mean">
      {(['dark', 'dim', 'lit', 'burning', 'drifted'] as const).map(s => (
        <span key={s}>
          <Lamp state={s} size={16} /> {lampWords[s]}
        </span>
      ))}
    </p>
  )
}
