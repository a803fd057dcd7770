'use client'
import Link from 'next/link'
import type { Book } from '@/core/book'
import { usePress } from '@/parts/usePress'
import type { Picked, Seen } from './DeviceView'
import { placeOf } from './place'
import { Printed } from './Printed'

/** CSS pixels of a spread. */
const SPREAD = 316

/** Beside the device: the same place in print, and where the words that were pointed at are written. */
export function Beside({
  bookId,
  book,
  version,
  flows,
  seen,
  picked,
}: {
  bookId: string
  book: Book
  version: number
  /** Its words are blocks that can be pointed at. */
  flows: boolean
  seen: Seen | undefined
  picked: Picked | undefined
}) {
  const print = book.editions.find(e => e.kind !== 'ebook')?.id
  const { answer: leaves } = usePress(
    async press => (print && version ? press.leaves(bookId, print) : undefined),
    [bookId, print, version],
  )
  const place = picked && placeOf(book, picked.path, picked.words, picked.nth)
  const address = `/book/${encodeURIComponent(bookId)}/text`
  return (
    <>
      {flows && (
        <div className="place">
          <h2>The words</h2>
          {picked && place ? (
            <>
              <blockquote>{picked.words.length > 120 ? `${picked.words.slice(0, 120)} …` : picked.words}</blockquote>
              <Link href={`${address}?section=${place.section}${place.block ? `&block=${place.block}` : ''}`}>
                {place.block ? 'Write them' : 'To their section'}
              </Link>
            </>
          ) : (
            <p>A click on words leads to where they are written.</p>
          )}
        </div>
      )}
      {print && leaves && (
        <div className="print">
          <h2>In print</h2>
          <Printed
            bookId={bookId}
            editionId={print}
            leaves={leaves}
            version={version}
            label={seen?.printed}
            width={SPREAD}
          />
        </div>
      )}
    </>
  )
}
