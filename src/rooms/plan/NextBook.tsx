'use client'
import { Button } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { type Book, leftovers } from '@/core/book'
import { commit } from '@/data/changes'
import { beginNext } from '@/data/nextBook'
import { useSay } from '@/parts/useSay'

/** The book's place in its series: what it was begun from, as long as something of that may be left, and the next one. */
export function NextBook({ book }: { book: Book }) {
  const say = useSay()
  const router = useRouter()
  const [beginning, setBeginning] = useState(false)
  const begin = (): void => {
    setBeginning(true)
    void beginNext(book.id)
      .then(id => router.push(`/book/${encodeURIComponent(id)}/plan`), say.failed)
      .finally(() => setBeginning(false))
  }
  const left = leftovers(book)
  return (
    <>
      {book.earlier && (
        <p className="earlier">
          It was begun from “{book.earlier.title}”.{' '}
          {left.length
            ? `${left.length === 1 ? 'One thing' : `${left.length} things`} of that book still ${left.length === 1 ? 'stands' : 'stand'} in this one.`
            : 'Nothing of that book is found in this one.'}{' '}
          <Button
            type="link"
            size="small"
            onClick={() =>
              void commit(book.id, 'Nothing is left by mistake', () => ({ earlier: undefined })).catch(say.failed)
            }
          >
            Nothing is left by mistake
          </Button>
        </p>
      )}
      <p className="earlier">
        The next book{book.data.series ? ` of “${book.data.series.name}”` : ' of a series'} takes this one’s look,
        cover, data and standing matter.{' '}
        <Button type="link" size="small" loading={beginning} onClick={begin}>
          Begin it
        </Button>
      </p>
    </>
  )
}
