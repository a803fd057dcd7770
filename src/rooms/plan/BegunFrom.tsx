'use client'
import { Button } from 'antd'
import { type Book, leftovers } from '@/core/book'
import { commit } from '@/data/changes'
import { useSay } from '@/parts/useSay'

/** What a book was begun from, as long as something of that may be left in it by mistake. */
export function BegunFrom({ book }: { book: Book }) {
  const say = useSay()
  if (!book.earlier) return null
  const left = leftovers(book).length
  const settle = (): void =>
    void commit(book.id, 'Nothing is left by mistake', () => ({ earlier: undefined })).catch(say.failed)
  return (
    <p className="earlier">
      It was begun from “{book.earlier.title}”.{' '}
      {left === 0
        ? 'Nothing of that book is found in this one.'
        : left === 1
          ? 'One thing of that book still stands in this one.'
          : `${left} things of that book still stand in this one.`}{' '}
      <Button type="link" size="small" onClick={settle}>
        Nothing is left by mistake
      </Button>
    </p>
  )
}
