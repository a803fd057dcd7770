'use client'
import { Button } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Book } from '@/core/book'
import { beginNext } from '@/data/nextBook'
import { useSay } from '@/parts/useSay'

/** The way to the next book of the series. */
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
  return (
    <p className="earlier">
      The next book{book.data.series ? ` of “${book.data.series.name}”` : ' of a series'} takes this one’s look, cover,
      data and standing matter.{' '}
      <Button type="link" size="small" loading={beginning} onClick={begin}>
        Begin it
      </Button>
    </p>
  )
}
