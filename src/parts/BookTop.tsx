'use client'
import { RedoOutlined, UndoOutlined } from '@ant-design/icons'
import { Button, Tooltip } from 'antd'
import Link from 'next/link'
import { memo, useEffect, useSyncExternalStore } from 'react'
import { docWords } from '@/core/book'
import { Cancelled } from '@/core/trade'
import { redo, undo } from '@/data/changes'
import { onTrouble, storageTrouble } from '@/data/trouble'
import { flushPens } from '@/data/pen'
import { onHold, openQuestion, takeOver } from '@/data/writer'
import { kindWords } from './kinds'
import { Lamp } from './Lamp'
import { chooseEdition, type OpenBook } from './openBook'
import { editionLamp } from './pairs'
import { usePairs } from './usePairs'
import './bookTop.css'
import { isTyping, useKeys } from './useKeys'
import { usePress } from './usePress'
import { useSay } from './useSay'

export type Stage = 'plan' | 'text' | 'pages' | 'interior' | 'cover' | 'ebook' | 'check' | 'listings'

const stages: { id: Stage; name: string }[] = [
  { id: 'plan', name: 'Plan' },
  { id: 'text', name: 'Text' },
  { id: 'pages', name: 'Pages' },
  { id: 'interior', name: 'Interior' },
  { id: 'cover', name: 'Cover' },
  { id: 'ebook', name: 'Ebook' },
  { id: 'check', name: 'Check' },
  { id: 'listings', name: 'Listings' },
]

/** How long an author rests before the other editions are looked into, milliseconds. */
const REST = 900

/** Whether something stops an edition, as last looked into, by book and edition: a room that opens says what the one before knew. */
const lastStops = new Map<string, boolean>()

/** The line above a book's rooms: its name, its editions' lamps, undo and redo, the stages. */
export function BookTop({
  bookId,
  view,
  stage,
  section,
}: {
  bookId: string
  view: OpenBook
  stage: Stage
  /** The section that is written or read here: the other of the two rooms goes on with it. */
  section?: string | undefined
}) {
  const { book, edition, figures, version, outletId } = view
  const { pairs } = usePairs(book, view.version)
  const say = useSay()
  // Somebody else’s, here to be read: nothing of it but the text is here.
  const lent = !!book?.review && !book.review.whole
  const storage = useSyncExternalStore(onTrouble, storageTrouble, () => undefined)
  const question = useSyncExternalStore(onHold, openQuestion, () => undefined)

  // What is written of a book of planned pages, its front and back matter, belongs to its pages.
  const at = stage === 'text' && book?.plan ? 'pages' : stage
  const turn = (way: typeof undo): void => void way(bookId).catch(say.failed)
  useKeys(e => {
    // Inside a field the field's own undo comes first; the editor has its own way to the same history.
    if (isTyping(e) || !(e.ctrlKey || e.metaKey) || e.key.toLowerCase() !== 'z') return
    e.preventDefault()
    turn(e.shiftKey ? redo : undo)
  })

  // The editions that are not looked at are looked into when the author rests, one after the other.
  const chosen = edition?.id
  const { answer: stops = {} } = usePress<Record<string, boolean>>(
    async (press, { wanted, sofar }) => {
      if (!book || !version) return undefined
      const found: Record<string, boolean> = {}
      for (const e of book.editions) {
        if (!wanted() || e.id === chosen) continue
        const stopped = await press.findings(bookId, e.id).then(
          f => f.some(x => x.severity === 'stop'),
          (x: Error) => (x instanceof Cancelled ? undefined : true),
        )
        if (stopped === undefined) continue
        found[e.id] = stopped
        lastStops.set(`${bookId}/${e.id}`, stopped)
        sofar({ ...found })
      }
      return found
    },
    [book, bookId, version, chosen],
    { after: REST },
  )

  const began =
    !!book && (book.plan ? book.plan.runs.length > 0 : book.sections.some(s => !s.made && docWords(s.doc) > 0))
  const stopped = figures?.outletId === outletId ? figures?.findings.some(f => f.severity === 'stop') : undefined
  useEffect(() => {
    if (chosen && stopped !== undefined) lastStops.set(`${bookId}/${chosen}`, stopped)
  }, [bookId, chosen, stopped])
  return (
    <>
      <header className="topline booktop">
        <h1>
          <Link prefetch={false} href={`/book/${encodeURIComponent(bookId)}/${lent ? 'text' : 'plan'}`}>
            {book?.data.title ?? ''}
          </Link>
        </h1>
        <span className="lamps" role="group" aria-label="Editions">
          {lent && <span>read for {book.review!.from || 'somebody'}</span>}
          {(lent ? [] : book?.editions)?.map(e => {
            const inTheWay = (e.id === edition?.id ? stopped : stops[e.id]) ?? lastStops.get(`${bookId}/${e.id}`)
            const { lamp, word } = editionLamp(
              pairs.filter(p => p.edition.id === e.id),
              !began ? 'dark' : inTheWay === undefined ? undefined : inTheWay ? 'dim' : 'lit',
            )
            return (
              <button
                key={e.id}
                type="button"
                className="editionlamp"
                aria-pressed={e.id === edition?.id}
                onClick={() => chooseEdition(bookId, e.id)}
              >
                <Lamp state={lamp} /> <b>{kindWords[e.kind]}</b> {word}
              </button>
            )
          })}
        </span>
        <History bookId={bookId} undoes={view.undo} redoes={view.redo} />
        <Stages
          bookId={bookId}
          planned={!!book?.plan}
          lent={lent}
          ebook={!!book?.editions.some(e => e.kind === 'ebook')}
          at={at}
          section={section}
        />
      </header>
      {view.hold === 'following' && (
        <p className="band" role="status">
          This book is open in another window, which writes it. This one follows along.
          <Button size="small" onClick={() => takeOver(bookId)}>
            Write here instead
          </Button>
        </p>
      )}
      {question?.book === bookId && (
        <p className="band stop" role="alertdialog" aria-label="A question from another window">
          Another window wants to {question.wants}. What is here is kept as a version.
          <Button size="small" onClick={() => void flushPens(bookId).then(() => question.answer(true))}>
            Let it
          </Button>
          <Button size="small" onClick={() => question.answer(false)}>
            Keep what is here
          </Button>
        </p>
      )}
      {view.stopped && (
        <p className="band" role="status">
          The press was stopped: pages and figures are not those of the newest state.
          <Button size="small" onClick={view.again}>
            Let it go on
          </Button>
        </p>
      )}
      {storage && (
        <p className="band stop" role="alert">
          {storage === 'full'
            ? 'The browser’s storage is full: the last change is not saved. It waits here and is tried again. Taking old books down and removing them for good makes room.'
            : 'The browser could not write the last change. It is not saved; try it again.'}
        </p>
      )}
    </>
  )
}

