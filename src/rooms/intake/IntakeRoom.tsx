'use client'
import { Button } from 'antd'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react'
import type { Book } from '@/core/book'
import type { Candidate } from '@/core/intake'
import { firstEditions } from '@/core/outlets'
import { freshBookId, putBook } from '@/data/books'
import { type HeldManuscript, letGo, nextHeld, onHeld } from '@/data/waiting'
import { Sill } from '@/parts/Sill'
import { isCommand, isTyping, useKeys } from '@/parts/useKeys'
import { useOutlets } from '@/parts/useOutlets'
import { useSay } from '@/parts/useSay'
import { FilesTogether } from './FilesTogether'
import { Losses } from './Losses'
import { ProofPage } from './ProofPage'
import { ProposedList } from './ProposedList'
import { type Proposal, proposed, type ProposedSection, withCandidates, withStruck, withTaken } from './understanding'
import { useProof } from './useProof'
import './intake.css'

/** The manuscript that waits first; what was read lives in this window until it becomes a book. */
export function IntakeRoom() {
  const held = useSyncExternalStore(onHeld, nextHeld, () => undefined)
  if (!held) return <NoManuscript />
  // Each begins anew: nothing struck, the first section looked at.
  return 'files' in held ? <FilesTogether key={held.turn} held={held} /> : <Manuscript key={held.turn} held={held} />
}

/** The manuscript as it was understood: each proposed section with its evidence, beside its page. Taken or struck, then it is a book. */
function Manuscript({ held }: { held: HeldManuscript }) {
  const [struck, setStruck] = useState<ReadonlySet<string>>(new Set())
  const [at, setAt] = useState(0)
  const outlets = useOutlets()
  const list = useRef<HTMLOListElement>(null)
  const router = useRouter()
  const say = useSay()
  const { candidates = NONE } = held.read
  const [taken, setTaken] = useState<ReadonlySet<string>>(new Set())
  const [weak, setWeak] = useState(false)
  const whole = useMemo(() => withTaken(held.read.book, candidates, taken), [held, candidates, taken])
  const sections = useMemo(() => proposed(whole, candidates), [whole, candidates])
  const proposals = useMemo<Proposal[]>(
    () => (weak ? withCandidates(sections, candidates) : sections),
    [weak, sections, candidates],
  )
  const book = useMemo<Book | undefined>(
    () =>
      outlets && {
        ...withStruck(whole, struck),
        id: 'intake',
        editions: firstEditions('text', outlets).map(e =>
          held.read.isbn && e.kind !== 'ebook' ? { ...e, isbn: held.read.isbn } : e,
        ),
      },
    [held, whole, struck, outlets],
  )
  const proof = useProof(book, outlets, held.read.pictures, hostOf(proposals, at, struck))
  const { busy, take } = useTake(held, book)

  const toggle = (i: number): void => {
    const s = proposals[i]
    if (!s) return
    // What was no section and is one is that by the author's word alone.
    if (s.candidate) {
      const { block } = s.candidate
      setTaken(old => turned(old, block))
      return
    }
    if (!s.section) return
    if (!s.strikable) return void say.note('The first section of a part has nothing before it to run on in.')
    setStruck(old => turned(old, s.section.id))
  }
  useKeys(e => {
    if (isTyping(e) || isCommand(e)) return
    const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: proposals.length - 1 }[e.key]
    if (to !== undefined) {
      e.preventDefault()
      setAt(Math.max(0, Math.min(proposals.length - 1, to)))
    } else if (e.key.toLowerCase() === 's') toggle(at)
    else if (e.key.toLowerCase() === 'w' && candidates.length) unfold()
  })
  /** Weaker signs are shown, or folded away; what is looked at stays. */
  const unfold = (): void => {
    const now = sections.indexOf(proposals[at] as ProposedSection)
    const next = weak ? sections : withCandidates(sections, candidates)
    setAt(Math.max(0, next.indexOf(sections[Math.max(0, now)]!)))
    setWeak(!weak)
  }
  useEffect(() => {
    list.current?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest' })
  }, [at])

  const leave = (): void => {
    letGo()
    router.push('/porch')
  }
  const lost = held.read.dropped.reduce((n, d) => n + d.count, 0)
  return (
    <>
      <main id="room" className="room intake">
        <header className="topline">
          <h1>{held.read.book.data.title}</h1>
          <span className="file">read from {held.file}</span>
          <Button onClick={leave}>Leave it</Button>
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
            {candidates.length > taken.size && (
              <p className="teach">
                <Button type="link" size="small" aria-expanded={weak} onClick={unfold}>
                  {weak ? 'Fold' : 'Show'} {weakSaid(candidates.length - taken.size)}
                </Button>{' '}
                that may begin a section, too (<b>W</b>).
              </p>
            )}
            <ProposedList proposals={proposals} struck={struck} at={at} ref={list} onAt={setAt} onToggle={toggle} />
          </section>
          <aside>
            <ProofPage {...proof} />
            <Losses dropped={held.read.dropped} cleaned={held.read.cleaned} />
          </aside>
        </div>
      </main>
      <Sill
        figures={[
          { name: 'Sections', value: String(sections.length - struck.size) },
          { name: 'Words', value: sections.reduce((n, s) => n + s.words, 0).toLocaleString('en') },
          { name: 'Pages at 6 × 9 in', value: proof.proof ? String(proof.proof.leaves.pages.length) : '…' },
          { name: 'Left out', value: String(lost) },
        ]}
        asks={struck.size ? `${struck.size} struck` : 'Look it over, then put it on the porch'}
      />
    </>
  )
}

/** The section whose page a section stands on: itself, or the one that it runs on in. */
function hostOf(proposals: Proposal[], at: number, struck: ReadonlySet<string>): ProposedSection | undefined {
  let i = Math.min(at, proposals.length - 1)
  while (i > 0 && (!proposals[i]!.section || struck.has(proposals[i]!.section!.id))) i--
  const host = proposals[i]
  return host?.section && host
}

const NONE: Candidate[] = []
const weakSaid = (n: number): string => (n === 1 ? 'one line' : `${n} lines`)

/** A set with something put in, or taken out where it was there. */
function turned(all: ReadonlySet<string>, one: string): ReadonlySet<string> {
  const next = new Set(all)
  if (!next.delete(one)) next.add(one)
  return next
}

/** Makes the manuscript a book. */
function useTake(held: HeldManuscript, book: Book | undefined): { busy: boolean; take: () => Promise<void> } {
  const [busy, setBusy] = useState(false)
  const router = useRouter()
  const say = useSay()
  const take = async (): Promise<void> => {
    if (!book) return
    setBusy(true)
    try {
      const id = await freshBookId(book.data.title)
      await putBook({ book: { ...book, id }, pictures: held.read.pictures })
      letGo()
      say.done(`“${book.data.title}” stands on the porch.`)
      router.push(nextHeld() ? '/intake' : `/book/${encodeURIComponent(id)}/plan`)
    } catch (e) {
      say.failed(e)
    } finally {
      setBusy(false)
    }
  }
  return { busy, take }
}

function NoManuscript() {
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
}
