'use client'
import { App, Button } from 'antd'
import type { Book, Edition } from '@/core/book'
import { kindWords } from '@/parts/kinds'
import { useCommit } from '@/parts/useCommit'

/** Takes an edition out of the book, once the author has said so. */
export function RemoveEdition({ book, edition }: { book: Book; edition: Edition }) {
  const { modal } = App.useApp()
  const record = useCommit(book.id)
  const go = (): void =>
    void record(`Remove the ${kindWords[edition.kind]!.toLowerCase()}`, r => ({
      editions: r.editions.filter(e => e.id !== edition.id),
    }))
  return (
    <Button
      size="small"
      type="text"
      className="remove"
      onClick={() =>
        modal.confirm({
          title: `Remove the ${kindWords[edition.kind]!.toLowerCase()}?`,
          content: 'Its specification and price leave the book. Undo brings them back; what is on sale stays on sale.',
          okText: 'Remove it',
          cancelText: 'Keep it',
          onOk: go,
        })
      }
    >
      remove
    </Button>
  )
}