/** Undo and redo, and what they would do. */
const History = memo(function History({
  bookId,
  undoes,
  redoes,
}: {
  bookId: string
  undoes: string | undefined
  redoes: string | undefined
}) {
  const say = useSay()
  const turn = (way: typeof undo): void => void way(bookId).catch(say.failed)
  return (
    <span className="history">
      <Tooltip title={undoes ? `Undo: ${undoes}` : 'Nothing to undo'}>
        <Button type="text" aria-label="Undo" icon={<UndoOutlined />} disabled={!undoes} onClick={() => turn(undo)} />
      </Tooltip>
      <Tooltip title={redoes ? `Redo: ${redoes}` : 'Nothing to redo'}>
        <Button type="text" aria-label="Redo" icon={<RedoOutlined />} disabled={!redoes} onClick={() => turn(redo)} />
      </Tooltip>
    </span>
  )
})

/** Rooms in which the author is at a section. */
const KEEPS: ReadonlySet<Stage> = new Set(['text', 'ebook'])

/** The rooms of a book. */
const Stages = memo(function Stages({
  bookId,
  planned,
  lent,
  ebook,
  at,
  section,
}: {
  bookId: string
  planned: boolean
  /** Somebody else’s, here to be read: nothing of it but the text is here. */
  lent: boolean
  /** It has an edition to be read on devices. */
  ebook: boolean
  at: Stage
  section: string | undefined
}) {
  return (
    <nav className="stages" aria-label="Stages">
      {stages
        .filter(s => (lent ? s.id === 'text' : s.id !== (planned ? 'text' : 'pages') && (s.id !== 'ebook' || ebook)))
        .map(s => (
          <Link
            prefetch={false}
            key={s.id}
            href={`/book/${encodeURIComponent(bookId)}/${s.id}${section && KEEPS.has(s.id) ? `?section=${section}` : ''}`}
            aria-current={s.id === at ? 'page' : undefined}
          >
            {s.name}
          </Link>
        ))}
    </nav>
  )
})

/** Where an address names a book that is not in this library. */
export function NoBook() {
  return (
    <main id="room" className="room">
      <div className="nobook">
        <h1>This book is not here</h1>
        <p>It may have been removed, or the address is another library’s.</p>
        <Link prefetch={false} href="/porch">
          Back to the porch
        </Link>
      </div>
    </main>
  )
}
