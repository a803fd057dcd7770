'use client'
import { Button } from 'antd'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react'
import type { Book } from '@/core/book'
import { firstEditions } from '@/core/outlets'
import { freshBookId, putBook } from '@/data/books'
import { Cancelled } from '@/core/trade'
import { PageCanvas } from '@/parts/PageCanvas'
import { Sill } from '@/parts/Sill'
import { openAtPress, press } from '@/workers/client'
import type { Leaves } from '@/core/chain'
import { letGo, nextHeld, onHeld } from '@/data/waiting'
import { Losses } from './Losses'
import { ProposedList } from './ProposedList'
import { proposed, withStruck } from './understanding'
import './intake.css'
import { useOutlets } from '@/parts/useOutlets'
import { useSay } from '@/parts/useSay'

/** The manuscript as it was understood: each proposed section with its evidence, beside its page. Taken or struck, then it is a book. */
export function IntakeRoom() {
  const held = useSyncExternalStore(onHeld, nextHeld, () => undefined)
  const [struck, setStruck] = useState<ReadonlySet<string>>(new Set())
  const [at, setAt] = useState(0)
  const [shown, setShown] = useState<{ leaves: Leaves; version: number; page: number }>()
  const [trouble, setTrouble] = useState<string>()
  const [stopped, setStopped] = useState(false)
  const [busy, setBusy] = useState(false)
  const outlets = useOutlets()
  const list = useRef<HTMLOListElement>(null)
  const router = useRouter()
  const say = useSay()

  const sections = useMemo(() => (held ? proposed(held.read.book) : []), [held])
  const book = useMemo<Book | undefined>(
    () =>
      held &&
      outlets && {
        ...withStruck(held.read.book, struck),
        id: 'intake',
        editions: firstEditions('text', outlets).map(e =>
          held.read.isbn && e.kind !== 'ebook' ? { ...e, isbn: held.read.isbn } : e,
        ),
      },
    [held, struck, outlets],
  )
  const current = sections[at]

  useEffect(() => {
    setStruck(new Set())
    setAt(0)
  }, [held])

  // The page beside: where the chosen section begins, or where it now runs on.
  useEffect(() => {
    if (!book || !outlets || !held || !current || stopped) return
    let gone = false
    const work = async (): Promise<void> => {
      await openAtPress(book, outlets, held.read.pictures)
      const leaves = await press().leaves('intake', 'paperback')
      let host = current
      for (let i = at; i > 0 && struck.has(sections[i]!.section.id); i--) host = sections[i - 1]!
      const page = (await press().pageOf('intake', 'paperback', host.section.id)) ?? 0
      if (!gone) setShown(s => ({ leaves, version: (s?.version ?? 0) + 1, page }))
    }
    work().catch((e: Error) => {
      if (gone) return
      if (e instanceof Cancelled) setStopped(true)
      else setTrouble(e.message)
    })
    return () => {
      gone = true
    }
  }, [book, outlets, held, current, at, struck, sections, stopped])

  const toggle = (i: number): void => {
    const s = sections[i]
    if (!s) return
    if (!s.strikable) return void say.note('The first section of a part has nothing before it to run on in.')
    setStruck(old => {
      const next = new Set(old)
      if (!next.delete(s.section.id)) next.add(s.section.id)
      return next
    })
  }

  useEffect(() => {
    const onKey = (e: KeyboardEvent): void => {
      if ((e.target instanceof HTMLElement && e.target.closest('input, textarea')) || e.ctrlKey || e.metaKey) return
      const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: sections.length - 1 }[e.key]
      if (to !== undefined) {
        e.preventDefault()
        setAt(Math.max(0, Math.min(sections.length - 1, to)))
      } else if (e.key.toLowerCase() === 's') toggle(at)
    }
    addEventListener('keydown', onKey)
    return () => removeEventListener('keydown', onKey)
  })
  useEffect(() => {
    list.current?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest' })
  }, [at])

  const take = async (): Promise<void> => {
    if (!book || !held) return
    setBusy(true)
    try {
      const id = await freshBookId(book.data.title)
      await putBook({ book: { ...book, id }, pictures: held.read.pictures })
      const { title } = book.data
      letGo()
      say.done(`“${title}” stands on the porch.`)
      router.push(nextHeld() ? '/intake' : `/book/${encodeURIComponent(id)}/plan`)
    } catch (e) {
      say.failed(e)
    } finally {
      setBusy(false)
    }
  }

  if (!held)
    return (
      <main id="room" className="room">
        <div className="nobook">
          <h1>No manuscript is waiting</h1>
          <p>
            Bring one in on the porch: by its button, or dropped there. What was read lives in this window until it
            becomes a book.
          </p>
          <Link href="/porch">To the porch</Link>
        </div>
      </main>
    )
  const words = sections.reduce((n, s) => n + s.words, 0)
  const lost = held.read.dropped.reduce((n, d) => n + d.count, 0)
  const { leaves, version, page } = shown ?? {}
  return (
    <>
      <main id="room" className="room intake">
        <header className="topline">
          <h1>{held.read.book.data.title}</h1>
          <span className="file">read from {held.file}</span>
          <Button
            onClick={() => {
              letGo()
              router.push('/porch')
            }}
          >
            Leave it
          </Button>
          <Button type="primary" loading={busy} onClick={() => void take()}>
            Put it on the porch
          </Button>
        </header>
        <div className="table">
          <section aria-label="Proposed sections">
            <p className="teach">
              This is how the manuscript was understood. <b>↑ ↓</b> walk through it, <b>S</b> strikes a section (it then
              runs on in the one before, its title a heading) or takes it back.
            </p>
            <ProposedList sections={sections} struck={struck} at={at} ref={list} onAt={setAt} onToggle={toggle} />
          </section>
          <aside>
            <div className="page">
              {leaves && page !== undefined ? (
                <PageCanvas
                  bookId="intake"
                  editionId="paperback"
                  index={page}
                  version={version!}
                  width={leaves.width}
                  height={leaves.height}
                  scale={Math.min(0.62, 300 / leaves.width)}
                  label={`Page ${leaves.pages[page]?.label ?? ''}`}
                />
              ) : (
                <span className="waiting" role="status">
                  {trouble ??
                    (stopped ? (
                      <Button size="small" onClick={() => setStopped(false)}>
                        Set the pages
                      </Button>
                    ) : (
                      'setting …'
                    ))}
                </span>
              )}
            </div>
            <p className="caption">
              {leaves && page !== undefined ? `page ${leaves.pages[page]?.label ?? ''} of ${leaves.pages.length}` : ''}
            </p>
            <Losses dropped={held.read.dropped} cleaned={held.read.cleaned} />
          </aside>
        </div>
      </main>
      <Sill
        figures={[
          { name: 'Sections', value: String(sections.length - struck.size) },
          { name: 'Words', value: words.toLocaleString('en') },
          { name: 'Pages at 6 × 9 in', value: leaves ? String(leaves.pages.length) : '…' },
          { name: 'Left out', value: String(lost) },
        ]}
        asks={struck.size ? `${struck.size} struck` : 'Look it over, then put it on the porch'}
      />
    </>
  )
}
