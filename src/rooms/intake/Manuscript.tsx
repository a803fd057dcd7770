'use client'
import { Button } from 'antd'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { type Book, withCountedIds } from '@/core/book'
import { type Candidate, type Dirt, type Dropped, usualKinds } from '@/core/intake'
import { firstEditions } from '@/core/outlets'
import { freshBookId, putBook } from '@/data/books'
import { type HeldManuscript, letGo, nextHeld } from '@/data/waiting'
import { Sill } from '@/parts/Sill'
import { useOutlets } from '@/parts/useOutlets'
import { useSay } from '@/parts/useSay'
import { blockWith } from './blockWith'
import { Losses } from './Losses'
import { saysOf, withSaid } from './says'
import { SaysSentence } from './SaysSentence'
import { ProofPage } from './ProofPage'
import { Understanding, useLooking } from './Understanding'
import { type Decided, useDecisions } from './useDecisions'
import { type ProofPlace, useProof } from './useProof'

const NONE: Candidate[] = []
const NO_DIRT: Dirt[] = []
const AT_FIRST: Decided = { decisions: new Map(), cleans: usualKinds }
/** What stands among the sentences on dirt is not said twice. */
const isDirt = (dirt: readonly Dirt[], { what }: Dropped): boolean => dirt.some(d => what === `${d.what}: ${d.does}`)

/** A manuscript as it was understood: each proposed section with its evidence, beside its page. Decided, then it is a book. */
export function Manuscript({ held }: { held: HeldManuscript }) {
  const outlets = useOutlets()
  const router = useRouter()
  const say = useSay()
  const { read } = held
  const text = useMemo(() => {
    const { book, asTyped, candidates = NONE, levels = {}, dirt = NO_DIRT } = read
    return { book: asTyped ? { ...book, sections: asTyped } : book, candidates, levels, dirt }
  }, [read])
  const deciding = useDecisions(useMemo(() => ({ ...AT_FIRST, says: saysOf(read.book, read.isbn) }), [read]))
  const looked = useLooking(text, deciding)
  const { says } = deciding
  const [lost, setLost] = useState<ProofPlace>()
  const book = useMemo<Book | undefined>(
    () =>
      outlets &&
      says &&
      withSaid({ ...looked.decided, id: `intake-${held.turn}`, editions: firstEditions('text', outlets) }, says),
    [held.turn, says, looked.decided, outlets],
  )
  const here = looked.host?.section.id
  // A place that was asked for is shown until another section is looked at.
  const proof = useProof(
    book,
    outlets,
    read.pictures,
    lost?.section === here ? lost : here ? { section: here } : undefined,
  )
  const { busy, take } = useTake(held, book)
  const show = (words: string): void => {
    const place = blockWith(looked.decided, words)
    if (!place) return void say.note('What stood there is in a title, or has no words of its own.')
    setLost(place)
    looked.goTo(place.section)
  }
  const leave = (): void => {
    letGo()
    router.push('/porch')
  }
  const struck = [...looked.deciding.decisions.values()].filter(d => d.runsOn).length
  return (
    <>
      <main id="room" className="room intake">
        <header className="topline">
          <h1>{says?.title}</h1>
          <span className="file">read from {held.file}</span>
          <Button onClick={leave}>Leave it</Button>
          <Button type="primary" loading={busy} onClick={() => void take()}>
            Put it on the porch
          </Button>
        </header>
        <div className="table">
          <Understanding
            read={text}
            looked={looked}
            teach="This is how the manuscript was understood."
            says={says && <SaysSentence says={says} onChange={deciding.say} />}
          />
          <aside>
            <ProofPage {...proof} />
            <Losses
              dropped={read.dropped}
              cleaned={read.cleaned.filter(c => !isDirt(text.dirt, c))}
              dirt={text.dirt}
              deciding={looked.deciding}
              onShow={show}
            />
          </aside>
        </div>
      </main>
      <Sill
        figures={[
          { name: 'Sections', value: String(looked.sections.length - struck) },
          { name: 'Words', value: looked.sections.reduce((n, s) => n + s.words, 0).toLocaleString('en') },
          { name: 'Pages at 6 × 9 in', value: proof.proof ? String(proof.proof.leaves.pages.length) : '…' },
          { name: 'Left out', value: String(read.dropped.reduce((n, d) => n + d.count, 0)) },
        ]}
        asks={struck ? `${struck} struck` : 'Look it over, then put it on the porch'}
      />
    </>
  )
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
      await putBook({ book: { ...withCountedIds(book), id }, pictures: held.read.pictures })
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
