'use client'
import { lookOf, pageLooks } from '@/core/activity'
import type { Book } from '@/core/book'
import { usePlanChange } from './planChanges'
import { Shelf } from './Shelf'

/** What looks are shown on where a book has no run yet. */
const SHOWN = 'lined'

/** The looks that all pages of a plan can have, each on a page of the book's largest run. */
export function Looks({ bookId, book, onClose }: { bookId: string; book: Book; onClose: () => void }) {
  const change = usePlanChange(bookId)
  const { plan = { runs: [] }, data } = book
  const [largest] = [...plan.runs].sort((a, b) => b.pages - a.pages)
  const kind = largest?.kind ?? SHOWN
  const now = lookOf(plan.look)
  return (
    <Shelf
      onClose={onClose}
      groups={[
        {
          name: 'How pages can look',
          offers: pageLooks.map(look => ({
            id: look.id,
            name: look.name,
            says: look.id === now.id ? `${look.says}; it stands now` : look.says,
            of: JSON.stringify([data.language, kind]),
            sample: (p, scale) => p.kindSample(kind, scale, { language: data.language, look: look.id }),
            take: () =>
              void change('Look of all pages', p => ({ ...p, look: look.id })).then(done => done && onClose()),
          })),
        },
      ]}
    />
  )
}
