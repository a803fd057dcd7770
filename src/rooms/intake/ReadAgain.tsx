'use client'
import { Button } from 'antd'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { type Book, withCountedIds } from '@/core/book'
import { decided, readAgain, sectionOfCandidate, tidied } from '@/core/intake'
import { firstEditions } from '@/core/outlets'
import { commitSections } from '@/data/changes'
import { NoBook } from '@/parts/BookTop'
import { type OpenBook, useOpenBook } from '@/parts/openBook'
import { Sill } from '@/parts/Sill'
import { useOutlets } from '@/parts/useOutlets'
import { useSay } from '@/parts/useSay'
import { blockWith } from './blockWith'
import { DirtSentences } from './DirtSentences'
import { ProofPage } from './ProofPage'
import { Understanding, useLooking } from './Understanding'
import { changesSaid, type ProposedSection } from './understanding'
import { useDecisions } from './useDecisions'
import { useProof } from './useProof'

/** A book's text, or one section of it, read again as though it came in now: what would change stands beside its pages before it does. */
export function ReadAgain({ bookId, only }: { bookId: string; only: string | undefined }) {
  const view = useOpenBook(bookId)
  if (view.missing) return <NoBook />
  if (!view.book)
    return (
      <main id="room" className="room intake">
        <p className="waiting" role="status">
          Opening the text …
        </p>
      </main>
    )
  return <Again book={view.book} view={view} only={only} />
}

const NO_LEVELS = {}
const NO_KINDS: ReadonlySet<string> = new Set()

function Again({ book, view, only }: { book: Book; view: OpenBook; only: string | undefined }) {
  const router = useRouter()
  const say = useSay()
  const outlets = useOutlets()
  // What is decided is decided of the text as it stood when it was read.
  const [text] = useState(() => {
    const { candidates, strong } = readAgain(book, only)
    return { book, candidates, strong, levels: NO_LEVELS, dirt: tidied(book, NO_KINDS, only).found }
  })
  const { candidates, strong } = text
  const deciding = useDecisions(
    useMemo(
      () => ({
        decisions: new Map(
          candidates.filter(c => strong.has(c.block)).map(c => [sectionOfCandidate(c), { taken: true as const }]),
        ),
        // A text that is a book already may mean what it has: nothing of it is cleaned unasked.
        cleans: NO_KINDS,
      }),
      [candidates, strong],
    ),
  )
  const within = useMemo(() => {
    const begun = new Set(candidates.map(sectionOfCandidate))
    return ({ section: { id } }: ProposedSection) => only === undefined || id === only || begun.has(id)
  }, [candidates, only])
  const looked = useLooking(text, deciding, { only, within })
  const proofBook = useMemo(
    () =>
      outlets && {
        ...looked.decided,
        id: `again-${book.id}`,
        editions: book.editions.some(e => e.kind !== 'ebook') ? book.editions : firstEditions('text', outlets),
      },
    [looked.decided, book.id, book.editions, outlets],
  )
  const here = looked.host?.section.id
  const proof = useProof(
    proofBook,
    outlets,
    undefined,
    useMemo(() => (here ? { section: here } : undefined), [here]),
  )
  const changes = [
    ...changesSaid(text.book, looked.decided),
    ...text.dirt.filter(d => deciding.cleans.has(d.id)).map(d => `${d.count} ${d.what}: ${d.does}`),
  ]
  const show = (words: string): void => {
    const place = blockWith(looked.decided, words)
    if (place) looked.goTo(place.section)
  }
  const [busy, setBusy] = useState(false)
  const leave = (): void =>
    router.push(`/book/${encodeURIComponent(book.id)}/text${only ? `?section=${encodeURIComponent(only)}` : ''}`)
  const take = (): void => {
    setBusy(true)
    commitSections(book.id, 'Read the text again', b =>
      withCountedIds(decided(tidied(b, deciding.cleans, only).book, candidates, deciding.decisions), b),
    )
      .then(leave, say.failed)
      .finally(() => setBusy(false))
  }
  return (
    <>
      <main id="room" className="room intake">
        <header className="topline">
          <h1>{book.data.title}</h1>
          <span className="file">{only ? 'one section, read again' : 'read again'}</span>
          <Button onClick={leave}>Leave it as it is</Button>
          <Button type="primary" loading={busy} disabled={!changes.length || view.hold === 'following'} onClick={take}>
            Take it over
          </Button>
        </header>
        <div className="table">
          <Understanding
            read={text}
            looked={looked}
            teach={
              candidates.length
                ? 'This is how the text would be understood if it came in now. Nothing changes until it is taken over; one undo brings all of it back.'
                : 'Nothing in the text looks like the beginning of a section that is none yet.'
            }
          />
          <aside>
            <ProofPage {...proof} />
            <h2>What would change</h2>
            {changes.length ? (
              <ul className="dropped">
                {changes.map(c => (
                  <li key={c}>{c}</li>
                ))}
              </ul>
            ) : (
              <p className="none">Nothing.</p>
            )}
            {text.dirt.length > 0 && (
              <>
                <h2>What may be cleaned</h2>
                <DirtSentences dirt={text.dirt} deciding={deciding} onShow={show} />
              </>
            )}
          </aside>
        </div>
      </main>
      <Sill
        figures={[
          { name: 'Sections', value: String(looked.decided.sections.filter(s => !s.made).length) },
          { name: 'Lines left', value: String(looked.left) },
        ]}
        asks={changes.length ? changes.join(', ') : 'Nothing would change'}
      />
    </>
  )
}
