'use client'
import Link from 'next/link'
import { useSearchParams } from 'next/navigation'
import { useEffect, useMemo, useRef, useState } from 'react'
import type { Book } from '@/core/book'
import { BookTop, NoBook } from '@/parts/BookTop'
import { useOpenBook } from '@/parts/openBook'
import { isCommand, isTyping, useKeys } from '@/parts/useKeys'
import { usePress } from '@/parts/usePress'
import { Sill, sillOf } from '@/parts/Sill'
import { useSize } from '@/parts/useSize'
import { Contents } from './Contents'
import { Pages } from './copy'
import { devices, type Reader, usual } from './devices'
import { type DeviceHandle, DeviceView, type Picked, type Seen, type Target } from './DeviceView'
import { FileSentence } from './FileSentence'
import { sectionOf, wordsAt } from './place'
import { Beside } from './Beside'
import { ReaderSentence } from './ReaderSentence'
import { Workings } from './Workings'
import './ebook.css'

/** Room around a device, CSS pixels. */
const AROUND = 28

/** Where somebody is: a page of the ebook, and a place in it. */
interface At {
  path: string
  target: Target
}

/** The reading room: the very file that will be sent, read on devices beside the printed page. */
export function EbookRoom({ bookId }: { bookId: string }) {
  const view = useOpenBook(bookId, { look: 'ebook' })
  const { book, edition, outletId, version } = view
  const [reader, setReader] = useState<Reader>(usual)
  const [at, setAt] = useState<At>()
  const [seen, setSeen] = useState<Seen>()
  const [picked, setPicked] = useState<Picked>()
  const [out, setOut] = useState<string>()
  const [knowing, setKnowing] = useState<'code' | 'sheet'>()
  const handle = useRef<DeviceHandle>(null)
  const [stage, room] = useSize<HTMLDivElement>()
  const editionId = edition?.id
  const { answer: copy, trouble } = usePress(
    async press => (editionId && version ? press.readingCopy(bookId, editionId, outletId) : undefined),
    [bookId, editionId, outletId, version],
  )
  const pages = useMemo(() => copy && new Pages(copy), [copy])
  useEffect(() => () => pages?.close(), [pages])

  const asked = useSearchParams()
  const begin = useMemo((): At | undefined => {
    if (!copy || !book) return undefined
    const section = asked.get('section')
    const path = section && copy.spine.find(p => p.endsWith(`/${section}.xhtml`))
    const block = asked.get('block')
    const words = path && block ? wordsAt(book, section, block) : undefined
    if (path) return { path, target: words ? { words } : { at: 'start' } }
    return { path: copy.spine[0] ?? '', target: { at: 'start' } }
    // Where it begins is asked once; afterwards the reader is where they went.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [!copy, !book, asked])
  // A page may be gone from the newer file.
  const here = at && copy?.spine.includes(at.path) ? at : begin

  const lead = (target: string): void => {
    const [path = '', id] = target.split('#')
    setOut(undefined)
    if (copy?.files.has(path)) setAt({ path, target: id ? { id } : { at: 'start' } })
  }
  const beyond = (by: 1 | -1): void => {
    const next = copy && here ? copy.spine[copy.spine.indexOf(here.path) + by] : undefined
    if (next) setAt({ path: next, target: { at: by > 0 ? 'start' : 'end' } })
  }
  useKeys(e => {
    if (isTyping(e) || isCommand(e)) return
    const by = { ArrowRight: 1, PageDown: 1, ' ': 1, ArrowLeft: -1, PageUp: -1 }[e.key] as 1 | -1 | undefined
    const on = e.target as HTMLElement
    if (!by || on.closest('.ant-select') || (e.key === ' ' && on.closest('button, a'))) return
    e.preventDefault()
    handle.current?.turn(by)
  })

  if (view.missing) return <NoBook />
  const device = devices.find(d => d.id === reader.device) ?? devices[0]!
  const scale = Math.min(1, (room.height - 2 * AROUND) / device.height, (room.width - 2 * AROUND) / device.width)
  return (
    <>
      <main id="room" className="room ebookroom">
        <BookTop bookId={bookId} view={view} stage="ebook" section={here && book && readSection(book, here.path)} />
        {book && !edition ? (
          <div className="empty">
            <h2>No ebook yet</h2>
            <p>
              This book has no ebook edition. <Link href={`/book/${encodeURIComponent(bookId)}/plan`}>Plan</Link> adds
              one; it is made from the same text, in the same style, and read here as its readers will.
            </p>
          </div>
        ) : (
          <div className="reading">
            {copy && here ? <Contents nav={copy.nav} path={here.path} onGo={lead} /> : <nav className="leads" />}
            <section className="desk" aria-label="The ebook">
              <ReaderSentence reader={reader} onChange={setReader} />
              <div className="stage" ref={stage}>
                {pages && here && scale > 0 && (
                  <DeviceView
                    ref={handle}
                    pages={pages}
                    path={here.path}
                    target={here.target}
                    device={device}
                    reader={reader}
                    scale={scale}
                    onSeen={setSeen}
                    onPick={setPicked}
                    onLead={lead}
                    onOut={setOut}
                    onBeyond={beyond}
                  />
                )}
                {!pages && !trouble && <p className="making">making the file …</p>}
              </div>
              <Turns seen={seen} part={copy && seen ? partOf(copy, seen) : 0} onTurn={by => handle.current?.turn(by)} />
              {out && (
                <p className="out" role="status">
                  This link leads out of the book: <b>{out}</b>
                </p>
              )}
            </section>
            <aside className="beside">
              {edition && copy && (
                <FileSentence
                  bookId={bookId}
                  view={view}
                  edition={edition}
                  carries={!!pages?.carries}
                  weight={copy.weight}
                />
              )}
              {knowing && copy && here && edition ? (
                <Workings
                  bookId={bookId}
                  edition={edition}
                  files={copy.files}
                  path={here.path}
                  shows={knowing}
                  readOnly={view.hold === 'following'}
                  onShow={setKnowing}
                />
              ) : (
                <>
                  {book && <Beside bookId={bookId} book={book} version={version} seen={seen} picked={picked} />}
                  {copy && (
                    <p className="knowing">
                      Inside:{' '}
                      <button type="button" onClick={() => setKnowing('code')}>
                        this page’s code
                      </button>
                      ,{' '}
                      <button type="button" onClick={() => setKnowing('sheet')}>
                        its style sheet
                      </button>
                      .
                    </p>
                  )}
                </>
              )}
            </aside>
          </div>
        )}
      </main>
      <Sill
        figures={view.figures ? sillOf(view.figures, view.was) : []}
        asks={trouble ?? view.trouble ?? (edition && view.settling ? 'making the file …' : undefined)}
      />
    </>
  )
}

/** The section that a page is made of, where it is one of the book's own. */
const readSection = ({ sections }: Book, path: string): string | undefined =>
  sections.find(s => s.id === sectionOf(path))?.id

/** How much of the book lies before what is seen, from 0 to 1: by the lengths of its pages. */
function partOf(
  { spine, files }: { spine: string[]; files: Map<string, Blob> },
  { path, screen, count }: Seen,
): number {
  const size = (p: string): number => files.get(p)?.size ?? 0
  const all = spine.reduce((n, p) => n + size(p), 0)
  const before = spine.slice(0, spine.indexOf(path)).reduce((n, p) => n + size(p), 0)
  return all ? (before + (size(path) * (screen + 1)) / count) / all : 0
}

/** Turning by hand, and how far the reader has come. */
function Turns({ seen, part, onTurn }: { seen: Seen | undefined; part: number; onTurn: (by: 1 | -1) => void }) {
  'use memo'
  return (
    <div className="turns">
      <button type="button" aria-label="A screen back" onClick={() => onTurn(-1)}>
        ←
      </button>
      <span className="far">
        <i style={{ width: `${part * 100}%` }} />
      </span>
      <span className="figures">{seen ? `${seen.screen + 1} of ${seen.count} · ${Math.round(part * 100)} %` : ''}</span>
      <button type="button" aria-label="A screen on" onClick={() => onTurn(1)}>
        →
      </button>
    </div>
  )
}
