'use client'
import Link from 'next/link'
import { useSearchParams } from 'next/navigation'
import { useSyncExternalStore } from 'react'
import { nextHeld, onHeld } from '@/data/waiting'
import { FilesTogether } from './FilesTogether'
import { Manuscript } from './Manuscript'
import { ReadAgain } from './ReadAgain'
import './intake.css'

/** The manuscript that waits first; what was read lives in this window until it becomes a book. Or a book that is read again, which the address names. */
export function IntakeRoom() {
  const held = useSyncExternalStore(onHeld, nextHeld, () => undefined)
  const params = useSearchParams()
  const book = params.get('book')
  const section = params.get('section') ?? undefined
  if (book) return <ReadAgain key={`${book}/${section ?? ''}`} bookId={book} only={section} />
  if (!held) return <NoManuscript />
  // Each begins anew: nothing struck, the first section looked at.
  return 'files' in held ? <FilesTogether key={held.turn} held={held} /> : <Manuscript key={held.turn} held={held} />
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
