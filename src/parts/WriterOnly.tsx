'use client'
import { ConfigProvider } from 'antd'
import { type ReactNode, useSyncExternalStore } from 'react'
import { holdOf, onHold } from '@/data/writer'

/** Whether this window follows another that writes the book. */
export const useFollows = (bookId: string): boolean =>
  useSyncExternalStore(
    onHold,
    () => holdOf(bookId) === 'following',
    () => false,
  )

/** Controls that change a book: they rest while another window writes it. What only looks at the book stays outside. */
export function WriterOnly({ bookId, children }: { bookId: string; children: ReactNode }) {
  const follows = useFollows(bookId)
  return (
    <ConfigProvider componentDisabled={follows}>
      <fieldset disabled={follows} className="writeronly">
        {children}
      </fieldset>
    </ConfigProvider>
  )
}
